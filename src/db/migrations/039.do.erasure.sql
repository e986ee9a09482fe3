-- A client's own data can be erased though the log only grows: their name, what they asked, the links, and words wherever they stand in what
-- was written freely. No figure changes: the database refuses any other change of what was logged, whoever makes it.
create function entry_words_alone() returns trigger
  language plpgsql
  as $$
  begin
    if tg_op = 'UPDATE' and current_user <> 'itinerum_app'
       and to_jsonb(new) - array['note', 'detail'] = to_jsonb(old) - array['note', 'detail']
       and public.figures_in(new.detail) is not distinct from public.figures_in(old.detail) then
      return new;
    end if;
    raise exception 'the log only grows: % of % refused', tg_op, tg_table_name;
  end $$;
-- All that a value holds but its words.
create function figures_in(value jsonb) returns jsonb
  language sql immutable
  as $$ select jsonb_path_query_array(value, 'strict $.** ? (@.type() == "number" || @.type() == "boolean")') $$;
drop trigger entry_only_grows on entry;
create trigger entry_only_grows before update or delete on entry for each row execute function entry_words_alone();

-- Any of the words, whole ones, as a pattern; null for none.
create function words_pattern(words text[]) returns text
  language sql immutable
  as $$
    select '(?<!\w)(' || string_agg(regexp_replace(word, '(\W)', '\\\1', 'g'), '|' order by length(word) desc) || ')(?!\w)'
    from (select distinct btrim(each) as word from unnest(words) as each where length(btrim(each)) >= 3) w
  $$;

-- What is erased: of every piece of that client's in this studio. Answers with how many pieces, questions, and places in free words.
create function erase_client(which uuid, words text[]) returns table (pieces integer, asked integer, places integer)
  -- what is changed is looked at by rules of its tables, which name others of theirs
  language plpgsql security definer set search_path = pg_catalog, public, pg_temp
  as $$
  declare
    studio uuid := public.current_studio();
    who text := (select btrim(client) from public.piece where id = which and studio_id = studio);
    theirs uuid[];
    called text[];
    pattern text;
    n integer;
    struck constant text := 'the client';
    sentence constant text := 'Erased.';
  begin
    if public.current_member_role() is distinct from 'owner' then
      raise exception 'new row violates row-level security policy "owners_erase" for table "piece"' using errcode = '42501';
    end if;
    theirs := array(select id from public.piece
                    where studio_id = studio and (id = which or (who is not null and lower(btrim(client)) = lower(who))));
    if cardinality(theirs) = 0 then raise exception 'there is no such piece' using errcode = '23503'; end if;
    called := array(select name from public.piece where id = any (theirs));
    pattern := public.words_pattern(words || who);
    update public.piece set client = null where id = any (theirs) and client is not null;
    pieces := cardinality(theirs);
    update public.client_word w set words = sentence where piece_id = any (theirs) and person_id is null and w.words <> sentence;
    get diagnostics asked = row_count;
    update public.client_link set revoked_at = now() where piece_id = any (theirs) and revoked_at is null;
    places := 0;
    if pattern is not null then
      update public.client_word w set words = regexp_replace(w.words, pattern, struck, 'gi')
        where piece_id = any (theirs) and w.words ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.entry set note = regexp_replace(note, pattern, struck, 'gi') where piece_id = any (theirs) and note ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.entry set detail = public.struck_in(detail, pattern, struck)
        where piece_id = any (theirs) and public.struck_in(detail, pattern, struck) is distinct from detail;
      get diagnostics n = row_count; places := places + n;
      update public.photo set alt = regexp_replace(alt, pattern, struck, 'gi') where piece_id = any (theirs) and alt ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.piece set name = regexp_replace(name, pattern, struck, 'gi'),
          source_note = regexp_replace(source_note, pattern, struck, 'gi'), condition = regexp_replace(condition, pattern, struck, 'gi')
        where id = any (theirs) and concat_ws(' ', name, source_note, condition) ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.part set name = regexp_replace(name, pattern, struck, 'gi') where piece_id = any (theirs) and name ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.step s set words = regexp_replace(s.words, pattern, struck, 'gi')
        from public.plan l join public.part a on a.id = l.part_id
        where s.plan_id = l.id and a.piece_id = any (theirs) and s.words ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update door.happened set named = regexp_replace(named, pattern, struck, 'gi')
        where studio_id = studio and named ~* pattern and exists (select from unnest(called) as each where starts_with(named, each));
      get diagnostics n = row_count; places := places + n;
    end if;
    insert into door.happened (what, studio_id, by_account, thing, named)
      values ('ended', studio, (select account_id from door.membership where id = (door.open_session()).membership_id), 'client',
              (select name from public.piece where id = which));
    return next;
  end $$;
-- Words struck in whatever sentences a value holds; its names of facts and its figures stay.
create function struck_in(value jsonb, pattern text, struck text) returns jsonb
  language sql immutable
  as $$
    select case jsonb_typeof(value)
      -- a code is one small word: only sentences and names are written with more
      when 'string' then case when value #>> '{}' ~ '[[:upper:][:space:]]' then to_jsonb(regexp_replace(value #>> '{}', pattern, struck, 'gi')) else value end
      when 'array' then (select coalesce(jsonb_agg(public.struck_in(each, pattern, struck) order by n), '[]')
                         from jsonb_array_elements(value) with ordinality as a(each, n))
      when 'object' then (select coalesce(jsonb_object_agg(k, public.struck_in(each, pattern, struck)), '{}') from jsonb_each(value) as o(k, each))
      else value end
  $$;
revoke execute on function erase_client(uuid, text[]) from public;
grant execute on function erase_client(uuid, text[]) to itinerum_app;
alter table door.happened drop constraint happened_thing_check;
alter table door.happened
  add constraint happened_thing_check check (thing in ('studio', 'channel', 'product', 'person', 'plan', 'calendar_feed', 'client_link', 'client'));
