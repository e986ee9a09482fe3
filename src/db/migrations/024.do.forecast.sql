-- What somebody expects of the air on days to come, of one room or of all; without figures it is as usual after all. The last said counts.
create table air_forecast (
  id uuid primary key,
  studio_id uuid not null references studio,
  room_id uuid,
  from_day date not null check (from_day between '2000-01-01' and '2099-12-31'),
  to_day date not null check (to_day between from_day and from_day + 60),
  temperature numeric check (temperature between -30 and 50),
  humidity numeric check (humidity between 1 and 100),
  said_at timestamptz not null default clock_timestamp(),
  foreign key (studio_id, room_id) references room (studio_id, id),
  constraint air_forecast_whole check (num_nonnulls(temperature, humidity) in (0, 2))
);
create index air_forecast_ahead on air_forecast (studio_id, to_day, said_at desc);
alter table air_forecast enable row level security;
create policy own_studio on air_forecast using (studio_id = current_studio()) with check (studio_id = current_studio());
grant select, insert on air_forecast to itinerum_app;
create trigger tell_change after insert on air_forecast for each row execute function tell_change();
-- How long work takes here is asked of what was ended last.
create index entry_ended on entry (studio_id, at desc) include (step_id) where kind = 'ended';
-- A plan's lines keep what they were reckoned by.
alter table week_plan
  drop constraint week_plan_lines_check,
  add constraint week_plan_lines_check check (jsonb_typeof(lines) = 'array' and length(lines::text) <= 1000000);
