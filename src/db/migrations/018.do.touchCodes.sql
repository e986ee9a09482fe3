-- What a list of layers is laid with and how, beside the list, so that a code that is not known is refused, or found and named.
create function touch_codes(touches jsonb, field text) returns text[]
  language sql immutable parallel safe
  return (select coalesce(array_agg(distinct each ->> field), '{}') from jsonb_array_elements(touches) as each where each ? field);
alter table plan
  add column touch_operations text[] generated always as (touch_codes(touches, 'operation')) stored,
  add column touch_families text[] generated always as (touch_codes(touches, 'family')) stored;
-- reckoned columns are there only afterwards
create trigger known_touch_codes after insert on plan for each row
  execute function check_codes('touch_operations:operation', 'touch_families:family');
