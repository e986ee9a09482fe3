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
