-- Phones that are called while they are closed, where an operator allows a push service: the service's address of the
-- phone, what to encrypt with for it, and what it was called for already, a key a line.
create table push_phone (
  id uuid primary key,
  household_id uuid not null references household,
  endpoint text not null check (length(endpoint) between 1 and 1000),
  public_key text not null check (length(public_key) between 80 and 100),
  secret text not null check (length(secret) between 20 and 30),
  made_by text not null,
  made_at timestamptz not null,
  called text not null default '',
  unique (household_id, endpoint)
);
alter table push_phone enable row level security;
create policy own_household on push_phone using (household_id = household_at_hand());
-- Whose turn it is, before anybody's rows are looked at.
create function households_to_call() returns setof uuid language sql stable security definer set search_path = public
  as $$ select distinct household_id from push_phone $$;
