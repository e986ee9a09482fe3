-- House recipes: a wish with a name, to be put on another piece.
create table recipe (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 80),
  wish jsonb not null check (jsonb_typeof(wish) = 'object'),
  kept_at timestamptz not null,
  unique (studio_id, id)
);
create index recipe_by_name on recipe (studio_id, name);
alter table recipe enable row level security;
create policy own_studio on recipe using (studio_id = current_studio()) with check (studio_id = current_studio());
grant select, insert on recipe to itinerum_app;
