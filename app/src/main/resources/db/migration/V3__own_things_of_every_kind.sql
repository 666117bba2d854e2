-- One table for all that a household adds to the catalogue or knows better; only the figures that it
-- gives itself are kept, the rest stays as with the shipped thing that it is like.
create table own_thing (
  id uuid primary key,
  household_id uuid not null references household,
  kind text not null,
  thing_key text not null,
  like_key text not null,
  name text not null,
  botanical text,
  part text,
  source text not null,
  unique (household_id, kind, thing_key)
);
create table own_figure (
  thing_id uuid not null references own_thing on delete cascade,
  name text not null,
  value double precision not null,
  primary key (thing_id, name)
);

insert into own_thing
  select id, household_id, 'HERB', thing_key, like_key, name, botanical, part, source from own_herb;
insert into own_figure select id, 'water', water_fresh * 100 from own_herb;
insert into own_thing
  select id, household_id, 'CARRIER', thing_key, like_key, name, null, null, source from own_carrier;
insert into own_figure select id, 'density', density20 from own_carrier;
insert into own_figure select id, 'months', keeps_months from own_carrier;
drop table own_herb;
drop table own_carrier;
