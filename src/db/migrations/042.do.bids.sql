-- What was looked at and bid for, bought or not: each word said of it as it was said, the last of a lot in force. What it would have borne and
-- what it went for teach the next bid.
create table bid (
  id uuid primary key,
  studio_id uuid not null references studio,
  -- what was looked at; several words may be said of it
  lot_id uuid not null,
  at timestamptz not null,
  written_by uuid default current_person(),
  -- the auction or sale it stood in
  sale text check (length(sale) between 1 and 80),
  name text not null check (length(name) between 1 and 120),
  outcome text not null check (outcome in ('bought', 'outbid', 'left')),
  piece_id uuid,
  -- what was seen and chosen on the card
  card jsonb not null check (jsonb_typeof(card) = 'object' and length(card::text) <= 4000),
  hours numeric not null check (hours between 0 and 10000),
  highest bigint check (highest >= 0),
  brings bigint check (brings >= 0),
  went_for bigint check (went_for >= 0),
  unique (studio_id, id),
  foreign key (studio_id, written_by) references person (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  constraint bid_bought check ((piece_id is not null) = (outcome = 'bought'))
);
create index bid_lately on bid (studio_id, at desc);
create index bid_by_lot on bid (lot_id, at desc);
alter table bid enable row level security;
create policy own_studio on bid using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()));
create policy role_may on bid as restrictive for insert to itinerum_app with check ((select member_may('bid')));
create policy only_piece on bid as restrictive for select to itinerum_app using ((select current_piece()) is null);
insert into door.may_write (role, what) values ('painter', 'bid'), ('bookkeeper', 'bid');
create trigger tell_change after insert on bid for each row execute function tell_change();
grant insert on bid to itinerum_app;
grant select (id, studio_id, lot_id, at, written_by, sale, name, outcome, piece_id, card, hours) on bid to itinerum_app;
create view seen_bid with (security_barrier) as
  select id, studio_id, lot_id, at, written_by, sale, name, outcome, piece_id, card, hours,
         case when (select sees_money()) then highest end as highest,
         case when (select sees_money()) then brings end as brings,
         case when (select sees_money()) then went_for end as went_for
  from bid where studio_id = (select current_studio()) and (select current_piece()) is null;
grant select on seen_bid to itinerum_app;
