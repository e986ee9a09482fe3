-- The studio, its people, channels, shelf and air. Every table carries its studio; row-level security keeps studios apart.
do $$
begin
  if not exists (select from pg_roles where rolname = 'itinerum_app') then
    create role itinerum_app nologin;
  end if;
end
$$;

create function current_studio() returns uuid
  language sql stable
  as $$ select nullif(current_setting('itinerum.studio', true), '')::uuid $$;

create table studio (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  currency text not null check (currency ~ '^[A-Z]{3}$'),
  zone text not null check (length(zone) between 1 and 64),
  units text not null check (units in ('metric', 'imperial')),
  hour_rate bigint not null check (hour_rate >= 0),
  overhead_rate bigint not null check (overhead_rate >= 0),
  tax_mode text not null check (tax_mode in ('none', 'inclusive', 'margin')),
  tax_share numeric(6, 5) not null check (tax_share >= 0 and tax_share < 1),
  wish_kind text not null check (wish_kind in ('profit', 'margin', 'earnedRate')),
  wish_value numeric not null check (wish_value >= 0),
  haggle_share numeric(6, 5) not null check (haggle_share >= 0 and haggle_share < 1),
  price_step bigint not null check (price_step > 0),
  created_at timestamptz not null default now()
);
alter table studio enable row level security;
create policy own_studio on studio using (id = current_studio()) with check (id = current_studio());

create table person (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 80),
  unique (studio_id, id)
);

create table channel (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 80),
  fee_share numeric(6, 5) not null check (fee_share >= 0 and fee_share < 1),
  fee_fixed bigint not null check (fee_fixed >= 0),
  position integer not null default 0,
  unique (studio_id, id)
);

create table product (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 120),
  family text not null,
  colour_name text,
  colour_hex text check (colour_hex ~ '^#[0-9a-f]{6}$'),
  size numeric not null check (size > 0 and size <= 100000),
  unit text not null check (unit in ('ml', 'g')),
  price bigint not null check (price >= 0),
  created_at timestamptz not null default now(),
  unique (studio_id, id),
  check ((colour_name is null) = (colour_hex is null))
);

create table reading (
  id uuid primary key,
  studio_id uuid not null references studio,
  at timestamptz not null,
  temperature numeric not null constraint reading_temperature_believable check (temperature between -30 and 50),
  humidity numeric not null constraint reading_humidity_believable check (humidity between 1 and 100),
  recorded_at timestamptz not null default now(),
  unique (studio_id, id)
);
create index reading_by_time on reading (studio_id, at desc);
