-- Lots of herb, oil, spirit and wax, and loads of herb that dry. Each has a log that is added to and
-- never changed; the state that it folds to is kept beside it, as with batches.
create table lot (
  id uuid primary key,
  household_id uuid not null references household,
  kind text not null,
  thing_key text not null,
  herb_state text,
  standing boolean not null,
  amount double precision not null,
  most double precision not null,
  good_until date,
  since date,
  state jsonb not null,
  created_at timestamptz not null
);
create index lot_standing on lot (household_id, kind, thing_key) where standing;

create table drying_load (
  id uuid primary key,
  household_id uuid not null references household,
  herb_key text not null,
  standing boolean not null,
  begun_at timestamptz not null,
  state jsonb not null,
  created_at timestamptz not null
);
create index drying_load_standing on drying_load (household_id, begun_at) where standing;

create table drawer_entry (
  id uuid primary key,
  household_id uuid not null references household,
  subject_id uuid not null,
  number int not null,
  kind text not null,
  data jsonb not null,
  happened_at timestamptz not null,
  written_at timestamptz not null,
  written_by text not null,
  replaces uuid references drawer_entry,
  idempotency_key text not null,
  unique (subject_id, number),
  unique (household_id, idempotency_key)
);
create trigger drawer_entry_is_append_only before update or delete on drawer_entry
  for each row execute function log_entry_is_append_only();

-- Vessels other than jars, and how many of each there are. What is not counted has no row.
alter table own_jar add column shape text not null default 'JAR';
alter table own_jar add column count int not null default 1;
create table jar_count (
  id uuid primary key,
  household_id uuid not null references household,
  jar_key text not null,
  count int not null,
  unique (household_id, jar_key)
);

-- States written before vessels could change; and which vessel a batch stands in, for counting them.
update batch set state = state || '{"transfers": 0}'::jsonb;
alter table batch add column vessel text not null default '';
update batch set vessel = state -> 'charge' -> 'jar' ->> 'name';
