-- What belongs together is held together, a piece ends once, what was sent is known by its words, and time has bounds.

-- Lead is never assumed absent. The intake's field stood at "surely younger" by itself until now: where no test and no word of
-- the log says so, nobody looked, and the log says that it was put back.
alter table part drop constraint part_lead_check;
alter table part add constraint part_lead_known check (lead in ('unknown', 'clear', 'unlikely', 'suspected', 'found'));
with put_back as (
  update part p set lead = 'unknown'
  where p.lead = 'unlikely' and not exists (
    select from entry e where e.part_id = p.id and e.kind = 'amended' and (e.detail ? 'age' or e.detail ? 'lead')
  )
  returning p.studio_id, p.piece_id, p.id
)
insert into entry (id, studio_id, piece_id, part_id, kind, at, detail, note)
  select gen_random_uuid(), studio_id, piece_id, id, 'amended', now(), '{"lead": ["unlikely", "unknown"]}'::jsonb,
         'Nobody had looked for lead: it counts as possible until somebody does.'
  from put_back;

-- A part is taken out, a measurement replaced: both stay, so that the log can still speak of them.
alter table part add column taken_out_at timestamptz;
alter table surface add column replaced_at timestamptz;
grant update (replaced_at) on surface to itinerum_app;

-- An entry's piece, part, step, photograph, tin and mix are of each other. Lines from before that are not stay as they are.
alter table part add constraint part_of_piece unique (studio_id, id, piece_id);
alter table photo add constraint photo_of_piece unique (studio_id, id, piece_id);
alter table plan add constraint plan_of_part unique (studio_id, id, part_id);
alter table lot add constraint lot_of_product unique (studio_id, id, product_id);
alter table entry add constraint entry_of_kind unique (studio_id, id, kind);
alter table step add column part_id uuid;
update step s set part_id = p.part_id from plan p where p.id = s.plan_id;
alter table step
  alter column part_id set not null,
  add constraint step_of_part unique (studio_id, id, part_id),
  add constraint step_of_plan foreign key (studio_id, plan_id, part_id) references plan (studio_id, id, part_id);
alter table entry
  rename column repair to remedy;
alter table entry
  add column batch_kind text generated always as (case when batch_id is not null then 'mixed' end) stored,
  add constraint entry_part_of_piece foreign key (studio_id, part_id, piece_id) references part (studio_id, id, piece_id) not valid,
  add constraint entry_step_of_part foreign key (studio_id, step_id, part_id) references step (studio_id, id, part_id) not valid,
  add constraint entry_step_with_part check (step_id is null or part_id is not null) not valid,
  add constraint entry_photo_of_piece foreign key (studio_id, photo_id, piece_id) references photo (studio_id, id, piece_id) not valid,
  add constraint entry_lot_of_product foreign key (studio_id, lot_id, product_id) references lot (studio_id, id, product_id) not valid,
  add constraint entry_lot_with_product check (lot_id is null or product_id is not null) not valid,
  add constraint entry_batch_is_mixed foreign key (studio_id, batch_id, batch_kind) references entry (studio_id, id, kind) not valid;
alter table photo
  add constraint photo_part_of_piece foreign key (studio_id, part_id, piece_id) references part (studio_id, id, piece_id) not valid,
  add constraint photo_step_of_part foreign key (studio_id, step_id, part_id) references step (studio_id, id, part_id) not valid;

-- A piece ends once. Whoever comes second waits for the first, and is told.
create function piece_ends_once() returns trigger
  language plpgsql
  as $$
  begin
    if new.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped') then
      perform from piece where id = new.piece_id for update;
      if exists (
        select from entry e
        where e.piece_id = new.piece_id and e.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped')
          and e.id is distinct from new.corrects and e.id <> new.id
          and not exists (select from entry c where c.corrects = e.id)
      ) then
        raise exception using errcode = '23514', constraint = 'entry_ends_once', message = 'a piece ends once';
      end if;
    end if;
    return new;
  end $$;
create trigger entry_ends_once before insert on entry for each row execute function piece_ends_once();

-- When a piece left, beside it: who asks which pieces are here need not read every log.
alter table piece add column ended_at timestamptz;
update piece p set ended_at = g.ended_at from piece_ending g where g.piece_id = p.id;
drop view piece_ending;
create index piece_here on piece (studio_id, taken_in_at desc, id desc) where ended_at is null;
create index piece_left on piece (studio_id, ended_at desc, id desc) where ended_at is not null;
create function note_ending() returns trigger
  language plpgsql
  as $$
  begin
    if new.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped') or new.corrects is not null then
      update piece p set ended_at = (
        select max(e.at) from entry e
        where e.piece_id = new.piece_id and e.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped')
          and not exists (select from entry c where c.corrects = e.id)
      )
      where p.id = new.piece_id;
    end if;
    return null;
  end $$;
