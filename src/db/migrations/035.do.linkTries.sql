-- Addresses of clients' pages that opened nothing are counted apart from those who try to come in: neither stands in the other's way.
alter table door.sign_in_try alter column name_digest drop not null;
alter table door.sign_in_try add column kind text not null default 'sign-in' check (kind in ('sign-in', 'link'));
alter table door.sign_in_try add check ((name_digest is null) = (kind = 'link'));
drop index door.sign_in_try_from;
create index sign_in_try_from on door.sign_in_try (address, kind, at) where not came_in;
