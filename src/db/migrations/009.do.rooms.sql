-- Rooms and their air, readings that are not believed, what the studio has learned of drying, and the calendar's addresses.
create table room (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 80),
  -- the sensor's own name for it; none where readings are typed
  sensor text check (length(sensor) between 1 and 80),
  position integer not null default 0,
  unique (studio_id, id),
  unique (studio_id, sensor)
);
alter table piece
  add column room_id uuid,
  add constraint piece_stands_in foreign key (studio_id, room_id) references room (studio_id, id);

alter table reading
  add column room_id uuid,
  add column source text not null default 'typed' check (source in ('typed', 'sensor')),
  add column doubt text check (doubt in ('absurd', 'stuck', 'jump')),
  add constraint reading_of_room foreign key (studio_id, room_id) references room (studio_id, id),
  drop constraint reading_temperature_believable,
  drop constraint reading_humidity_believable,
  add constraint reading_believable check (
    doubt is not null or (temperature between -30 and 50 and humidity between 1 and 100)
  );
drop index reading_by_time;
create index reading_by_time on reading (studio_id, room_id, at desc);

-- A drying figure taken up by the studio: the newest of a family is in force, the older ones say what it was before.
create table drying_figure (
  id uuid primary key,
  studio_id uuid not null references studio,
  family text not null check (length(family) between 1 and 40),
  p50 numeric not null check (p50 > 0 and p50 < 100),
  p80 numeric not null check (p80 >= p50 and p80 < 100),
  -- how many observations stood behind it; none where the label was taken up again
  count integer not null check (count >= 0),
  at timestamptz not null,
  person_id uuid,
  foreign key (studio_id, person_id) references person (studio_id, id),
  constraint drying_figure_of_label check (count > 0 or (p50 = 1 and p80 = 1))
);
create index drying_figure_newest on drying_figure (studio_id, family, at desc, id desc);

-- Private addresses of the calendar: only a digest is kept; one that was revoked answers nothing.
create table calendar_feed (
  id uuid primary key,
  studio_id uuid not null references studio,
  digest text not null unique check (digest ~ '^[0-9a-f]{64}$'),
  made_at timestamptz not null,
  revoked_at timestamptz
);

do $$
declare each text;
begin
  foreach each in array array['room', 'drying_figure', 'calendar_feed'] loop
    execute format('alter table %I enable row level security', each);
    execute format('create policy own_studio on %I using (studio_id = current_studio()) with check (studio_id = current_studio())', each);
    execute format('grant select, insert on %I to itinerum_app', each);
  end loop;
end
$$;
grant update on room to itinerum_app;
grant update (revoked_at) on calendar_feed to itinerum_app;

-- What changes is told to everybody who looks at this studio: the table's name alone, never what is in it.
create function tell_change() returns trigger
  language plpgsql
  as $$ begin perform pg_notify('itinerum', new.studio_id::text || ' ' || tg_table_name); return null; end $$;
do $$
declare each text;
begin
  foreach each in array array['entry', 'plan', 'part', 'piece', 'photo', 'reading', 'room', 'drying_figure'] loop
    execute format('create trigger tell_change after insert or update on %I for each row execute function tell_change()', each);
  end loop;
end
$$;
