-- A client looks at their piece by a link: unguessable, until a day, taken back by a tap. What it shows is chosen by the piece. Whoever comes
-- by it reads that piece alone, in every table and view, and writes nothing but a question.
create table client_page (
  piece_id uuid primary key,
  studio_id uuid not null references studio,
  shows text[] not null check (shows <@ array['photographs', 'section', 'next', 'ready', 'talk', 'record']),
  language text not null check (language in ('en', 'de', 'fr', 'es')),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create table client_photo (
  photo_id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  is_shown boolean not null default true,
  foreign key (studio_id, photo_id, piece_id) references photo (studio_id, id, piece_id)
);
create index client_photo_of_piece on client_photo (piece_id);
-- Only the digest of a link is known here.
create table client_link (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  digest bytea not null unique check (length(digest) = 32),
  made_at timestamptz not null default now(),
  expires_at timestamptz not null check (expires_at <= made_at + interval '2 years'),
  revoked_at timestamptz,
  opened integer not null default 0,
  opened_at timestamptz,
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index client_link_of_piece on client_link (piece_id, made_at);
-- What client and studio say to each other; it grows only.
create table client_word (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  at timestamptz not null default now(),
  -- null: the client
  person_id uuid,
  words text not null check (length(words) between 1 and 2000),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index client_word_of_piece on client_word (piece_id, at, id);

-- The piece of a client's link; null for everybody else.
create function current_link() returns client_link
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select l from public.client_link l
    where l.digest = sha256(convert_to(current_setting('itinerum.session', true), 'UTF8')) and l.revoked_at is null and l.expires_at > now()
  $$;
create function current_piece() returns uuid
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$ select (public.current_link()).piece_id $$;
create or replace function current_studio() returns uuid
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select coalesce(
      (door.open_session()).studio_id,
      (select studio_id from public.calendar_feed
       where digest = encode(sha256(convert_to(current_setting('itinerum.session', true), 'UTF8')), 'hex') and revoked_at is null),
      (public.current_link()).studio_id)
  $$;
-- A machine writes by a key of its own; an address that is only read by writes nothing.
create or replace function member_may(wanted text) returns boolean
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select case when s.id is null then false when m.role = 'owner' then true
      else exists (select from door.may_write w where w.what = wanted and w.role = coalesce(m.role, 'machine')) end
    from (select (o).id, (o).membership_id from (select door.open_session() as o) found) s
    left join door.membership m on m.id = s.membership_id
  $$;
-- That the page was opened, counted by whoever came by its link; read anew within a minute it is the same opening.
create function note_opening() returns void
  language sql security definer set search_path = pg_catalog, pg_temp
  as $$ update public.client_link set opened = opened + 1, opened_at = now()
    where id = (public.current_link()).id and (opened_at is null or opened_at < now() - interval '1 minute') $$;

insert into door.may_write (role, what)
  select 'painter', what from unnest(array['client_page', 'client_photo', 'client_link', 'client_word']) as what
  union all select 'bookkeeper', 'client_word';

do $$
declare
  each record;
begin
  for each in select unnest(array['client_page', 'client_photo', 'client_link', 'client_word']) as name loop
    execute format('alter table %I enable row level security', each.name);
    execute format('create policy own_studio on %I using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()))', each.name);
    execute format('grant select, insert on %I to itinerum_app', each.name);
    -- that a page was opened is nobody's concern
    execute format('create trigger tell_change after insert%s on %I for each row execute function tell_change()',
      case each.name when 'client_link' then ' or update of revoked_at' when 'client_word' then '' else ' or update' end, each.name);
    if each.name <> 'client_word' then
      execute format('create policy role_may on %I as restrictive for insert to itinerum_app with check ((select member_may(%L)))', each.name, each.name);
    end if;
  end loop;
end
$$;
grant update (shows, language) on client_page to itinerum_app;
grant update (revoked_at) on client_link to itinerum_app;
grant update (is_shown) on client_photo to itinerum_app;
create policy role_may_change on client_page as restrictive for update to itinerum_app
  using (true) with check ((select member_may('client_page')));
create policy role_may_change on client_link as restrictive for update to itinerum_app
  using (true) with check ((select member_may('client_link')));
create policy role_may_change on client_photo as restrictive for update to itinerum_app
  using (true) with check ((select member_may('client_photo')));
-- A client asks as the client, a painter answers as themself, whatever a statement says.
create function sign_word() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' then new.person_id := current_person(); end if;
    return new;
  end $$;
create trigger sign_word before insert on client_word for each row execute function sign_word();
create policy role_may on client_word as restrictive for insert to itinerum_app with check (
  case when person_id is null then piece_id = (select current_piece()) else (select member_may('client_word')) end);

-- Who came by a client's link reads that piece; of the house its name, its hours and its air; and nothing else. A table that is
-- made later is closed to them by this loop's rule, for the test asks the catalogue for each one's policy.
do $$
declare
  each record;
  only_piece constant text := '(select current_piece()) is null';
  cond text;
begin
  for each in
    select c.relname::text as name,
           exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'piece_id' and not a.attisdropped) as of_piece
    from pg_class c
    where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relrowsecurity
      and c.relname not in ('studio', 'room', 'reading', 'air_mean', 'drying_figure')
  loop
    cond := case each.name
      when 'piece' then 'id = (select current_piece())'
      when 'surface' then 'exists (select from part p where p.id = part_id)'
      when 'plan' then 'exists (select from part p where p.id = part_id)'
      when 'step' then 'exists (select from plan p where p.id = plan_id)'
      when 'photo' then 'piece_id = (select current_piece()) and exists (select from client_photo c where c.photo_id = id and c.is_shown)'
      when 'photo_rendition' then 'exists (select from photo p where p.id = photo_id)'
      -- what is written for the workshop stays in it
      when 'entry' then 'piece_id = (select current_piece()) and kind not in (''note'', ''cost'', ''listed'')'
      when 'client_link' then 'false'
      else case when each.of_piece then 'piece_id = (select current_piece())' else 'false' end end;
    execute format('create policy only_piece on %I as restrictive for select to itinerum_app using (%s or (%s))', each.name, only_piece, cond);
  end loop;
  for each in select relname::text as name, oid from pg_class where relnamespace = 'public'::regnamespace and relkind = 'v' loop
    cond := case each.name
      when 'seen_studio' then 'true'
      when 'seen_piece' then 'id = (select current_piece())'
      when 'seen_entry' then 'piece_id = (select current_piece()) and kind not in (''note'', ''cost'', ''listed'')'
      else 'false' end;
    execute format('create or replace view %I with (security_barrier) as %s and (%s or (%s))', each.name,
      rtrim(pg_get_viewdef(each.oid), ';'), only_piece, cond);
  end loop;
end
$$;

alter table door.happened drop constraint happened_thing_check;
alter table door.happened
  add constraint happened_thing_check check (thing in ('studio', 'channel', 'product', 'person', 'plan', 'calendar_feed', 'client_link'));
-- Of a link what it leads to is told, and that it was taken back; not that it was opened.
create function door.link_happened() returns trigger
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    who uuid := (select account_id from door.membership where id = (door.open_session()).membership_id);
  begin
    if who is null then return null; end if;
    if tg_op = 'UPDATE' and (old.revoked_at is not null or new.revoked_at is null) then return null; end if;
    insert into door.happened (what, studio_id, by_account, thing, named)
      values (case tg_op when 'INSERT' then 'made' else 'ended' end, new.studio_id, who, 'client_link',
              (select name from public.piece where id = new.piece_id));
    return null;
  end $$;
create trigger happened after insert or update on client_link for each row execute function door.link_happened();

-- Whoever was not there for a month signs in anew; a machine's key stands until its day.
create function door.idle() returns interval
  language sql immutable as $$ select interval '30 days' $$;
create or replace function door.open_session() returns door.session
  language sql stable security definer set search_path = pg_catalog, pg_temp
  as $$
    select s from door.session s left join door.membership m on m.id = s.membership_id
    where s.digest = sha256(convert_to(current_setting('itinerum.session', true), 'UTF8'))
      and s.ended_at is null and s.expires_at > now() and m.ended_at is null
      and (s.membership_id is null or s.seen_at > now() - door.idle())
  $$;
