-- Pictures of jars as they are kept: scaled down, without metadata.
create table look_photo (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  jpeg bytea not null,
  sent_at timestamptz not null
);
create index look_photo_of_batch on look_photo (batch_id);
