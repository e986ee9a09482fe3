-- What is left of a mix is kept as a tin of its own, which says what it was mixed of, or thrown away at the cost of its piece.
alter table product add column formula text check (length(formula) between 1 and 200);
alter table entry drop constraint entry_kind_known;
alter table entry add constraint entry_kind_known check (kind in (
  'started', 'paused', 'resumed', 'ended', 'left-out', 'helped', 'checked', 'seen', 'assisted', 'unassisted', 'snag',
  'mixed', 'put-by', 'coat', 'cost', 'note', 'listed', 'sold', 'handed-over', 'kept', 'given', 'scrapped', 'amended', 'split',
  'struck'
));
alter table entry add constraint entry_put_by_whole check (
  kind <> 'put-by' or (num_nonnulls(batch_id, family, amount, unit, money) = 5 and amount > 0 and num_nonnulls(product_id, lot_id) in (0, 2))
);
-- What small things cost that work uses up, by what they are, in minor units; what is not named costs as it usually does.
alter table studio add column consumables jsonb not null default '{}' check (jsonb_typeof(consumables) = 'object');
-- A part with two sides is laid one side, turned when that may be touched, and laid the other: minutes between them.
alter table step add column turns int check (turns > 0);
