-- Who worked beside whom is asked by day: the index alone answers, without the log's own rows.
drop index entry_clocks;
create index entry_clocks on entry (studio_id, at) include (step_id, piece_id)
  where kind in ('started', 'paused', 'resumed', 'ended', 'left-out', 'helped');
