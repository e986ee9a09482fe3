-- Each studio is told of on a channel of its own, whose name nobody can guess who is not in it: whoever gets a statement run hears no other
-- studio's changes.
create table door.channel_key (
  is_one boolean primary key default true check (is_one),
  secret bytea not null check (length(secret) = 32)
);
insert into door.channel_key (secret) values (sha256(convert_to(gen_random_uuid()::text || gen_random_uuid()::text, 'UTF8')));
create function door.channel_of(studio uuid) returns text
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    return 'itinerum_' || (
      select substr(encode(sha256(k.secret || convert_to(studio::text, 'UTF8')), 'hex'), 1, 40) from door.channel_key k);
  end $$;
revoke execute on function door.channel_of(uuid) from public;
-- The channel of the session's own studio; null where there is none.
create function own_channel() returns text
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$ begin return door.channel_of(public.current_studio()); end $$;
revoke execute on function own_channel() from public;
grant execute on function own_channel() to itinerum_app;
create or replace function tell_change() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$ begin perform pg_notify(door.channel_of(new.studio_id), tg_table_name); return null; end $$;
