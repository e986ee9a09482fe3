-- The secret of a session is another every two hours of its use: the browser is given the next one and is known by both until it comes
-- with it. From then on the one before is good for what was on its way, and whoever comes with it later has it from elsewhere: a cookie
-- that was copied ends the session, whoever of the two comes second.
alter table door.session
  add column next_digest bytea check (length(next_digest) = 32),
  add column last_digest bytea check (length(last_digest) = 32),
  add column renewed_at timestamptz not null default now(),
  -- ended because two came by it
  add column is_copied boolean not null default false;
create unique index session_next on door.session (next_digest) where next_digest is not null;
create unique index session_last on door.session (last_digest) where last_digest is not null;
grant update (digest, next_digest, last_digest, renewed_at, is_copied) on door.session to itinerum_door;

-- So old, a secret is given its next; so long, the one before is good for what was on its way.
create function door.renewal() returns interval language sql immutable as $$ select interval '2 hours' $$;
create function door.overlap() returns interval language sql immutable as $$ select interval '2 minutes' $$;
-- Whether a session stands, whoever asks: not ended, not over, used within a month, and of somebody who still comes in.
create function door.stands(s door.session) returns boolean
  language sql stable
  as $$
    select s.ended_at is null and s.expires_at > now()
      and (s.membership_id is null
           or (s.seen_at > now() - door.idle()
               and exists (select from door.membership m where m.id = s.membership_id and m.ended_at is null)))
  $$;
-- The session that a secret is of: the one that stands, the next one, or the one before. Looked for one after the other, for nearly always it
-- is the first, and every statement asks.
create function door.by_digest(asked bytea) returns door.session
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    s door.session;
  begin
    select * into s from door.session where digest = asked;
    if s.id is null then select * into s from door.session where next_digest = asked; end if;
    if s.id is null then select * into s from door.session where last_digest = asked; end if;
    return s;
  end $$;
revoke execute on function door.by_digest(bytea) from public;
grant execute on function door.by_digest(bytea) to itinerum_door;
create or replace function door.open_session() returns door.session
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    asked bytea := sha256(convert_to(current_setting('itinerum.session', true), 'UTF8'));
    s door.session := door.by_digest(asked);
  begin
    if s.id is null or not door.stands(s) or (s.last_digest = asked and s.renewed_at <= now() - door.overlap()) then return null; end if;
    if s.membership_id is not null
       and exists (select from door.house_rule r where r.studio_id = s.studio_id and r.asks_codes)
       and not exists (
         select from door.membership m join door.account a on a.id = m.account_id
         where m.id = s.membership_id and (a.second_factor is not null or a.is_demo)) then return null; end if;
    return s;
  end $$;

alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'copied', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
           'codes-on', 'codes-off', 'printed-code', 'codes-asked', 'codes-left', 'key-made', 'key-ended', 'passkey-made',
           'passkey-ended', 'made', 'changed', 'ended'));
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
      perform door.tell(case when is_key then 'key-ended' when new.is_copied then 'copied' when new.is_revoked then 'signed-out' else 'went-out' end,
                        new.studio_id, about, null, coalesce(new.key_name, new.agent), new.address);
    end if;
    return null;
  end $$;
