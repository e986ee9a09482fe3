-- What a client is offered, what they said to it and what they paid. Each grows only: an offer is kept to the letter with the digest of its
-- bytes, an answer stands for good, money that came is booked once however often it is told.
create table quote (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  at timestamptz not null default now(),
  written_by uuid default current_person(),
  -- the first, or a change of what was agreed
  kind text not null check (kind in ('quote', 'change')),
  -- the last day on which it can be accepted, on the studio's wall
  valid_until date not null,
  offer text not null check (length(offer) <= 60000 and jsonb_typeof(offer::jsonb) = 'object'),
  digest text not null check (digest ~ '^[0-9a-f]{64}$'),
  -- what the plan took and asked for when it was made: the studio's own, by which the next change is reckoned
  hours numeric check (hours between 0 and 10000),
  worth bigint check (worth >= 0),
  withdrawn_at timestamptz,
  unique (studio_id, id, piece_id),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, written_by) references person (studio_id, id)
);
create index quote_of_piece on quote (piece_id, at);
create table quote_answer (
  id uuid primary key,
  studio_id uuid not null references studio,
  -- it is answered once
  quote_id uuid not null unique,
  piece_id uuid not null,
  at timestamptz not null default now(),
  -- null: the client, by their link
  person_id uuid,
  -- worked on without an answer: by somebody of the studio, who says why
  answer text not null check (answer in ('accepted', 'declined', 'overridden')),
  name text check (length(name) between 1 and 120),
  reason text check (length(reason) between 1 and 500),
  -- what was accepted, to the letter
  accepted text check (length(accepted) <= 60000 and jsonb_typeof(accepted::jsonb) = 'object'),
  digest text check (digest ~ '^[0-9a-f]{64}$'),
  total bigint,
  deposit bigint check (deposit >= 0),
  foreign key (studio_id, quote_id, piece_id) references quote (studio_id, id, piece_id),
  foreign key (studio_id, person_id) references person (studio_id, id),
  constraint answer_by_somebody check (case when person_id is null then name is not null and answer <> 'overridden' else reason is not null end),
  constraint answer_whole check ((answer = 'accepted') = (accepted is not null) and (accepted is null) = (total is null)
    and (accepted is null) = (deposit is null) and (accepted is null) = (digest is null))
);
create index quote_answer_of_piece on quote_answer (piece_id, at);
-- What is asked of the service that takes money; it says by this number that it came.
create table payment_request (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  at timestamptz not null default now(),
  -- null: the client, by their link
  person_id uuid,
  what text not null check (what in ('deposit', 'part', 'balance', 'refund')),
  amount bigint not null check (amount > 0),
  currency text not null check (currency ~ '^[A-Z]{3}$'),
  unique (studio_id, id, piece_id),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, person_id) references person (studio_id, id)
);
create index payment_request_of_piece on payment_request (piece_id, at);
create table payment (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  at timestamptz not null,
  written_by uuid default current_person(),
  what text not null check (what in ('deposit', 'part', 'balance', 'refund')),
  amount bigint not null check (amount > 0),
  way text not null check (way in ('service', 'cash', 'transfer', 'card')),
  request_id uuid,
  -- the service's own number of it
  mark text check (length(mark) between 1 and 80),
  note text check (length(note) between 1 and 200),
  -- an earlier one that was written by mistake
  strikes uuid unique,
  unique (studio_id, id, piece_id),
  unique (mark),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, written_by) references person (studio_id, id),
  foreign key (studio_id, request_id, piece_id) references payment_request (studio_id, id, piece_id),
  foreign key (studio_id, strikes, piece_id) references payment (studio_id, id, piece_id),
  constraint payment_by_service check ((way = 'service') = (request_id is not null) and (way = 'service') = (mark is not null))
);
create index payment_of_piece on payment (piece_id, at);
create index payment_lately on payment (studio_id, at);

-- Whoever's session it is: the client by their link, somebody of the studio as themself, whatever a statement says.
create function sign_person() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' then new.person_id := current_person(); new.at := now(); end if;
    return new;
  end $$;
