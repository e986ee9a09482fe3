-- Tins as they were bought, what each coat took of which, mixes made up as batches, photographs by part and step, and snags marked on them.
create table lot (
  id uuid primary key,
  studio_id uuid not null references studio,
  product_id uuid not null,
  -- what is stamped on the tin
  code text check (length(code) between 1 and 60),
  size numeric not null check (size > 0 and size <= 100000),
  price bigint not null check (price >= 0),
  bought_at timestamptz not null,
  -- said by hand: thrown away, dried up, or empty before the log thought so
  emptied_at timestamptz,
  unique (studio_id, id),
  foreign key (studio_id, product_id) references product (studio_id, id)
);
create index lot_on_shelf on lot (product_id) where emptied_at is null;

create table draw (
  entry_id uuid not null,
  studio_id uuid not null references studio,
  lot_id uuid not null,
  amount numeric not null check (amount > 0 and amount <= 100000),
  money bigint not null check (money >= 0),
  primary key (entry_id, lot_id),
  foreign key (studio_id, entry_id) references entry (studio_id, id),
  foreign key (studio_id, lot_id) references lot (studio_id, id)
);
create index draw_by_lot on draw (lot_id);
create trigger draw_only_grows before update or delete on draw for each row execute function refuse_change();

do $$
declare each text;
begin
  foreach each in array array['lot', 'draw'] loop
    execute format('alter table %I enable row level security', each);
    execute format('create policy own_studio on %I using (studio_id = current_studio()) with check (studio_id = current_studio())', each);
    execute format('grant select, insert on %I to itinerum_app', each);
  end loop;
end
$$;
grant update (emptied_at) on lot to itinerum_app;
create trigger tell_change after insert or update on lot for each row execute function tell_change();
create trigger tell_change after insert or update on product for each row execute function tell_change();

-- A shelf that is older than its lots: one tin of each, with what was logged taken from it as far as it went.
insert into lot (id, studio_id, product_id, size, price, bought_at)
  select gen_random_uuid(), p.studio_id, p.id, p.size, p.price,
         coalesce((select min(e.at) from entry e where e.product_id = p.id), now())
  from product p;
insert into draw (entry_id, studio_id, lot_id, amount, money)
  select id, studio_id, lot_id, amount, money from (
    select e.id, e.studio_id, l.id as lot_id, e.amount, e.money, l.size,
           sum(e.amount) over (partition by l.id order by e.at, e.id) as so_far
    from entry e join lot l on l.product_id = e.product_id
    where e.kind = 'coat' and e.amount > 0 and not exists (select from entry c where c.corrects = e.id)
  ) taken
  where so_far <= size;

-- A mix is made up once and used by many coats: the coat names its batch, the batch costs what went into it.
alter table entry drop constraint entry_kind_known;
alter table entry add constraint entry_kind_known check (kind in (
  'started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'checked', 'seen', 'assisted', 'unassisted', 'snag',
  'mixed', 'coat', 'cost', 'note', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped', 'amended', 'struck'
));
alter table entry
  add column batch_id uuid,
  add column lot_id uuid,
  add column photo_id uuid,
  -- where on the photograph, as shares of its width and height from the top left
  add column mark_x numeric check (mark_x between 0 and 1),
  add column mark_y numeric check (mark_y between 0 and 1),
  add constraint entry_of_batch foreign key (studio_id, batch_id) references entry (studio_id, id),
  add constraint entry_of_lot foreign key (studio_id, lot_id) references lot (studio_id, id),
  add constraint entry_on_photo foreign key (studio_id, photo_id) references photo (studio_id, id),
  add constraint entry_marked_whole check (num_nonnulls(photo_id, mark_x, mark_y) in (0, 3)),
  add constraint entry_mixed_whole check (kind <> 'mixed' or (num_nonnulls(family, amount, unit, money, mix) = 5 and amount > 0));
create index entry_mixed on entry (studio_id, at desc) where kind = 'mixed';
create index entry_by_step on entry (step_id, at) where step_id is not null;
create index entry_by_batch on entry (batch_id) where batch_id is not null;

alter table photo
  add column part_id uuid,
  add column step_id uuid,
  add constraint photo_of_part foreign key (studio_id, part_id) references part (studio_id, id),
  add constraint photo_of_step foreign key (studio_id, step_id) references step (studio_id, id),
  add constraint photo_step_on_part check (step_id is null or part_id is not null);
