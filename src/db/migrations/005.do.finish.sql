-- More uses, looks laid over looks, the topcoat chosen, which steps a plan can't do without, and the house method.
alter table part drop constraint part_use_check;
alter table part add constraint part_use_check check (use in ('display', 'light', 'heavy', 'heat', 'damp', 'outdoors'));
alter table plan add column extras text[] not null default '{}';
alter table plan add column seal text;
alter table plan add column departures jsonb not null default '{}' check (jsonb_typeof(departures) = 'object');
alter table step add column needed boolean not null default true;
alter table studio add column method jsonb not null default '{}' check (jsonb_typeof(method) = 'object');
