-- What a kitchen keeps oil warm on, and what each setting turned out to be, run by run.
create table appliance (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  kind text not null,
  created_at timestamptz not null,
  unique (household_id, name)
);

create table appliance_run (
  id uuid primary key,
  household_id uuid not null references household,
  appliance_id uuid not null references appliance,
  batch_id uuid not null references batch,
  setting text not null,
  begun_at timestamptz not null,
  settled_celsius double precision not null,
  ripple_celsius double precision not null,
  overshoot_celsius double precision not null,
  settle_minutes double precision not null,
  unique (batch_id, begun_at)
);
create index appliance_run_by_household on appliance_run (household_id, appliance_id);

-- A logger's file as it was read, so that it can be told and undone as a whole.
create table reading_import (
  id uuid primary key,
  household_id uuid not null references household,
  number int generated always as identity unique,
  batch_id uuid not null references batch,
  file_name text not null,
  status text not null,
  bytes bigint not null,
  lines bigint not null default 0,
  accepted bigint not null default 0,
  repeated bigint not null default 0,
  rejected bigint not null default 0,
  read_as text not null default '',
  message text not null default '',
  sent_by text not null,
  started_at timestamptz not null,
  finished_at timestamptz
);
create index reading_import_of_batch on reading_import (batch_id, started_at);

create table reading_rejected (
  import_id uuid not null references reading_import on delete cascade,
  line bigint not null,
  why text not null,
  primary key (import_id, line)
);

-- Which file a reading came from; 0 where it came by hand or from a probe. No foreign key: it would be
-- checked for every one of a million rows.
alter table reading add column import_number int not null default 0;