create function sign_writer() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' then new.written_by := current_person(); end if;
    return new;
  end $$;
create trigger sign_writer before insert on quote for each row execute function sign_writer();
create trigger sign_writer before insert on payment for each row execute function sign_writer();
create trigger sign_person before insert on quote_answer for each row execute function sign_person();
create trigger sign_person before insert on payment_request for each row execute function sign_person();

-- The digest is of the very bytes; what is brought in from elsewhere keeps the one that it was given.
create function digest_offer() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' then new.digest := encode(sha256(convert_to(new.offer, 'UTF8')), 'hex'); end if;
    return new;
  end $$;
create trigger digest_offer before insert on quote for each row execute function digest_offer();
create function digest_answer() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' and new.accepted is not null then
      new.digest := encode(sha256(convert_to(new.accepted, 'UTF8')), 'hex');
    end if;
    return new;
  end $$;
create trigger digest_answer before insert on quote_answer for each row execute function digest_answer();

-- What was withdrawn, or ran out, is accepted by nobody; what was answered is not withdrawn.
create function answer_stands() returns trigger
  language plpgsql security definer set search_path = pg_catalog, public, pg_temp
  as $$
  declare
    asked public.quote;
    today date;
  begin
    if session_user <> 'itinerum_app' then return new; end if;
    -- the same row that a withdrawal changes: one after the other
    select * into asked from public.quote where id = new.quote_id and studio_id = new.studio_id for update;
    select (now() at time zone zone)::date into today from public.studio where id = new.studio_id;
    if asked.withdrawn_at is not null or (new.person_id is null and asked.valid_until < today) then
      raise exception 'the offer stands no more' using errcode = '23514', constraint = 'answer_stands';
    end if;
    return new;
  end $$;
-- after the one that signs it
create trigger stands before insert on quote_answer for each row execute function answer_stands();
create function withdrawal_stands() returns trigger
  language plpgsql security definer set search_path = pg_catalog, public, pg_temp
  as $$
  begin
    if new.withdrawn_at is distinct from old.withdrawn_at and exists (select from public.quote_answer where quote_id = new.id) then
      raise exception 'it was answered' using errcode = '23514', constraint = 'withdrawal_stands';
    end if;
    return new;
  end $$;
create trigger stands before update of withdrawn_at on quote for each row execute function withdrawal_stands();

insert into door.may_write (role, what)
  select role, what from unnest(array['painter', 'bookkeeper']) as role, unnest(array['quote', 'quote_answer', 'payment_request', 'payment']) as what;

do $$
declare
  each record;
  shown text;
begin
  for each in
    select * from (values
      ('quote', array['offer', 'worth']), ('quote_answer', array['accepted', 'total', 'deposit']),
      ('payment_request', array['amount']), ('payment', array['amount'])
    ) as t (name, money)
  loop
    execute format('alter table %I enable row level security', each.name);
    execute format('create policy own_studio on %I using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()))', each.name);
    execute format('create policy only_piece on %I as restrictive for select to itinerum_app using ((select current_piece()) is null or piece_id = (select current_piece()))', each.name);
    if each.name in ('quote', 'payment') then
      execute format('create policy role_may on %I as restrictive for insert to itinerum_app with check ((select member_may(%L)))', each.name, each.name);
    end if;
    execute format('create trigger tell_change after insert%s on %I for each row execute function tell_change()',
      case each.name when 'quote' then ' or update' else '' end, each.name);
    execute format('grant insert on %I to itinerum_app', each.name);
    execute format('grant select (%s) on %I to itinerum_app',
      (select string_agg(quote_ident(attname), ', ') from pg_attribute
       where attrelid = each.name::regclass and attnum > 0 and not attisdropped and attname::text <> all (each.money)), each.name);
    -- who does not see money sees that there is one, by the table; what it says, by the view, is theirs who see money, and the client's
    select string_agg(case attname when 'worth' then 'case when (select current_piece()) is null then worth end as worth'
             when 'hours' then 'case when (select current_piece()) is null then hours end as hours' else quote_ident(attname) end, ', ' order by attnum)
      into shown from pg_attribute where attrelid = each.name::regclass and attnum > 0 and not attisdropped;
    execute format('create view %I with (security_barrier) as select %s from %I
      where studio_id = (select current_studio()) and case when (select current_piece()) is null then (select sees_money()) else piece_id = (select current_piece()) end',
      'seen_' || each.name, shown, each.name);
    execute format('grant select on %I to itinerum_app', 'seen_' || each.name);
  end loop;
