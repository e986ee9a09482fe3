-- Whose dates, money and figures are written how; US measures beside imperial ones.
alter table studio add column locale text not null default 'en-GB' check (locale ~ '^[a-z]{2}-[A-Z]{2}$');
alter table studio drop constraint studio_units_check;
alter table studio add constraint studio_units_check check (units in ('metric', 'imperial', 'us'));
