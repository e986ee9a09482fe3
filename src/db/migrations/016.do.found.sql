-- What was found besides the finish: polish or oil over it, a patch of paint that came off, the colour of old paint.
alter table part
  add column polish text not null default 'unknown' check (polish in ('unknown', 'none', 'possible', 'wax', 'oil')),
  add column slips boolean not null default false,
  add column found_colour text check (found_colour ~ '^#[0-9a-f]{6}$');
