-- Who is asking is asked with every row's table, many times a page. A function in SQL is read and planned anew each time it is called from
-- a statement; in PL/pgSQL a connection keeps its plan. What they answer stays what it was.
do $$
declare
  each record;
begin
  for each in
    select p.oid, format('%I.%I(%s)', n.nspname, p.proname, pg_get_function_arguments(p.oid)) as called,
           pg_get_function_result(p.oid) as gives, rtrim(btrim(p.prosrc, E' \n'), ';') as asks
    from pg_proc p join pg_namespace n on n.oid = p.pronamespace join pg_language l on l.oid = p.prolang
    where n.nspname in ('public', 'door') and l.lanname = 'sql' and p.prosecdef and p.provolatile = 's' and p.pronargs <= 1
  loop
    execute format(
      'create or replace function %s returns %s language plpgsql stable security definer set search_path = pg_catalog, pg_temp as %L',
      each.called, each.gives, format(E'\n  begin\n    return (%s);\n  end', each.asks));
  end loop;
end
$$;
