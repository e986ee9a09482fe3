-- Every statement that changes something of a piece leaves a mark beside it. All marks of a piece together are what its file is known by:
-- who has read it once need not read it again until they are others. Marks are added and never changed, so that nobody waits for anybody;
-- they are drawn by lot, so that a database that was set back does not come to the same ones another way.
create table door.piece_mark (
  piece_id uuid not null,
  studio_id uuid not null,
  mark bigint not null default ('x' || encode(substr(uuid_send(gen_random_uuid()), 1, 4) || substr(uuid_send(gen_random_uuid()), 1, 4), 'hex'))::bit(64)::bigint
);
create index piece_mark_of_piece on door.piece_mark (piece_id) include (studio_id, mark);

-- The argument says of which pieces the rows that changed are.
create function door.mark_piece() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  begin
    execute format('insert into door.piece_mark (piece_id, studio_id) select distinct piece_id, studio_id from (%s) of',
      replace(tg_argv[0], 'changed', case tg_op
        when 'INSERT' then 'is_now' when 'DELETE' then 'was' else '(table is_now union all table was)' end));
    return null;
  end $$;
do $$
declare
  each record;
begin
  for each in
    select * from (values
      ('piece', 'select id as piece_id, studio_id from changed c'),
      ('part', 'select piece_id, studio_id from changed c'),
      ('photo', 'select piece_id, studio_id from changed c'),
      ('entry', 'select piece_id, studio_id from changed c'),
      ('surface', 'select p.piece_id, p.studio_id from changed c join public.part p on p.id = c.part_id'),
      ('plan', 'select p.piece_id, p.studio_id from changed c join public.part p on p.id = c.part_id'),
      ('step', 'select p.piece_id, p.studio_id from changed c join public.part p on p.id = c.part_id'),
      ('mix_component', 'select e.piece_id, e.studio_id from changed c join public.entry e on e.id = c.entry_id'),
      ('mix_step', 'select e.piece_id, e.studio_id from changed c join public.entry e on e.id = c.entry_id')
    ) as t (name, of)
  loop
    execute format('create trigger mark_made after insert on %I referencing new table as is_now for each statement execute function door.mark_piece(%L)', each.name, each.of);
    execute format('create trigger mark_changed after update on %I referencing new table as is_now old table as was for each statement execute function door.mark_piece(%L)', each.name, each.of);
    execute format('create trigger mark_gone after delete on %I referencing old table as was for each statement execute function door.mark_piece(%L)', each.name, each.of);
    -- by whoever and however it is written, a loader that leaves the other rules out too
    execute format('alter table %I enable always trigger mark_made, enable always trigger mark_changed, enable always trigger mark_gone', each.name);
  end loop;
end
$$;

insert into door.piece_mark (piece_id, studio_id) select id, studio_id from piece;

-- Of pieces of the session's studio, by their ids: what their files are known by now, and how much of them whoever asks sees. Nothing for
-- who came by a client's link: they see a piece by rules of its own.
create function piece_marks(pieces uuid[]) returns table (piece_id uuid, mark text, with_money boolean)
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select m.piece_id, bit_xor(m.mark)::text, (select public.sees_money())
    from door.piece_mark m
    where m.piece_id = any (pieces) and m.studio_id = (select public.current_studio()) and (select public.current_piece()) is null
    group by m.piece_id
  $$;
revoke execute on function piece_marks(uuid[]) from public;
grant execute on function piece_marks(uuid[]) to itinerum_app;

-- The coats laid last are looked back on without the rest of the log.
create index entry_coats on entry (studio_id, at desc) where kind = 'coat';
-- Who worked beside whom is answered by the index alone again: what may be seen of the log is told by an entry's kind too.
drop index entry_clocks;
create index entry_clocks on entry (studio_id, at) include (step_id, piece_id, kind)
  where kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped');
