-- The marks of a piece are folded into one now and then: all of them together, which is what its file is known by, stay what they were, and
-- a piece with a long log is looked up no slower than a new one. Those that another is folding are passed by; nobody waits for anybody.
create function door.fold_marks(pieces uuid[]) returns void
  language sql security definer set search_path = pg_catalog, pg_temp
  as $$
    with folded as (
      delete from door.piece_mark
      where ctid = any (array(select ctid from door.piece_mark where piece_id = any (pieces) for update skip locked))
      returning piece_id, studio_id, mark)
    insert into door.piece_mark (piece_id, studio_id, mark)
    select piece_id, studio_id, bit_xor(mark) from folded group by piece_id, studio_id
  $$;
revoke execute on function door.fold_marks(uuid[]) from public;

create or replace function door.mark_piece() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    marked uuid[];
  begin
    execute format(
      'with made as (insert into door.piece_mark (piece_id, studio_id) select distinct piece_id, studio_id from (%s) of returning piece_id)
       select array_agg(piece_id) from made',
      replace(tg_argv[0], 'changed', case tg_op
        when 'INSERT' then 'is_now' when 'DELETE' then 'was' else '(table is_now union all table was)' end)) into marked;
    -- about once in a hundred changes
    if random() < 0.01 then perform door.fold_marks(marked); end if;
    return null;
  end $$;

select door.fold_marks(array(select distinct piece_id from door.piece_mark));
