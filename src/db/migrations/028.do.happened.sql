-- What happened at the doors: who came in and went out, who was asked in or sent away, whose password is another. Written by triggers,
-- so that no way of doing it can pass it by; it only grows.
create table door.happened (
  id bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  studio_id uuid not null references studio,
  what text not null check (what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'password', 'invited', 'invitation-back')),
  -- who did it, where that is known; and whom it is about
  by_account uuid references door.account,
  about_account uuid references door.account,
  role text,
  agent text,
  address text
);
create index happened_in on door.happened (studio_id, id desc);
grant select on door.happened to itinerum_door;

create function door.tell(what text, studio uuid, about uuid, role text, agent text, address text) returns void
  language sql security definer set search_path = pg_catalog, pg_temp
  as $$
    insert into door.happened (what, studio_id, by_account, about_account, role, agent, address)
      values (what, studio, (select account_id from door.membership where id = (door.open_session()).membership_id), about, role, agent, address)
  $$;
create function door.session_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    about uuid := (select account_id from door.membership where id = new.membership_id);
  begin
    -- a machine's key is nobody
    if about is null then return null; end if;
    if tg_op = 'INSERT' then perform door.tell('came-in', new.studio_id, about, null, new.agent, new.address);
    elsif old.ended_at is null and new.ended_at is not null then
      perform door.tell(case when new.is_revoked then 'signed-out' else 'went-out' end, new.studio_id, about, null, new.agent, new.address);
    end if;
    return null;
  end $$;
create trigger happened after insert or update on door.session for each row execute function door.session_happened();
create function door.membership_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if tg_op = 'INSERT' then perform door.tell('joined', new.studio_id, new.account_id, new.role, null, null);
    elsif old.ended_at is null and new.ended_at is not null then
      perform door.tell('sent-away', new.studio_id, new.account_id, new.role, null, null);
    end if;
    return null;
  end $$;
create trigger happened after insert or update on door.membership for each row execute function door.membership_happened();
create function door.account_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if new.password is distinct from old.password then
      perform door.tell('password', m.studio_id, new.id, null, null, null) from door.membership m where m.account_id = new.id and m.ended_at is null;
    end if;
    return null;
  end $$;
create trigger happened after update on door.account for each row execute function door.account_happened();
create function door.invitation_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if tg_op = 'INSERT' then perform door.tell('invited', new.studio_id, null, new.role, null, null);
    elsif old.revoked_at is null and new.revoked_at is not null then
      perform door.tell('invitation-back', new.studio_id, null, new.role, null, null);
    end if;
    return null;
  end $$;
create trigger happened after insert or update on invitation for each row execute function door.invitation_happened();
-- nobody tells it by hand
revoke execute on function door.tell(text, uuid, uuid, text, text, text) from public;
