-- Keys by which other programs read and write a studio: each of whoever made it, for no more than it may, until it is taken back.
alter table door.session
  add column key_name text check (length(key_name) between 1 and 80),
  add column key_may text[] check (key_may <@ array['read', 'write', 'money']),
  add constraint key_is_whole check ((key_name is null) = (key_may is null) and (key_name is null or membership_id is not null));
create table door.key_use (
  session_id uuid not null references door.session (id),
  minute timestamptz not null,
  count integer not null,
  primary key (session_id, minute)
);
grant select, insert, update (count), delete on door.key_use to itinerum_door;

create or replace function sees_money() returns boolean
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    s door.session := door.open_session();
  begin
    return (
      (s.key_may is null or 'money' = any (s.key_may)) and exists (
        select from door.membership m
        where m.id = s.membership_id
          and (m.role = 'owner' or exists (select from door.may_read r where r.role = m.role and r.what = 'money'))))
      or exists (
        select from door.till
        where digest = sha256(convert_to(coalesce(current_setting('itinerum.till', true), ''), 'UTF8')));
  end $$;
create or replace function member_may(wanted text) returns boolean
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    s door.session := door.open_session();
    as_what text;
  begin
    if s.id is null or (s.key_may is not null and not 'write' = any (s.key_may)) then return false; end if;
    select role into as_what from door.membership where id = s.membership_id;
    return as_what = 'owner' is true
      or exists (select from door.may_write w where w.what = wanted and w.role = coalesce(as_what, 'machine'));
  end $$;

alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
           'codes-on', 'codes-off', 'printed-code', 'codes-asked', 'codes-left', 'key-made', 'key-ended', 'made', 'changed', 'ended'));
create or replace function door.session_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    about uuid := (select account_id from door.membership where id = new.membership_id);
    is_key boolean := new.key_name is not null;
  begin
    -- a machine's key is nobody
    if about is null then return null; end if;
    if tg_op = 'INSERT' then
      perform door.tell(case when is_key then 'key-made' else 'came-in' end, new.studio_id, about, null, coalesce(new.key_name, new.agent), new.address);
    elsif old.ended_at is null and new.ended_at is not null then
      perform door.tell(case when is_key then 'key-ended' when new.is_revoked then 'signed-out' else 'went-out' end,
                        new.studio_id, about, null, coalesce(new.key_name, new.agent), new.address);
    end if;
    return null;
  end $$;
