-- Pieces, their parts, measured surfaces, and plans. A new plan stands beside the old one; the newest is in force.
create table piece (
  id uuid primary key,
  studio_id uuid not null references studio,
  name text not null check (length(name) between 1 and 120),
  source text not null check (source in ('auction', 'classified', 'fair', 'gift', 'kerb', 'own', 'commission')),
  source_note text check (length(source_note) <= 500),
  client text check (length(client) <= 120),
  promised_on date,
  taken_in_at timestamptz not null,
  expected bigint check (expected >= 0),
  condition text check (length(condition) <= 2000),
  created_at timestamptz not null default now(),
  unique (studio_id, id)
);
create index piece_by_intake on piece (studio_id, taken_in_at desc, id desc);

create table part (
  id uuid primary key,
  studio_id uuid not null references studio,
  piece_id uuid not null,
  position integer not null check (position >= 0),
  name text not null check (length(name) between 1 and 80),
  kind text not null,
  count integer not null check (count between 1 and 99),
  substrate text not null,
  existing text not null,
  lead text not null check (lead in ('clear', 'unlikely', 'suspected')),
  use text not null check (use in ('display', 'light', 'heavy', 'damp')),
  bleeds boolean not null default false,
  knots integer check (knots between 0 and 999),
  unique (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index part_by_piece on part (piece_id, position);

create table surface (
  id uuid primary key,
  studio_id uuid not null references studio,
  part_id uuid not null,
  position integer not null check (position >= 0),
  shape text not null check (shape in ('panel', 'squareLeg', 'taperedLeg', 'roundLeg', 'turnedLeg')),
  relief text not null check (relief in ('flat', 'framed', 'moulded', 'carved')),
  count integer not null check (count between 1 and 999),
  width numeric check (width > 0 and width <= 10000),
  height numeric check (height > 0 and height <= 10000),
  length numeric check (length > 0 and length <= 10000),
  top numeric check (top > 0 and top <= 10000),
  foot numeric check (foot > 0 and foot <= 10000),
  diameter numeric check (diameter > 0 and diameter <= 10000),
  foreign key (studio_id, part_id) references part (studio_id, id),
  constraint surface_measured check (
    case shape
      when 'panel' then num_nonnulls(width, height) = 2 and num_nonnulls(length, top, foot, diameter) = 0
      when 'squareLeg' then num_nonnulls(width, length) = 2 and num_nonnulls(height, top, foot, diameter) = 0
      when 'taperedLeg' then num_nonnulls(top, foot, length) = 3 and num_nonnulls(width, height, diameter) = 0
      else num_nonnulls(diameter, length) = 2 and num_nonnulls(width, height, top, foot) = 0
    end
  )
);
create index surface_by_part on surface (part_id, position);

create table plan (
  id uuid primary key,
  studio_id uuid not null references studio,
  part_id uuid not null,
  look text not null,
  paint text not null,
  colours jsonb not null check (jsonb_typeof(colours) = 'object'),
  made_at timestamptz not null,
  unique (studio_id, id),
  foreign key (studio_id, part_id) references part (studio_id, id)
);
create index plan_by_part on plan (part_id, made_at desc, id desc);

create table step (
  id uuid primary key,
  studio_id uuid not null references studio,
  plan_id uuid not null,
  position integer not null check (position >= 0),
  operation text not null,
  family text,
  colour jsonb,
  mix text,
  applicator text,
  grit text,
  film text not null check (film in ('thin', 'normal', 'heavy')),
  minutes integer not null check (minutes > 0),
  amount numeric check (amount > 0),
  window_label jsonb,
  check_code text,
  cautions text[] not null,
  reason text not null,
  coat_number integer,
  coat_of integer,
  unique (studio_id, id),
  unique (plan_id, position),
  foreign key (studio_id, plan_id) references plan (studio_id, id)
);
