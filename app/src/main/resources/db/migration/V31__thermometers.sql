-- Thermometers that send by themselves: which token each shows, which jar it is in, and what it last told.
alter table api_token add constraint api_token_of_household unique (household_id, id);
create table thermometer (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null check (length(name) between 1 and 60),
  token_id uuid not null unique,
  batch_id uuid,
  battery_percent int check (battery_percent between 0 and 100),
  last_celsius double precision,
  last_at timestamptz,
  heard_at timestamptz,
  usual_gap_seconds double precision,
  foreign key (household_id, token_id) references api_token (household_id, id),
  foreign key (household_id, batch_id) references batch (household_id, id)
);
create index thermometer_of on thermometer (household_id, name);
alter table thermometer enable row level security;
create policy own_household on thermometer using (household_id = household_at_hand());
