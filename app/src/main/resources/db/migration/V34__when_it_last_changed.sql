-- Counts what each household has written, so that whoever holds something of it knows whether that still stands.
-- Told with what is written, in the same transaction and as its last statement.
create table household_change (
  household_id uuid primary key references household on delete cascade,
  changes bigint not null
) with (fillfactor = 50);
alter table household_change enable row level security;
create policy own_household on household_change using (household_id = household_at_hand());
