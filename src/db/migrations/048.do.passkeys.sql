-- Passkeys: a key that a phone, a computer or a stick keeps for one name of this server; of it the public half alone stands here.
create table door.passkey (
  -- as whoever keeps it names it
  id text primary key check (id ~ '^[A-Za-z0-9_-]+$' and length(id) between 16 and 1400),
  account_id uuid not null references door.account,
  public_key bytea not null check (length(public_key) between 16 and 4096),
  -- the name of the server that it is for: by any other it is never shown
  host text not null check (length(host) between 1 and 253),
  name text not null check (length(name) between 1 and 80),
  -- how often whoever keeps it says it was used; many say 0 always
  counter bigint not null default 0 check (counter >= 0),
  -- in ms, when that was asked which it signed last: the same comes in once, and nothing asked before it
  last_asked bigint not null default 0,
  made_at timestamptz not null default now(),
  used_at timestamptz,
  ended_at timestamptz
);
create index passkey_open on door.passkey (account_id) where ended_at is null;
grant select, insert, update (counter, last_asked, used_at, ended_at) on door.passkey to itinerum_door;

alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
           'codes-on', 'codes-off', 'printed-code', 'codes-asked', 'codes-left', 'key-made', 'key-ended', 'passkey-made',
           'passkey-ended', 'made', 'changed', 'ended'));
create function door.passkey_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    happened text := case
      when tg_op = 'INSERT' then 'passkey-made'
      when old.ended_at is null and new.ended_at is not null then 'passkey-ended'
    end;
  begin
    if happened is not null then
      perform door.tell(happened, m.studio_id, new.account_id, null, new.name, null)
        from door.membership m where m.account_id = new.account_id and m.ended_at is null;
    end if;
    return null;
  end $$;
create trigger happened after insert or update on door.passkey for each row execute function door.passkey_happened();
