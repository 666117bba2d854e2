-- Herbs and carriers that a household adds, or knows better than the shipped catalogue.
create table own_herb (
  id uuid primary key,
  household_id uuid not null references household,
  thing_key text not null,
  like_key text not null,
  name text not null,
  botanical text not null,
  part text not null,
  water_fresh double precision not null,
  source text not null,
  unique (household_id, thing_key)
);

create table own_carrier (
  id uuid primary key,
  household_id uuid not null references household,
  thing_key text not null,
  like_key text not null,
  name text not null,
  density20 double precision not null,
  keeps_months int not null,
  source text not null,
  unique (household_id, thing_key)
);
