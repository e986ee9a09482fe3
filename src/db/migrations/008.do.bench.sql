-- What is said at the bench: pauses, further hands, checks, what a finger found, fans and heat guns, snags and their mending.
alter table entry drop constraint entry_kind_check;
alter table entry add constraint entry_kind_known check (kind in (
  'started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'checked', 'seen', 'assisted', 'unassisted', 'snag',
  'coat', 'cost', 'note', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped', 'amended', 'struck'
));
alter table entry
  add column sheen text check (sheen in ('flat', 'matt', 'satin', 'gloss')),
  add column place text check (length(place) between 1 and 120),
  add column result text check (result in ('pass', 'fail', 'later', 'dry', 'wet')),
  add column check_code text check (length(check_code) between 1 and 40),
  add column outside text check (outside in ('early', 'late')),
  add column assist text check (assist in ('fan', 'heatGun')),
  add column repair text check (length(repair) between 1 and 40),
  add column severity text check (severity in ('slight', 'plain', 'grave')),
  add column spot smallint check (spot between 0 and 8),
  add column temperature numeric check (temperature between -30 and 50),
  add column humidity numeric check (humidity between 1 and 100);
alter table entry
  drop constraint entry_step_named,
  add constraint entry_step_named check (
    kind not in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'checked', 'seen')
    or num_nonnulls(step_id, part_id) = 2
  ),
  add constraint entry_helped_whole check (kind <> 'helped' or minutes is not null),
  add constraint entry_checked_whole check (
    kind <> 'checked' or (num_nonnulls(check_code, result) = 2 and result in ('pass', 'fail', 'later'))
  ),
  add constraint entry_seen_whole check (kind <> 'seen' or (result is not null and result in ('dry', 'wet'))),
  add constraint entry_assist_whole check (kind not in ('assisted', 'unassisted') or num_nonnulls(part_id, assist) = 2),
  add constraint entry_snag_whole check (kind <> 'snag' or (part_id is not null and severity is not null and num_nonnulls(repair, note) > 0));

-- A step that mends names the snag it came of, so that what a snag cost can be told.
alter table step
  add column mends uuid,
  add constraint step_mends foreign key (studio_id, mends) references entry (studio_id, id);
create index step_by_snag on step (mends) where mends is not null;
-- Everybody's clocks, to read those that ran beside each other.
create index entry_clocks on entry (studio_id, at) where kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped');