create trigger entry_notes_ending after insert on entry for each row execute function note_ending();

-- What pages ask of the log is found without reading it through.
create index entry_corrected on entry (corrects) where corrects is not null;
create index entry_assists on entry (part_id, at) where kind in ('assisted', 'unassisted');
create index entry_seen on entry (studio_id, at desc, id) where kind = 'seen';
create index entry_snags on entry (studio_id, at desc, piece_id) where kind = 'snag';
drop index entry_endings;
create index entry_endings on entry (piece_id, at) where kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped');
create index photo_by_part on photo (part_id) where part_id is not null;
create index photo_by_step on photo (step_id) where step_id is not null;
create index reading_typed on reading (studio_id, room_id, at desc) where source = 'typed' and doubt is null;
drop index reading_by_time;
create index reading_by_time on reading (studio_id, room_id, at desc) where doubt is null;
create index reading_by_moment on reading (studio_id, at desc);

-- A sensor's air in means of three hours, kept as it comes: what weeks ask after, without hundreds of readings a day.
create table air_mean (
  studio_id uuid not null references studio,
  -- the room, or zeros for none
  room_key uuid not null,
  bin timestamptz not null,
  temperature_sum numeric not null,
  humidity_sum numeric not null,
  count integer not null check (count > 0),
  primary key (studio_id, room_key, bin)
);
alter table air_mean enable row level security;
create policy own_studio on air_mean using (studio_id = current_studio()) with check (studio_id = current_studio());
grant select, insert, update on air_mean to itinerum_app;
create function keep_air_means() returns trigger
  language plpgsql
  as $$
  begin
    insert into air_mean as m (studio_id, room_key, bin, temperature_sum, humidity_sum, count)
      select studio_id, coalesce(room_id, '00000000-0000-0000-0000-000000000000'),
             date_bin('3 hours', at, timestamptz '2000-01-01 00:00+00'), sum(temperature), sum(humidity), count(*)
      from added where source = 'sensor' and doubt is null
      group by 1, 2, 3 order by 1, 2, 3
    on conflict (studio_id, room_key, bin) do update set
      temperature_sum = m.temperature_sum + excluded.temperature_sum,
      humidity_sum = m.humidity_sum + excluded.humidity_sum,
      count = m.count + excluded.count;
    return null;
  end $$;
create trigger reading_means after insert on reading referencing new table as added for each statement execute function keep_air_means();
insert into air_mean (studio_id, room_key, bin, temperature_sum, humidity_sum, count)
  select studio_id, coalesce(room_id, '00000000-0000-0000-0000-000000000000'),
         date_bin('3 hours', at, timestamptz '2000-01-01 00:00+00'), sum(temperature), sum(humidity), count(*)
  from reading where source = 'sensor' and doubt is null group by 1, 2, 3;

-- A tin that was used up is noted as such, so that a shelf need not sum what every tin ever gave.
alter table lot add column drained_at timestamptz;
drop index lot_on_shelf;
create index lot_on_shelf on lot (studio_id, bought_at, id) where emptied_at is null and drained_at is null;
create index lot_by_product on lot (product_id) where emptied_at is null;
create function note_drained(which uuid) returns void
  language sql
  as $$
    update lot l set drained_at = case when d.taken >= l.size then d.last end
    from (
      select coalesce(sum(d.amount), 0) as taken, max(e.at) as last
      from draw d join entry e on e.id = d.entry_id
      where d.lot_id = which and not exists (select from entry c where c.corrects = e.id)
    ) d
    where l.id = which and (l.drained_at is not null) <> (d.taken >= l.size)
  $$;
create function draw_drains() returns trigger
  language plpgsql
  as $$ begin perform note_drained(new.lot_id); return null; end $$;
create trigger draw_drains after insert on draw for each row execute function draw_drains();
-- what a corrected coat took goes back into its tin
create function correction_refills() returns trigger
  language plpgsql
  as $$
  begin
    if new.corrects is not null then perform note_drained(d.lot_id) from draw d where d.entry_id = new.corrects; end if;
    return null;
  end $$;
create trigger entry_refills after insert on entry for each row execute function correction_refills();
select note_drained(id) from lot;
grant update (drained_at) on lot to itinerum_app;

-- Time has bounds: what lies outside them was mistyped.
create function believable(at timestamptz) returns boolean
  language sql immutable
  as $$ select at >= '2000-01-01 00:00+00' and at < '2100-01-01 00:00+00' $$;
alter table entry add constraint entry_at_believable check (believable(at)) not valid;
alter table reading add constraint reading_at_believable check (believable(at)) not valid;
alter table photo add constraint photo_at_believable check (believable(taken_at)) not valid;
alter table plan add constraint plan_at_believable check (believable(made_at)) not valid;
alter table lot add constraint lot_at_believable check (believable(bought_at) and (emptied_at is null or believable(emptied_at))) not valid;
alter table piece add constraint piece_at_believable check (
  believable(taken_in_at) and (promised_on is null or promised_on between '2000-01-01' and '2099-12-31')
) not valid;