end
$$;
-- A client answers and pays for their own piece, and writes nothing else.
create policy role_may on quote_answer as restrictive for insert to itinerum_app with check (
  case when (select current_piece()) is null then (select member_may('quote_answer')) else piece_id = (select current_piece()) end);
create policy role_may on payment_request as restrictive for insert to itinerum_app with check (
  case when (select current_piece()) is null then (select member_may('payment_request')) else piece_id = (select current_piece()) and what <> 'refund' end);
-- What the service told is booked by the door alone.
create policy by_hand on payment as restrictive for insert to itinerum_app with check (way <> 'service');
grant update (withdrawn_at) on quote to itinerum_app;
create policy role_may_change on quote as restrictive for update to itinerum_app using (true) with check ((select member_may('quote')));

-- The service told of a payment. Answers with what became of it: booked; known, where it was told before; other, where it is not what was
-- asked for; null for a number that nobody gave it.
create function door.take_notice(request uuid, told_mark text, told_amount bigint, told_currency text, told_at timestamptz) returns text
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    asked public.payment_request;
    n integer;
  begin
    select * into asked from public.payment_request where id = request;
    if asked.id is null then return null; end if;
    if asked.amount <> told_amount or asked.currency <> told_currency then return 'other'; end if;
    insert into public.payment (id, studio_id, piece_id, at, written_by, what, amount, way, request_id, mark)
      values (gen_random_uuid(), asked.studio_id, asked.piece_id, told_at, null, asked.what, asked.amount, 'service', asked.id, told_mark)
      on conflict (mark) do nothing;
    get diagnostics n = row_count;
    if n = 1 then return 'booked'; end if;
    return case when exists (select from public.payment where mark = told_mark and request_id = request) then 'known' else 'other' end;
  end $$;
revoke execute on function door.take_notice(uuid, text, bigint, text, timestamptz) from public;
grant execute on function door.take_notice(uuid, text, bigint, text, timestamptz) to itinerum_door;

-- Who is forgotten leaves no name under an offer either, and no words in it; figures and digests stay.
do $$
declare
  body text := pg_get_functiondef('erase_client(uuid, text[])'::regprocedure);
  mark_asked constant text := 'update public.client_link set revoked_at';
  mark_words constant text := 'update door.happened set named';
begin
  body := replace(body, mark_asked, 'update public.quote_answer set name = sentence where piece_id = any (theirs) and name is not null and name <> sentence;
    ' || mark_asked);
  body := replace(body, mark_words, 'update public.quote set offer = public.struck_in(offer::jsonb, pattern, struck)::text
        where piece_id = any (theirs) and public.struck_in(offer::jsonb, pattern, struck) is distinct from offer::jsonb;
      get diagnostics n = row_count; places := places + n;
      update public.quote_answer set accepted = public.struck_in(accepted::jsonb, pattern, struck)::text
        where piece_id = any (theirs) and public.struck_in(accepted::jsonb, pattern, struck) is distinct from accepted::jsonb;
      get diagnostics n = row_count; places := places + n;
      update public.quote_answer set reason = regexp_replace(reason, pattern, struck, ''gi'') where piece_id = any (theirs) and reason ~* pattern;
      get diagnostics n = row_count; places := places + n;
      update public.payment set note = regexp_replace(note, pattern, struck, ''gi'') where piece_id = any (theirs) and note ~* pattern;
      get diagnostics n = row_count; places := places + n;
      ' || mark_words);
  execute body;
end
$$;
