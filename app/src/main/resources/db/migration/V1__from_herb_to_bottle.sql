-- Households and the people in them.
create table household (
  id uuid primary key,
  name text not null,
  zone text not null,
  kitchen text not null,
  demo boolean not null default false,
  created_at timestamptz not null
);

create table member (
  id uuid primary key,
  household_id uuid not null references household,
  login text not null unique,
  name text not null,
  password_hash text not null,
  created_at timestamptz not null
);

create table invitation (
  id uuid primary key,
  household_id uuid not null references household,
  token_hash text not null unique,
  created_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz
);

create table api_token (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  token_hash text not null unique,
  created_at timestamptz not null,
  revoked_at timestamptz
);

-- Where jars stand, and the jars a household measured itself.
create table place (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  light text not null,
  celsius double precision not null,
  position int not null
);

create table own_jar (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  brim_ml double precision not null,
  inner_diameter_mm double precision not null,
  measured_text text not null
);

-- A batch: its name, and the state that its log folds to (kept beside it so that pages need not fold).
create table batch (
  id uuid primary key,
  household_id uuid not null references household,
  code text not null,
  herb_key text not null,
  status text not null,
  standing boolean not null,
  charged_on date not null,
  state jsonb not null,
  created_at timestamptz not null,
  unique (household_id, code)
);
create index batch_standing on batch (household_id) where standing;

-- The log is the truth: entries are added and never changed or taken away.
create table log_entry (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  number int not null,
  kind text not null,
  data jsonb not null,
  happened_at timestamptz not null,
  written_at timestamptz not null,
  written_by text not null,
  replaces uuid references log_entry,
  idempotency_key text not null,
  unique (batch_id, number),
  unique (household_id, idempotency_key)
);

create function log_entry_is_append_only() returns trigger language plpgsql as $$
begin
  raise exception 'The log is append-only: add an entry that replaces another.';
end $$;
create trigger log_entry_is_append_only before update or delete on log_entry
  for each row execute function log_entry_is_append_only();

-- Bottles as they stand: written together with the entry that changes them.
create table bottle (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  letter text not null,
  size_ml double precision not null,
  left_ml double precision not null,
  place text not null,
  glass text not null,
  filled_on date not null,
  best_before date not null,
  best_before_late date not null,
  decided_by text not null,
  capped boolean not null,
  gone boolean not null,
  unique (batch_id, letter)
);
create index bottle_standing on bottle (household_id, best_before) where not gone;

-- Temperatures read while a batch infuses.
create table reading (
  batch_id uuid not null references batch,
  at timestamptz not null,
  celsius double precision not null,
  primary key (batch_id, at)
);
