-- The work around the paint: what was counted on a piece, its steps before the parts are painted and after, in the painter's own
-- words where they are not the table's; and a part that is not painted, but cleaned, waxed or left.
alter table piece
  add column counted jsonb not null default '{}' check (jsonb_typeof(counted) = 'object');
alter table plan
  add column care text check (care in ('untouched', 'cleaned', 'waxed', 'job'));
alter table step
  add column words text check (length(words) between 1 and 120),
  add column side text check (side in ('before', 'after'));
-- a piece is one piece
create unique index part_whole_once on part (studio_id, piece_id) where kind = 'whole';
