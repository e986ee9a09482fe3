-- Beside what happened at the doors: what somebody changed of terms, prices, people, plans and private links. Written by triggers; what a
-- loader or a machine writes is nobody's change and is not told.
alter table door.happened drop constraint happened_what_check;
alter table door.happened
  add constraint happened_what_check check (
    what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
             'codes-on', 'codes-off', 'printed-code', 'made', 'changed', 'ended')),
  add column thing text check (thing in ('studio', 'channel', 'product', 'person', 'plan', 'calendar_feed')),
  add column named text,
  -- by column: what it was, and what it is
  add column facts jsonb,
  add constraint happened_thing_told check ((thing is not null) = (what in ('made', 'changed', 'ended')));

create function door.thing_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    who uuid := (select account_id from door.membership where id = (door.open_session()).membership_id);
    is_now jsonb := to_jsonb(new);
    what text := 'made';
    changed jsonb;
    called text;
  begin
    if who is null then return null; end if;
    if tg_op = 'UPDATE' then
      select jsonb_object_agg(o.key, jsonb_build_array(o.value, n.value)) into changed
        from jsonb_each(to_jsonb(old)) o join jsonb_each(is_now) n using (key)
        where o.value is distinct from n.value and o.key <> 'kept_at';
      if changed is null then return null; end if;
      what := case when changed ? 'revoked_at' then 'ended' else 'changed' end;
    end if;
    called := case tg_table_name
      when 'studio' then null
      when 'calendar_feed' then null
      when 'plan' then (select p.name || ', ' || lower(a.name) from public.part a join public.piece p on p.id = a.piece_id
                        where a.id = (is_now ->> 'part_id')::uuid)
      else is_now ->> 'name' end;
    insert into door.happened (what, studio_id, by_account, thing, named, facts)
      values (what, (is_now ->> case tg_table_name when 'studio' then 'id' else 'studio_id' end)::uuid, who, tg_table_name, called,
              case when what = 'changed' then changed end);
    return null;
  end $$;
create trigger happened after update on studio for each row execute function door.thing_happened();
create trigger happened after insert on plan for each row execute function door.thing_happened();
create trigger happened after insert or update on channel for each row execute function door.thing_happened();
create trigger happened after insert or update on product for each row execute function door.thing_happened();
create trigger happened after insert or update on person for each row execute function door.thing_happened();
create trigger happened after insert or update on calendar_feed for each row execute function door.thing_happened();
