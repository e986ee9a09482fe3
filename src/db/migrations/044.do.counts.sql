-- The shelf is counted: what was found in a tin at a moment, why it is less or more than the log thought, and what that had cost. It grows
-- only; a tin counted wrongly is counted again.
create table tin_count (
  id uuid primary key,
  studio_id uuid not null references studio,
  lot_id uuid not null,
  at timestamptz not null check (believable(at)),
  written_by uuid default current_person(),
  reason text not null check (reason in ('counted', 'spilled', 'dried-up', 'frozen', 'given-away')),
  found numeric not null check (found >= 0 and found <= 100000),
  -- what is gone since the log last knew; below nothing where there was more
  gone numeric not null check (gone between -100000 and 100000),
  money bigint not null,
  unique (studio_id, id),
  foreign key (studio_id, lot_id) references lot (studio_id, id),
  foreign key (studio_id, written_by) references person (studio_id, id)
);
create index tin_count_by_lot on tin_count (lot_id);
create index tin_count_lately on tin_count (studio_id, at desc);
alter table tin_count enable row level security;
create policy own_studio on tin_count using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()));
create policy role_may on tin_count as restrictive for insert to itinerum_app with check ((select member_may('tin_count')));
create policy only_piece on tin_count as restrictive for select to itinerum_app using ((select current_piece()) is null);
insert into door.may_write (role, what) values ('painter', 'tin_count'), ('bookkeeper', 'tin_count');
create trigger sign_writer before insert on tin_count for each row execute function sign_writer();
create trigger tell_change after insert on tin_count for each row execute function tell_change();
create trigger tin_count_only_grows before update or delete on tin_count for each row execute function refuse_change();
grant insert on tin_count to itinerum_app;
grant select (id, studio_id, lot_id, at, written_by, reason, found, gone) on tin_count to itinerum_app;
create view seen_tin_count with (security_barrier) as
  select id, studio_id, lot_id, at, written_by, reason, found, gone,
         case when (select sees_money()) then money else money * 0 end as money
  from tin_count where studio_id = (select current_studio()) and (select current_piece()) is null;
grant select on seen_tin_count to itinerum_app;

-- A tin is drained by what was taken of it and by what is gone.
create or replace function note_drained(which uuid) returns void
  language sql
  as $$
    update lot l set drained_at = case when d.taken >= l.size then d.last end
    from (
      select sum(amount) as taken, max(at) as last from (
        select d.amount, e.at
        from draw d join entry e on e.id = d.entry_id
        where d.lot_id = which and not exists (select from entry c where c.corrects = e.id)
        union all
        select gone, at from tin_count where lot_id = which
        union all
        select 0, null
      ) as each
    ) d
    where l.id = which and (l.drained_at is not null) <> (d.taken >= l.size)
  $$;
create function count_drains() returns trigger
  language plpgsql
  as $$ begin perform note_drained(new.lot_id); return null; end $$;
create trigger count_drains after insert on tin_count for each row execute function count_drains();
