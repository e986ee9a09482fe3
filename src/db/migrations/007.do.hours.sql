-- When the house works: minutes of the day, and days of the week from 0 (Sunday) to 6 (Saturday).
alter table studio
  add column works_from integer not null default 540,
  add column works_to integer not null default 1020,
  add column works_days smallint[] not null default '{1,2,3,4,5}',
  add constraint studio_works_a_day check (works_from >= 0 and works_to <= 1440 and works_to - works_from >= 30),
  add constraint studio_works_a_week check (cardinality(works_days) between 1 and 7 and works_days <@ '{0,1,2,3,4,5,6}'::smallint[]);
