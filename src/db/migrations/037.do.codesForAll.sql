-- A studio may ask a code from an app of everybody: who has none comes no further than to where one is set up. The demo's people come in by a tap.
create table door.house_rule (
  studio_id uuid primary key references studio,
  asks_codes boolean not null
);
grant select, insert, update (asks_codes) on door.house_rule to itinerum_door;
create or replace function door.open_session() returns door.session
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    return (
      select s from door.session s
      left join door.membership m on m.id = s.membership_id
      left join door.account a on a.id = m.account_id
      left join door.house_rule r on r.studio_id = s.studio_id
      where s.digest = sha256(convert_to(current_setting('itinerum.session', true), 'UTF8'))
        and s.ended_at is null and s.expires_at > now() and m.ended_at is null
        and (s.membership_id is null
             or (s.seen_at > now() - door.idle()
                 and (not coalesce(r.asks_codes, false) or a.second_factor is not null or a.is_demo))));
  end $$;

alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back',
           'codes-on', 'codes-off', 'printed-code', 'codes-asked', 'codes-left', 'made', 'changed', 'ended'));
create function door.rule_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if tg_op = 'INSERT' or new.asks_codes <> old.asks_codes then
      perform door.tell(case when new.asks_codes then 'codes-asked' else 'codes-left' end, new.studio_id, null, null, null, null);
    end if;
    return null;
  end $$;
create trigger happened after insert or update on door.house_rule for each row execute function door.rule_happened();
