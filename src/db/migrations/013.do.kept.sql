-- Whether somebody has said how the house reckons, or it stands as it was begun.
alter table studio add column kept_at timestamptz;
update studio set kept_at = now() where exists (select from piece where piece.studio_id = studio.id);
