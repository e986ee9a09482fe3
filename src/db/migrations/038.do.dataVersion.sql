-- The form that the data has: said in what a studio takes along, so that a later version knows how to read it.
create function data_version() returns integer
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$ select max(version)::integer from public.schema_version $$;
revoke execute on function data_version() from public;
grant execute on function data_version() to itinerum_app;
