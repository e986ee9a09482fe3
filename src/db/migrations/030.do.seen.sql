-- What each role may read. Money stands in columns that the application's role can't read; it asks views that leave them out for
-- whoever does not see money: a helper, a machine's key, a private calendar.
create table door.may_read (
  role text not null check (role in ('painter', 'bookkeeper', 'helper')),
  what text not null,
  primary key (role, what)
);
insert into door.may_read (role, what) values ('painter', 'money'), ('bookkeeper', 'money');

-- The till reckons what a coat or a mix costs, whoever lays it; only the digest of its secret is known here.
create table door.till (
  digest bytea primary key check (length(digest) = 32)
);
create function sees_money() returns boolean
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select exists (
        select from door.membership m
        where m.id = (door.open_session()).membership_id
          and (m.role = 'owner' or exists (select from door.may_read r where r.role = m.role and r.what = 'money')))
      or exists (
        select from door.till
        where digest = sha256(convert_to(coalesce(current_setting('itinerum.till', true), ''), 'UTF8')))
  $$;
-- Whose hands the session's person is; null for a machine's key.
create function current_person() returns uuid
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$ select person_id from door.membership where id = (door.open_session()).membership_id $$;

-- Who wrote an entry, by whose session it came; whose hands it was is said beside it.
alter table entry add column written_by uuid default current_person(),
  add foreign key (studio_id, written_by) references person (studio_id, id);

-- A view of each table that holds money, and the columns of it that are read past the view.
do $$
declare
  each record;
  shown text;
begin
  for each in
    select * from (values
      ('studio', 'id', array['hour_rate', 'overhead_rate', 'wish_value', 'haggle_share', 'consumables'], 'true'),
      ('channel', 'studio_id', array['fee_share', 'fee_fixed'], 'true'),
      ('product', 'studio_id', array['price'], 'true'),
      ('lot', 'studio_id', array['price'], 'true'),
      ('draw', 'studio_id', array['money'], 'true'),
      ('piece', 'studio_id', array['expected'], 'true'),
      -- what something cost is nothing but money: it is left out whole
      ('entry', 'studio_id', array['money', 'fees', 'detail'], '(kind <> ''cost'' or (select sees_money()))')
    ) as t (name, own, money, which)
  loop
    select string_agg(
        case
          when a.attname::text <> all (each.money) then quote_ident(a.attname)
          when each.name = 'piece' then format('case when (select sees_money()) then %I end as %1$I', a.attname)
          when a.attname = 'consumables' then format('case when (select sees_money()) then %I else ''{}'' end as %1$I', a.attname)
          when a.attname = 'detail' then
            'case when (select sees_money()) then detail when kind = ''split'' then detail || ''{"costs":{}}'' else detail - ''expected'' end as detail'
          -- a figure that has to be there is nought
          else format('case when (select sees_money()) then %I else %1$I * 0 end as %1$I', a.attname)
        end, ', ' order by a.attnum)
      into shown
      from pg_attribute a where a.attrelid = each.name::regclass and a.attnum > 0 and not a.attisdropped;
    execute format('create view %I with (security_barrier) as select %s from %I where %I = (select current_studio()) and %s',
      'seen_' || each.name, shown, each.name, each.own, each.which);
    execute format('grant select on %I to itinerum_app', 'seen_' || each.name);
    execute format('revoke select on %I from itinerum_app', each.name);
    select string_agg(quote_ident(a.attname), ', ') into shown
      from pg_attribute a
      where a.attrelid = each.name::regclass and a.attnum > 0 and not a.attisdropped and a.attname::text <> all (each.money);
    execute format('grant select (%s) on %I to itinerum_app', shown, each.name);
  end loop;
end
$$;

-- What is struck or corrected is written as it was: who may not write the one may not take it back.
create function kind_group(kind text) returns text
  language sql immutable
  as $$
    select case
      when kind in ('cost', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped') then 'entry of money'
      when kind in ('amended', 'split', 'left-out') then 'entry of plan'
      else 'entry of work'
    end
  $$;
-- Asked past the views and the rows' own rules: it says nothing of an entry but its kind.
create function corrected_kind(corrected uuid) returns text
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$ select kind from public.entry where id = corrected and studio_id = public.current_studio() $$;
drop policy role_may on entry;
create policy role_may on entry as restrictive for insert to itinerum_app with check (
  member_may(kind_group(case when kind = 'struck' then coalesce(corrected_kind(corrects), kind) else kind end))
  and (corrects is null or member_may(kind_group(coalesce(corrected_kind(corrects), kind)))));
-- When a piece left follows from its log, whoever put that right; where nothing changes nothing is written.
create or replace function note_ending() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    left_at timestamptz;
  begin
    if new.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped') or new.corrects is not null then
      select max(e.at) into left_at from public.entry e
      where e.piece_id = new.piece_id and e.kind in ('sold', 'handed-over', 'kept', 'given', 'scrapped')
        and not exists (select from public.entry c where c.corrects = e.id);
      update public.piece set ended_at = left_at
      where id = new.piece_id and studio_id = new.studio_id and ended_at is distinct from left_at;
    end if;
    return null;
  end $$;
-- A helper's clock, coats and checks are the helper's own.
create policy role_may_helper on entry as restrictive for insert to itinerum_app with check (
  person_id is null or (select current_member_role()) is distinct from 'helper' or person_id = (select current_person()));
-- Nobody signs as somebody else.
create policy role_may_sign on entry as restrictive for insert to itinerum_app with check (written_by is not distinct from (select current_person()));
-- At the door a studio has a name, and no terms.
revoke select on studio from itinerum_door;
grant select (id, name) on studio to itinerum_door;
