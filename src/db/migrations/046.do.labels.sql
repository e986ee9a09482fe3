-- How much a finish shines is part of the wish, of the coats that give it, and of what stands on a tin; so is what its label says of drying,
-- where that is otherwise than its family.
alter table plan add column sheen text check (sheen in ('flat', 'matt', 'satin', 'gloss'));
alter table step add column sheen text check (sheen in ('flat', 'matt', 'satin', 'gloss'));
alter table product add column sheen text check (sheen in ('flat', 'matt', 'satin', 'gloss'));
alter table product add column label jsonb check (jsonb_typeof(label) = 'object' and length(label::text) <= 2000);
grant select (sheen, label) on product to itinerum_app;
do $$
begin
  execute format('create or replace view seen_product with (security_barrier) as %s',
    regexp_replace(pg_get_viewdef('seen_product'::regclass), '\n\s+FROM ', E', sheen, label\n FROM '));
end
$$;

-- What the service would not give back is asked of it no more: it is told, and may be asked for again.
alter table payment_request add column refused_at timestamptz;
grant select (refused_at) on payment_request to itinerum_app;
do $$
begin
  execute format('create or replace view seen_payment_request with (security_barrier) as %s',
    regexp_replace(pg_get_viewdef('seen_payment_request'::regclass), '\n\s+FROM ', E', refused_at\n FROM '));
end
$$;
create function nobody_refused_yet() returns trigger
  language plpgsql
  as $$
  begin
    if current_user = 'itinerum_app' then new.refused_at := null; end if;
    return new;
  end $$;
create trigger nobody_refused_yet before insert on payment_request for each row execute function nobody_refused_yet();
create trigger tell_refusal after update on payment_request for each row execute function tell_change();
-- By the door, for a signed notice alone. As `take_notice` answers: booked, known, other, null. What was given back after all stands.
create function door.take_refusal(request uuid, told_amount bigint, told_currency text, told_at timestamptz) returns text
  language plpgsql security definer set search_path = pg_catalog, pg_temp
  as $$
  declare
    asked public.payment_request;
  begin
    select * into asked from public.payment_request where id = request for update;
    if asked.id is null then return null; end if;
    if asked.amount <> told_amount or asked.currency <> told_currency then return 'other'; end if;
    if asked.refused_at is not null or exists (select from public.payment p where p.request_id = asked.id) then return 'known'; end if;
    update public.payment_request set refused_at = told_at where id = request;
    return 'booked';
  end $$;
revoke execute on function door.take_refusal(uuid, bigint, text, timestamptz) from public;
grant execute on function door.take_refusal(uuid, bigint, text, timestamptz) to itinerum_door;
