-- Work may go on over midnight: its end is counted on from the day it begins, six in the morning is 1800.
alter table studio
  drop constraint studio_works_a_day,
  add constraint studio_works_a_day check (
    works_from between 0 and 1439 and works_to <= 2879 and works_to - works_from between 30 and 1440
  );
alter table person
  drop constraint person_works_a_day,
  add constraint person_works_a_day check (
    works_from between 0 and 1439 and works_to <= 2879 and works_to - works_from between 30 and 1440
  );
alter table other_day
  drop constraint other_day_hours,
  add constraint other_day_hours check (
    works_from between 0 and 1439 and works_to <= 2879 and works_to - works_from between 5 and 1440
  );
