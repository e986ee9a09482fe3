-- Photographs, turned upright and stripped, in two sizes.
create table photo (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  moment text not null check (moment in ('before', 'during', 'after')),
  taken_at timestamptz not null,
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  alt text not null check (length(alt) <= 300),
  created_at timestamptz not null default now(),
  unique (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index photo_by_piece on photo (piece_id, taken_at);

create table photo_rendition (
  photo_id uuid not null,
  studio_id uuid not null references studio,
  size text not null check (size in ('small', 'large')),
  bytes bytea not null check (length(bytes) between 1 and 8000000),
  primary key (photo_id, size),
  foreign key (studio_id, photo_id) references photo (studio_id, id)
);

-- Row-level security and rights, on everything that carries a studio.
do $$
declare each text;
begin
  foreach each in array array['person', 'channel', 'product', 'reading', 'piece', 'part', 'surface', 'plan', 'step', 'entry', 'photo', 'photo_rendition'] loop
    execute format('alter table %I enable row level security', each);
    execute format('create policy own_studio on %I using (studio_id = current_studio()) with check (studio_id = current_studio())', each);
    execute format('grant select, insert on %I to itinerum_app', each);
  end loop;
end
$$;
grant select, insert, update on studio to itinerum_app;
grant update on person, channel, product, piece, part to itinerum_app;
grant select on piece_ending to itinerum_app;
grant usage on schema public to itinerum_app;
