-- Doors. Who may come in is kept in a schema that the application's own role can't reach: it is opened by another role, at the
-- door alone. The studio of a transaction follows from the session whose secret it names; it can't be chosen.
do $$
begin
  if not exists (select from pg_roles where rolname = 'itinerum_door') then
    create role itinerum_door nologin;
  end if;
end
$$;
create schema door;

create table door.account (
  id uuid primary key,
  name text not null check (length(name) between 1 and 120),
  name_key text not null generated always as (lower(name)) stored unique,
  -- Argon2id, as it says of itself; null: nobody comes in by a password
  password text check (password like '$argon2id$%'),
  -- of the demo: comes in by one tap
  is_demo boolean not null default false,
  made_at timestamptz not null default now()
);
create table door.membership (
  id uuid primary key,
  account_id uuid not null references door.account,
  studio_id uuid not null references studio,
  person_id uuid not null,
  role text not null check (role in ('owner', 'painter', 'bookkeeper', 'helper')),
  made_at timestamptz not null default now(),
  ended_at timestamptz,
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create unique index membership_once on door.membership (account_id, studio_id) where ended_at is null;
create unique index membership_of_person on door.membership (studio_id, person_id) where ended_at is null;

-- A person's sign-in on one device, or a key of a helper machine. Only the digest of its secret is known here.
create table door.session (
  digest bytea primary key check (length(digest) = 32),
  id uuid not null unique,
  studio_id uuid not null references studio,
  membership_id uuid references door.membership,
  made_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  expires_at timestamptz not null,
  ended_at timestamptz,
  -- ended by somebody else, from another device: what is kept on the device goes
  is_revoked boolean not null default false,
  agent text check (length(agent) <= 400),
  address text check (length(address) <= 100)
);
create index session_of_member on door.session (membership_id, seen_at desc) where ended_at is null;

-- A way to a new password: shown once as an address, of which only the digest is kept.
create table door.password_key (
  digest bytea primary key check (length(digest) = 32),
  account_id uuid not null references door.account,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz
);

-- Each try to come in, written before it is known how it ends: so many at once are counted all the same.
create table door.sign_in_try (
  id uuid primary key,
  name_digest bytea not null check (length(name_digest) = 32),
  address text not null check (length(address) <= 100),
  at timestamptz not null default clock_timestamp(),
  came_in boolean not null default false
);
create index sign_in_try_of_name on door.sign_in_try (name_digest, at) where not came_in;
create index sign_in_try_from on door.sign_in_try (address, at) where not came_in;

-- A way in for one person: shown once as a link, of which only the digest is kept.
create table invitation (
  id uuid primary key,
  studio_id uuid not null references studio,
  digest bytea not null unique check (length(digest) = 32),
  role text not null check (role in ('owner', 'painter', 'bookkeeper', 'helper')),
  -- whose hands it is for; null: whoever comes says it
  person_id uuid,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  revoked_at timestamptz,
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index invitation_open on invitation (studio_id, made_at) where used_at is null and revoked_at is null;
alter table invitation enable row level security;

-- The session of a transaction: its secret was named by enter().
create function door.open_session() returns door.session
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select s from door.session s left join door.membership m on m.id = s.membership_id
    where s.digest = sha256(convert_to(current_setting('itinerum.session', true), 'UTF8'))
      and s.ended_at is null and s.expires_at > now() and m.ended_at is null
  $$;
create or replace function current_studio() returns uuid
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select coalesce(
      (door.open_session()).studio_id,
      (select studio_id from public.calendar_feed
       where digest = encode(sha256(convert_to(current_setting('itinerum.session', true), 'UTF8')), 'hex') and revoked_at is null))
  $$;
-- What the session's person is there; null for a machine's key.
create function current_member_role() returns text
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$ select role from door.membership where id = (door.open_session()).membership_id $$;
-- Goes into the studio of a session until the transaction ends; null where there is no such session.
create function enter(secret text) returns uuid
  language plpgsql set search_path = pg_catalog, public, pg_temp
  as $$
  begin
    perform set_config('itinerum.session', secret, true);
    return public.current_studio();
  end
  $$;

-- The studio is found once a statement, not once a row.
do $$
declare
  each record;
  key text;
begin
  for each in select tablename from pg_policies where schemaname = 'public' and policyname = 'own_studio' loop
    key := case each.tablename when 'studio' then 'id' else 'studio_id' end;
    execute format(
      'alter policy own_studio on %I using (%I = (select current_studio())) with check (%I = (select current_studio()))',
      each.tablename, key, key);
  end loop;
end
$$;
create policy own_studio on invitation
  using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()));
create policy owners_invite on invitation as restrictive for insert to itinerum_app
  with check ((select current_member_role()) = 'owner');
create policy owners_revoke on invitation as restrictive for update to itinerum_app
  using ((select current_member_role()) = 'owner');
grant select, insert, update (revoked_at) on invitation to itinerum_app;

grant usage on schema door, public to itinerum_door;
grant select, insert on door.account, door.membership, door.session, door.sign_in_try, door.password_key to itinerum_door;
grant update (password) on door.account to itinerum_door;
grant update (ended_at) on door.membership to itinerum_door;
grant update (seen_at, ended_at, is_revoked) on door.session to itinerum_door;
grant update (came_in) on door.sign_in_try to itinerum_door;
grant update (used_at) on door.password_key to itinerum_door;
grant select on studio to itinerum_door;
grant select, insert on person to itinerum_door;
grant select, insert, update (used_at, revoked_at) on invitation to itinerum_door;
create policy at_the_door on studio for select to itinerum_door using (true);
create policy at_the_door on person to itinerum_door using (true) with check (true);
create policy at_the_door on invitation to itinerum_door using (true) with check (true);
