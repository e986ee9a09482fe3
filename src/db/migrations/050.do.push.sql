-- Where a browser is told of windows while the app is shut: an address of the browser's own service, and the keys by which that service
-- can't read what it carries. It ends with the session it was given in.
create table door.push_place (
  id uuid primary key,
  session_id uuid not null references door.session (id),
  endpoint text not null check (length(endpoint) between 12 and 2000),
  p256dh text not null check (p256dh ~ '^[A-Za-z0-9_-]{87,88}$'),
  auth text not null check (auth ~ '^[A-Za-z0-9_-]{22,24}$'),
  made_at timestamptz not null default now(),
  ended_at timestamptz
);
-- one browser is one place, whoever was in before
create unique index push_place_once on door.push_place (endpoint) where ended_at is null;
create index push_place_of on door.push_place (session_id) where ended_at is null;
-- What was told where: once, whichever server tells it.
create table door.push_told (
  place_id uuid not null references door.push_place,
  what bytea not null check (length(what) = 32),
  at timestamptz not null default now(),
  primary key (place_id, what)
);
create index push_told_at on door.push_told (at);
-- By what the services know who sends: one pair of keys for the house.
create table door.push_key (
  is_one boolean primary key default true check (is_one),
  public text not null,
  private text not null
);
-- One server of several does what is done once.
create table door.clerk (
  what text primary key,
  by_whom uuid not null,
  until timestamptz not null
);
grant select, insert, update (session_id, p256dh, auth, ended_at) on door.push_place to itinerum_door;
grant select, insert, delete on door.push_told to itinerum_door;
grant select, insert on door.push_key to itinerum_door;
grant select, insert, update (by_whom, until) on door.clerk to itinerum_door;
