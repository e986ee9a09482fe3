-- What is asked with every page is asked once: whether who reads sees money, in a view that has many columns of it; and marks by a plan that
-- is kept.
do $$
declare
  each text;
  told text;
begin
  foreach each in array array['studio', 'channel'] loop
    told := pg_get_viewdef(format('seen_%s', each)::regclass);
    told := replace(told, '( SELECT sees_money() AS sees_money)', 'money.seen');
    told := replace(told, format('FROM %s', each), format('FROM %s CROSS JOIN LATERAL (SELECT sees_money() AS seen OFFSET 0) money', each));
    if told not like '%money.seen%' or told not like '%LATERAL%' then raise exception 'seen_% is written otherwise', each; end if;
    execute format('create or replace view seen_%s as %s', each, told);
  end loop;
end
$$;
create or replace function piece_marks(pieces uuid[]) returns table (piece_id uuid, mark text, with_money boolean)
  language plpgsql stable security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    here uuid := public.current_studio();
    money boolean := public.sees_money();
  begin
    if public.current_piece() is not null then return; end if;
    return query
      select m.piece_id, bit_xor(m.mark)::text, money
      from door.piece_mark m where m.piece_id = any (pieces) and m.studio_id = here
      group by m.piece_id;
  end $$;
