-- What the painter did to the steps of a plan, which the desk opens on; of a step whether it is their own, or was changed by them.
alter table plan
  add column edits jsonb check (jsonb_typeof(edits) = 'object');
alter table step
  add column own text check (length(own) between 1 and 60),
  add column changed boolean not null default false;
