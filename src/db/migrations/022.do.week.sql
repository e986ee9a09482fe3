-- People's own hours, where they are not the house's.
alter table person
  add column works_from integer,
  add column works_to integer,
  add column works_days smallint[],
  add constraint person_works_whole check (num_nonnulls(works_from, works_to, works_days) in (0, 3)),
  add constraint person_works_a_day check (works_from >= 0 and works_to <= 1440 and works_to - works_from >= 30),
  add constraint person_works_a_week check (cardinality(works_days) between 1 and 7 and works_days <@ '{0,1,2,3,4,5,6}'::smallint[]);
-- How many loose parts may lie to dry at one time; none said: there is room enough.
alter table studio add column drying_places integer check (drying_places between 1 and 500);
-- Days that are other than usual, of one person or of all: each as it was said, the last of a day counts.
create table other_day (
  id uuid primary key,
  studio_id uuid not null references studio,
  person_id uuid,
  day date not null check (day between '2000-01-01' and '2099-12-31'),
  works_from integer,
  works_to integer,
  -- it is as usual again
  usual boolean not null default false,
  said_at timestamptz not null default clock_timestamp(),
  foreign key (studio_id, person_id) references person (studio_id, id),
  unique (studio_id, id),
  constraint other_day_whole check (num_nonnulls(works_from, works_to) in (0, 2) and (not usual or works_from is null)),
  constraint other_day_hours check (works_from >= 0 and works_to <= 1440 and works_to - works_from >= 5)
);
create index other_day_by_day on other_day (studio_id, day, said_at);
-- The week as it was planned, each time: the last is in force.
create table week_plan (
  id uuid primary key,
  studio_id uuid not null references studio,
  made_at timestamptz not null default clock_timestamp(),
  lines jsonb not null check (jsonb_typeof(lines) = 'array' and length(lines::text) <= 400000),
  pins jsonb not null check (jsonb_typeof(pins) = 'array' and length(pins::text) <= 100000),
  unique (studio_id, id)
);
create index week_plan_last on week_plan (studio_id, made_at desc);
do $$
declare each text;
begin
  foreach each in array array['other_day', 'week_plan'] loop
    execute format('alter table %I enable row level security', each);
    execute format('create policy own_studio on %I using (studio_id = current_studio()) with check (studio_id = current_studio())', each);
    execute format('grant select, insert on %I to itinerum_app', each);
    execute format('create trigger tell_change after insert on %I for each row execute function tell_change()', each);
  end loop;
end
$$;
