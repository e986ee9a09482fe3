-- Invoices and credit notes: numbered one after the other without a gap, kept to the letter with the digest of their bytes, never changed.
create table receipt (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  -- its studio's own: 1, 2, 3
  number integer not null check (number > 0),
  kind text not null check (kind in ('invoice', 'credit')),
  at timestamptz not null default now(),
  written_by uuid default current_person(),
  -- of a credit note: the invoice that it takes back of
  credits uuid,
  paper text not null check (length(paper) <= 60000 and jsonb_typeof(paper::jsonb) = 'object'),
  digest text not null check (digest ~ '^[0-9a-f]{64}$'),
  total bigint not null check (total > 0),
  tax bigint not null check (tax >= 0 and tax <= total),
  unique (studio_id, id, piece_id),
  unique (studio_id, number),
  foreign key (studio_id, piece_id) references piece (studio_id, id),
  foreign key (studio_id, written_by) references person (studio_id, id),
  foreign key (studio_id, credits, piece_id) references receipt (studio_id, id, piece_id),
  constraint receipt_credits check ((credits is not null) = (kind = 'credit'))
);
create index receipt_of_piece on receipt (piece_id, number);
alter table receipt enable row level security;
create policy own_studio on receipt using (studio_id = (select current_studio())) with check (studio_id = (select current_studio()));
create policy role_may on receipt as restrictive for insert to itinerum_app with check ((select member_may('receipt')));
create policy only_piece on receipt as restrictive for select to itinerum_app using ((select current_piece()) is null or piece_id = (select current_piece()));
insert into door.may_write (role, what) values ('painter', 'receipt'), ('bookkeeper', 'receipt');
create trigger tell_change after insert on receipt for each row execute function tell_change();
create trigger receipt_only_grows before delete on receipt for each row execute function refuse_change();
grant insert on receipt to itinerum_app;
grant select (id, studio_id, piece_id, number, kind, at, written_by, credits, digest) on receipt to itinerum_app;
create view seen_receipt with (security_barrier) as
  select id, studio_id, piece_id, number, kind, at, written_by, credits, paper, digest, total,
         case when (select current_piece()) is null then tax else 0 end as tax
  from receipt
  where studio_id = (select current_studio())
    and case when (select current_piece()) is null then (select sees_money()) else piece_id = (select current_piece()) end;
grant select on seen_receipt to itinerum_app;

-- The next number, the moment, whose hand, and the digest of the very bytes. One after the other: a number that is given up with its
-- transaction is the next one's.
create function number_receipt() returns trigger
  language plpgsql security definer set search_path = pg_catalog, public, pg_temp
  as $$
  begin
    -- what is brought in from elsewhere keeps what it was given
    if session_user <> 'itinerum_app' then return new; end if;
    perform pg_advisory_xact_lock(hashtextextended('receipts of ' || new.studio_id, 0));
    new.number := coalesce((select max(number) from public.receipt where studio_id = new.studio_id), 0) + 1;
    new.at := clock_timestamp();
    new.written_by := public.current_person();
    new.digest := encode(sha256(convert_to(new.paper, 'UTF8')), 'hex');
    return new;
  end $$;
create trigger number_receipt before insert on receipt for each row execute function number_receipt();
-- A piece is billed once at a time, and no more is taken back of an invoice than stands on it. Looked at when the row was let in.
create function receipt_stands() returns trigger
  language plpgsql security definer set search_path = pg_catalog, public, pg_temp
  as $$
  declare
    left_open bigint;
  begin
    if session_user <> 'itinerum_app' then return null; end if;
    if new.kind = 'credit' then
      select r.total - sum(c.total) into left_open
        from public.receipt r join public.receipt c on c.studio_id = r.studio_id and c.credits = r.id
        where r.id = new.credits and r.studio_id = new.studio_id and r.kind = 'invoice' group by r.total;
      if left_open is null or left_open < 0 then
        raise exception 'no more is taken back of an invoice than stands on it' using errcode = '23514', constraint = 'receipt_within_invoice';
      end if;
    elsif exists (
      select from public.receipt r
      where r.studio_id = new.studio_id and r.piece_id = new.piece_id and r.kind = 'invoice' and r.id <> new.id
        and r.total > coalesce((select sum(c.total) from public.receipt c where c.studio_id = r.studio_id and c.credits = r.id), 0)
    ) then
      raise exception 'it is billed already' using errcode = '23505', constraint = 'receipt_billed_once';
    end if;
    return null;
  end $$;
create trigger receipt_stands after insert on receipt for each row execute function receipt_stands();

-- Who is forgotten is struck out of them as well; numbers, figures and digests stay.
do $$
declare
  body text := pg_get_functiondef('erase_client(uuid, text[])'::regprocedure);
  mark_words constant text := 'update door.happened set named';
begin
  body := replace(body, mark_words, 'update public.receipt set paper = public.struck_in(paper::jsonb, pattern, struck)::text
        where piece_id = any (theirs) and public.struck_in(paper::jsonb, pattern, struck) is distinct from paper::jsonb;
      get diagnostics n = row_count; places := places + n;
      ' || mark_words);
  execute body;
end
$$;
