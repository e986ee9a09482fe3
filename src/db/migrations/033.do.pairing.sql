-- A phone is brought in by whoever is in already: by a picture that is good once, for two minutes. Only the digest is kept.
create table door.pairing (
  digest bytea primary key check (length(digest) = 32),
  membership_id uuid not null references door.membership,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz
);
create index pairing_over on door.pairing (expires_at);
grant select, insert, update (used_at) on door.pairing to itinerum_door;
