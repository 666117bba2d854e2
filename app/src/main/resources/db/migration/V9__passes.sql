-- A page that opens for whoever holds a bottle: found by a token printed on its label.
create table bottle_pass (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  letter text not null,
  token text not null unique,
  made_at timestamptz not null,
  revoked_at timestamptz
);
create unique index bottle_pass_valid on bottle_pass (batch_id, letter) where revoked_at is null;
