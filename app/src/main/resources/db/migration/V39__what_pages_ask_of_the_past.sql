-- When a lot was last taken from: a year ahead is told by the past year alone. Empty where nobody has said so yet.
alter table lot add column last_taken_at timestamptz;
update lot set last_taken_at =
  (select coalesce(max(e.happened_at), lot.created_at) from entry e where e.household_id = lot.household_id and e.lot_id = lot.id);

-- Events that calendars are told of, apart from those that went.
create index calendar_item_there on calendar_item (household_id) where not gone;

-- Of each oil in each place the bottles that came to their end last.
drop index bottle_ended;
create index bottle_ended_last on bottle (household_id, carrier_key, place, gone_on desc, id) where gone_because is not null;

-- The newest jars of a household.
create index batch_newest on batch (household_id, created_at desc);
create index batch_by_status on batch (household_id, status, charged_on desc);

-- What was drawn of late, the newest products, and lots by when they were last taken from.
create index entry_drawn on entry (household_id, happened_at) where kind = 'drawn';
create index product_newest on product (household_id, made_on desc, id);
create index lot_last_taken on lot (household_id, last_taken_at);
create index lot_first on lot (household_id, kind, thing_key, since);
