-- A finish as the painter's own list of layers; of each step where on the part it goes, which layer asked for it, or which rule.
alter table plan
  add column touches jsonb check (jsonb_typeof(touches) = 'array' and jsonb_array_length(touches) between 1 and 40);
alter table step
  add column touch text check (length(touch) between 1 and 60),
  add column rule text check (length(rule) between 1 and 60),
  add column where_on jsonb check (jsonb_typeof(where_on) = 'object');