-- What was sent, by the number its sender gave it: the same again changes nothing, other words under it are refused.
create table sent (
  studio_id uuid not null references studio,
  id uuid not null,
  -- of what was sent; none for what was stored before this was kept
  digest text check (digest ~ '^[0-9a-f]{64}$'),
  at timestamptz not null default now(),
  primary key (studio_id, id)
);
insert into sent (studio_id, id)
  select studio_id, id from entry union select studio_id, id from plan union select studio_id, id from piece
  union select studio_id, id from part union select studio_id, id from photo union select studio_id, id from lot
  union select studio_id, id from recipe union select studio_id, id from reading where source = 'typed'
  union select studio_id, id from drying_figure union select studio_id, id from calendar_feed;

-- What a mix was made of, each component with the tin it came from, and the steps it was made for.
create table mix_component (
  entry_id uuid not null,
  studio_id uuid not null references studio,
  position integer not null check (position >= 0),
  name text not null check (length(name) between 1 and 60),
  parts numeric not null check (parts > 0),
  amount numeric not null check (amount > 0 and amount <= 100000),
  product_id uuid,
  lot_id uuid,
  primary key (entry_id, position),
  foreign key (studio_id, entry_id) references entry (studio_id, id),
  foreign key (studio_id, product_id) references product (studio_id, id),
  foreign key (studio_id, lot_id, product_id) references lot (studio_id, id, product_id),
  check (lot_id is null or product_id is not null)
);
create table mix_step (
  entry_id uuid not null,
  step_id uuid not null,
  studio_id uuid not null references studio,
  primary key (entry_id, step_id),
  foreign key (studio_id, entry_id) references entry (studio_id, id),
  foreign key (studio_id, step_id) references step (studio_id, id)
);
create index mix_step_by_step on mix_step (step_id);
insert into mix_step (entry_id, step_id, studio_id) select id, step_id, studio_id from entry where kind = 'mixed' and step_id is not null;

-- Part of a set that leaves takes its share of what was spent and worked; the other piece gives it up.
alter table entry drop constraint entry_kind_known;
alter table entry add constraint entry_kind_known check (kind in (
  'started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'checked', 'seen', 'assisted', 'unassisted', 'snag',
  'mixed', 'coat', 'cost', 'note', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped', 'amended', 'split', 'struck'
));
alter table entry add constraint entry_split_detailed check (kind <> 'split' or jsonb_typeof(detail) = 'object');

-- The codes that this version knows, brought up to date at every start: what carries another is refused where it is written.
create table code (
  kind text not null,
  code text not null,
  primary key (kind, code)
);
grant select on code to itinerum_app;
create function check_codes() returns trigger
  language plpgsql
  as $$
  declare
    pair text;
    given jsonb := to_jsonb(new);
    worth jsonb;
  begin
    foreach pair in array tg_argv loop
      worth := given -> split_part(pair, ':', 1);
      if jsonb_typeof(worth) = 'string' then worth := jsonb_build_array(worth); end if;
      if jsonb_typeof(worth) = 'array' and exists (
        select from jsonb_array_elements_text(worth) as each
        where not exists (select from code c where c.kind = split_part(pair, ':', 2) and c.code = each)
      ) then
        raise exception using errcode = '23514', constraint = 'known_code', message = format('%s holds a code that is not known: %s', pair, worth);
      end if;
    end loop;
    return new;
  end $$;
create trigger known_codes before insert or update on product for each row execute function check_codes('family:family');
create trigger known_codes before insert or update on part for each row
  execute function check_codes('kind:part-kind', 'substrate:substrate', 'existing:existing');
create trigger known_codes before insert on plan for each row
  execute function check_codes('look:look', 'extras:look', 'paint:family', 'seal:seal');
create trigger known_codes before insert on step for each row
  execute function check_codes('operation:operation', 'family:family', 'check_code:check', 'reason:reason', 'cautions:caution');
create trigger known_codes before insert on entry for each row
  execute function check_codes('family:family', 'check_code:check', 'remedy:remedy');
create trigger known_codes before insert on drying_figure for each row execute function check_codes('family:family');

do $$
declare each text;
begin
  foreach each in array array['sent', 'mix_component', 'mix_step'] loop
    execute format('alter table %I enable row level security', each);
    execute format('create policy own_studio on %I using (studio_id = current_studio()) with check (studio_id = current_studio())', each);
    execute format('grant select, insert on %I to itinerum_app', each);
  end loop;
end
$$;
create trigger mix_component_only_grows before update or delete on mix_component for each row execute function refuse_change();
create trigger mix_step_only_grows before update or delete on mix_step for each row execute function refuse_change();
