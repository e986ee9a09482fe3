-- What each role may write, table by table. An owner writes everything; a machine's key writes what its machine reads. The log is
-- told apart by what an entry says: of work, of money, of the plan.
create table door.may_write (
  role text not null check (role in ('painter', 'bookkeeper', 'helper', 'machine')),
  what text not null,
  primary key (role, what)
);
insert into door.may_write (role, what)
  select 'painter', what from unnest(array[
    'entry of work', 'entry of money', 'entry of plan', 'draw', 'mix_component', 'mix_step', 'sent', 'photo', 'photo_rendition', 'reading',
    'air_mean', 'lot', 'product', 'piece', 'part', 'surface', 'plan', 'step', 'recipe', 'week_plan', 'other_day', 'air_forecast',
    'drying_figure', 'calendar_feed', 'room']) as what
  union all
  select 'bookkeeper', what from unnest(array[
    'entry of money', 'sent', 'lot', 'product', 'draw', 'piece', 'channel', 'calendar_feed']) as what
  union all
  select 'helper', what from unnest(array[
    'entry of work', 'draw', 'mix_component', 'mix_step', 'sent', 'photo', 'photo_rendition', 'lot', 'reading', 'air_mean']) as what
  union all
  select 'machine', what from unnest(array['reading', 'air_mean']) as what;

create function member_may(wanted text) returns boolean
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select case when m.role = 'owner' then true
      else exists (select from door.may_write w where w.what = wanted and w.role = coalesce(m.role, 'machine')) end
    from (select (door.open_session()).membership_id) s left join door.membership m on m.id = s.membership_id
  $$;

do $$
declare
  each text;
begin
  for each in
    select c.relname from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname not in ('entry', 'invitation')
      and has_table_privilege('itinerum_app', c.oid, 'insert')
  loop
    execute format('create policy role_may on %I as restrictive for insert to itinerum_app with check ((select member_may(%L)))', each, each);
  end loop;
  for each in
    select c.relname from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname <> 'invitation'
      and has_any_column_privilege('itinerum_app', c.oid, 'update')
  loop
    execute format(
      'create policy role_may_change on %I as restrictive for update to itinerum_app using (true) with check ((select member_may(%L)))',
      each, each);
  end loop;
end
$$;
create policy role_may on entry as restrictive for insert to itinerum_app with check (
  case
    when kind in ('cost', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped') then (select member_may('entry of money'))
    when kind in ('amended', 'split', 'left-out') then (select member_may('entry of plan'))
    else (select member_may('entry of work'))
  end);
