-- When a lot was last taken from: a year ahead is told by the past year alone. Empty where nobody has said so yet.
alter table lot add column last_taken_at timestamptz;
update lot set last_taken_at =
  (select coalesce(max(e.happened_at), lot.created_at) from entry e where e.household_id = lot.household_id and e.lot_id = lot.id);

-- Events that calendars are told of, apart from those that went.
create index calendar_item_there on calendar_item (household_id) where not gone;

-- Of each oil in each place the bottles that came to their end last.
drop index bottle_ended;
create index bottle_ended_last on bottle (household_id, carrier_key, place, gone_on desc) where gone_because is not null;
