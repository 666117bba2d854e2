-- When somebody is up and at home, and how many jars an appliance holds at once.
alter table household
  add column wakes time not null default '07:00',
  add column sleeps time not null default '22:30',
  add column away_days text not null default '',
  add column away_from time not null default '08:30',
  add column away_until time not null default '17:00';

-- null: what is usual of its kind.
alter table appliance add column holds int;

-- What was decided to be made: a batch that is still to be charged. details: the plan as it was
-- decided. Its code is the batch's from the beginning.
create table plan (
  id uuid primary key,
  household_id uuid not null references household,
  code text not null,
  details jsonb not null,
  herb_key text not null,
  begins_at timestamptz not null,
  ready_at timestamptz not null,
  wanted_by date not null,
  appliance_id uuid references appliance,
  status text not null,
  made_at timestamptz not null,
  made_by text not null,
  ended_at timestamptz,
  idempotency_key text not null,
  unique (household_id, code),
  unique (household_id, idempotency_key)
);
create index plan_open on plan (household_id, begins_at) where status = 'OPEN';

-- What a plan has promised to itself of a lot, in the unit of the lot, and of the vessels.
create table plan_lot (
  id uuid primary key,
  household_id uuid not null references household,
  plan_id uuid not null references plan on delete cascade,
  lot_id uuid not null references lot,
  amount double precision not null
);
create index plan_lot_of on plan_lot (household_id, lot_id);
