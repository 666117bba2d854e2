-- A household's calendar address; its secret is kept as a hash, and shown once.
create table calendar_feed (
  id uuid primary key,
  household_id uuid not null references household,
  secret_hash text not null unique,
  made_at timestamptz not null,
  made_by text not null,
  revoked_at timestamptz,
  read_at timestamptz
);
create index calendar_feed_of on calendar_feed (household_id, made_at desc);

-- What a calendar was last told of an event, so that its sequence number rises when it changes, and
-- that it is cancelled when it goes.
create table calendar_item (
  household_id uuid not null references household,
  uid text not null,
  fingerprint text not null,
  sequence int not null,
  title text not null,
  starts_on date not null,
  changed_at timestamptz not null,
  gone boolean not null default false,
  primary key (household_id, uid)
);
