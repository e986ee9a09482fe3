-- A role is changed in place, and told. Who comes in anew is in anew: what the role before saw is not kept open.
grant update (role) on door.membership to itinerum_door;
alter table door.happened drop constraint happened_what_check;
alter table door.happened add constraint happened_what_check check (
  what in ('came-in', 'went-out', 'signed-out', 'joined', 'sent-away', 'role', 'password', 'invited', 'invitation-back'));
create or replace function door.membership_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    if tg_op = 'INSERT' then perform door.tell('joined', new.studio_id, new.account_id, new.role, null, null);
    elsif old.ended_at is null and new.ended_at is not null then
      perform door.tell('sent-away', new.studio_id, new.account_id, new.role, null, null);
    elsif new.role <> old.role then perform door.tell('role', new.studio_id, new.account_id, new.role, null, null);
    end if;
    return null;
  end $$;
