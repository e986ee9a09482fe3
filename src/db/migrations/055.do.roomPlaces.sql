-- How many loose parts may lie to dry in a room at one time; none said: there is room enough.
alter table room add column drying_places integer check (drying_places between 1 and 500);
