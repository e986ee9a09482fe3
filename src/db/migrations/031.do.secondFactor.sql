-- A second factor: six figures of the minute from an app, by a secret that it shares with the door; and printed codes for the day on
-- which the app is not there, of which only the digests are kept.
alter table door.account
  add column second_factor text check (second_factor ~ '^[A-Z2-7]{32}$'),
  -- the last step of its clock that was used: the same figures come in once
  add column last_step bigint;
grant update (second_factor, last_step) on door.account to itinerum_door;
create table door.recovery_code (
  digest bytea primary key check (length(digest) = 32),
  account_id uuid not null references door.account,
  made_at timestamptz not null default now(),
  -- by which somebody came in, or which newer ones stand in place of
  used_at timestamptz,
  is_replaced boolean not null default false
);
create index recovery_code_open on door.recovery_code (account_id) where used_at is null;
grant select, insert, update (used_at, is_replaced) on door.recovery_code to itinerum_door;

alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
           'codes-on', 'codes-off', 'printed-code'));
create or replace function door.account_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    happened text;
  begin
    foreach happened in array array_remove(array[
      case when new.password is distinct from old.password then 'password' end,
      case when old.second_factor is null and new.second_factor is not null then 'codes-on' end,
      case when old.second_factor is not null and new.second_factor is null then 'codes-off' end], null)
    loop
      perform door.tell(happened, m.studio_id, new.id, null, null, null)
        from door.membership m where m.account_id = new.id and m.ended_at is null;
    end loop;
    return null;
  end $$;
create function door.recovery_code_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if old.used_at is null and new.used_at is not null and not new.is_replaced then
      perform door.tell('printed-code', m.studio_id, new.account_id, null, null, null)
        from door.membership m where m.account_id = new.account_id and m.ended_at is null;
    end if;
    return null;
  end $$;
create trigger happened after update on door.recovery_code for each row execute function door.recovery_code_happened();
