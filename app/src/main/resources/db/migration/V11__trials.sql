-- One charge split into jars that differ in one thing, judged side by side.
create table trial (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  herb_key text not null,
  oil_key text not null,
  differs text not null,
  blind boolean not null,
  made_at timestamptz not null,
  revealed_at timestamptz,
  conclusion text,
  concluded_at timestamptz,
  concluded_by text
);
create index trial_of_household on trial (household_id, made_at desc);

-- glass: under which number a jar is tasted when it is judged blind.
create table trial_jar (
  id uuid primary key,
  household_id uuid not null references household,
  trial_id uuid not null references trial,
  code text not null,
  letter text not null,
  words text not null,
  glass int not null,
  unique (trial_id, letter),
  unique (trial_id, glass)
);

create table trial_judging (
  id uuid primary key,
  household_id uuid not null references household,
  trial_id uuid not null references trial,
  letter text not null,
  strength int not null,
  smell int not null,
  note text not null,
  judged_by text not null,
  judged_at timestamptz not null,
  blind boolean not null
);
create index trial_judging_of on trial_judging (trial_id, judged_at);
