-- The log: it only grows. A correction names the entry it stands in place of, and an entry is corrected once at most.
create table entry (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  part_id uuid,
  step_id uuid,
  person_id uuid,
  kind text not null check (kind in (
    'started', 'ended', 'left-out', 'coat', 'cost', 'note', 'listed',
    'sold', 'handed-over', 'kept', 'given', 'scrapped', 'amended', 'struck'
  )),
  at timestamptz not null,
  recorded_at timestamptz not null default now(),
  corrects uuid constraint entry_corrects_once unique,
  minutes numeric constraint entry_minutes_believable check (minutes >= 0 and minutes <= 1440),
  product_id uuid,
  family text,
  mix text check (length(mix) <= 200),
  amount numeric check (amount >= 0 and amount <= 100000),
  unit text check (unit in ('ml', 'g')),
  applicator text check (length(applicator) <= 120),
  film text check (film in ('thin', 'normal', 'heavy')),
  cost_kind text check (cost_kind in ('bought', 'fetching', 'materials', 'consumables', 'hardware', 'delivery', 'other')),
  money bigint check (money >= 0),
  fees bigint check (fees >= 0),
  channel_id uuid,
  note text check (length(note) <= 4000),
  detail jsonb,
  unique (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, part_id) references part (studio_id, id),
  foreign key (studio_id, step_id) references step (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id),
  foreign key (studio_id, product_id) references product (studio_id, id),
  foreign key (studio_id, channel_id) references channel (studio_id, id),
  foreign key (studio_id, corrects) references entry (studio_id, id),
  constraint entry_corrects_another check (corrects <> id),
  constraint entry_struck_names_another check (kind <> 'struck' or corrects is not null),
  constraint entry_step_named check (kind not in ('started', 'ended', 'left-out') or (step_id is not null and part_id is not null)),
  constraint entry_coat_whole check (kind <> 'coat' or (part_id is not null and num_nonnulls(family, amount, unit, film, money) = 5)),
  constraint entry_cost_whole check (kind <> 'cost' or num_nonnulls(cost_kind, money) = 2),
  constraint entry_listed_whole check (kind <> 'listed' or num_nonnulls(channel_id, money) = 2),
  constraint entry_sold_whole check (kind <> 'sold' or num_nonnulls(channel_id, money, fees) = 3),
  constraint entry_handed_over_whole check (kind <> 'handed-over' or num_nonnulls(money, fees) = 2),
  constraint entry_note_said check (kind <> 'note' or length(note) > 0),
  constraint entry_amended_detailed check (kind <> 'amended' or jsonb_typeof(detail) = 'object')
);
create index entry_by_piece on entry (piece_id, at);
create index entry_endings on entry (studio_id, at desc, piece_id) where kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped');

create function refuse_change() returns trigger
  language plpgsql
  as $$ begin raise exception 'the log only grows: % of % refused', tg_op, tg_table_name; end $$;
create trigger entry_only_grows before update or delete on entry for each row execute function refuse_change();

-- A correction stays with its piece.
create function correction_keeps_piece() returns trigger
  language plpgsql
  as $$
  begin
    if new.corrects is not null and not exists (
      select from entry where id = new.corrects and piece_id = new.piece_id
    ) then
      raise exception using errcode = '23514', constraint = 'entry_corrects_own_piece', message = 'a correction names an entry of the same piece';
    end if;
    return new;
  end $$;
create trigger entry_correction before insert on entry for each row execute function correction_keeps_piece();

create view piece_ending with (security_invoker = true) as
  select e.studio_id, e.piece_id, max(e.at) as ended_at
  from entry e
  where e.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped')
    and not exists (select from entry c where c.corrects = e.id)
  group by e.studio_id, e.piece_id;
