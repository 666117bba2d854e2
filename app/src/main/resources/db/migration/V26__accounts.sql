-- Who may do what, and how somebody comes back who has lost the way in.
alter table member
  add column role text not null default 'KEEPER' check (role in ('KEEPER', 'MEMBER', 'ONLOOKER')),
  add column told_until timestamptz not null default now();
alter table member alter column role drop default;

alter table invitation
  add column role text not null default 'MEMBER' check (role in ('KEEPER', 'MEMBER', 'ONLOOKER')),
  add column invited_by text not null default '',
  add column withdrawn_at timestamptz;

alter table api_token
  add column scope text not null default 'LOG' check (scope in ('READ', 'READINGS', 'LOG')),
  add column made_by text not null default '',
  add column expires_at timestamptz,
  add column last_used_at timestamptz;

-- Ten words to write down when moving in: each lets its owner in once without the password.
create table recovery_code (
  id uuid primary key,
  household_id uuid not null references household,
  member_id uuid not null references member on delete cascade,
  code_hash text not null unique,
  made_at timestamptz not null,
  used_at timestamptz
);
create index recovery_code_of on recovery_code (member_id);

-- A keeper lets somebody in again: after a day, in which anybody concerned can stop it.
create table recovery (
  id uuid primary key,
  household_id uuid not null references household,
  member_id uuid not null references member on delete cascade,
  asked_by text not null,
  asked_at timestamptz not null,
  ready_at timestamptz not null,
  secret_hash text not null unique,
  stopped_by text,
  ended_at timestamptz
);
create index recovery_of on recovery (household_id, member_id);

-- What happened here: kept a year. A sign-in that failed for a name nobody has is of no household.
create table happened (
  id bigint generated always as identity primary key,
  household_id uuid references household,
  at timestamptz not null,
  deed text not null,
  who text not null,
  address text not null,
  what text not null
);
create index happened_in on happened (household_id, at desc);
create index happened_at on happened (at);
