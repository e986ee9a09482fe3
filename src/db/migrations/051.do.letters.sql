-- Letters that bring somebody an address: to come in by, to a new password, to a client's page. Written here first and sent from here, so that
-- none is lost where no mail goes, and none is written twice; who it went to and what stood in it is forgotten once it went.
create table door.letter (
  id uuid primary key,
  studio_id uuid not null references studio,
  by_account uuid not null references door.account,
  about text not null check (about in ('join', 'new-password', 'for')),
  -- as it may be shown afterwards
  shown_to text not null check (length(shown_to) between 3 and 120),
  recipient text check (length(recipient) between 3 and 254),
  subject text check (length(subject) <= 300),
  words text check (length(words) <= 4000),
  made_at timestamptz not null default now(),
  tries integer not null default 0,
  next_try timestamptz default now(),
  sent_at timestamptz,
  -- why it was given up
  failed text check (length(failed) <= 300),
  check ((next_try is null) = (sent_at is not null or failed is not null)),
  check ((next_try is null) = (recipient is null and subject is null and words is null))
);
create index letter_due on door.letter (next_try) where next_try is not null;
create index letter_of on door.letter (studio_id, made_at desc);
grant select, insert, delete, update (recipient, subject, words, tries, next_try, sent_at, failed) on door.letter to itinerum_door;
