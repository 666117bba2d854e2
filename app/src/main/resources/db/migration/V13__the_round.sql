-- What was said of a task of the round: put off until a moment, skipped with a reason, or a timer
-- that somebody set. Nothing is changed but that a line is taken back.
create table round_note (
  id uuid primary key,
  household_id uuid not null references household,
  what text not null,
  subject text not null,
  task text not null,
  words text not null,
  until timestamptz not null,
  noted_at timestamptz not null,
  noted_by text not null,
  taken_back_at timestamptz,
  idempotency_key text not null,
  unique (household_id, idempotency_key)
);
create index round_note_live on round_note (household_id, until) where taken_back_at is null;
