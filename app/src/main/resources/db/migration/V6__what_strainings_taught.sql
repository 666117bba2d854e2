-- What each straining showed a marc to keep, so that the next is predicted from the household's own batches.
create table retention_lesson (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  part text not null,
  expression text not null,
  kept_ml_per_gram double precision not null,
  unique (batch_id, part)
);
create index retention_lesson_of_household on retention_lesson (household_id);
