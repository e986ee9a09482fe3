-- What prices are made by beside an hour's rate: the mark-up, how overhead is shared out, the ladder of reductions, the rate card. What a
-- place to sell asks by the month. What article a piece is.
alter table studio add column pricing jsonb not null default '{}' check (jsonb_typeof(pricing) = 'object' and length(pricing::text) <= 20000);
alter table channel add column rent bigint not null default 0 check (rent >= 0);
alter table piece add column article text check (length(article) between 1 and 40);
grant select (article) on piece to itinerum_app;

-- The views show them to whom they show the rest.
do $$
declare
  each record;
begin
  for each in
    select * from (values
      ('seen_studio', 'case when (select sees_money()) then pricing else ''{}'' end as pricing'),
      ('seen_channel', 'case when (select sees_money()) then rent else rent * 0 end as rent'),
      ('seen_piece', 'article')
    ) as t (name, shown)
  loop
    execute format('create or replace view %I with (security_barrier) as %s', each.name,
      regexp_replace(pg_get_viewdef(each.name::regclass), '\n\s+FROM ', ', ' || each.shown || E'\n FROM '));
  end loop;
end
$$;
create trigger known_codes before insert or update of article on piece for each row execute function check_codes('article:article');
-- what was sold lately is looked back on
create index entry_sold on entry (studio_id, at desc) where kind in ('sold', 'handed-over');
