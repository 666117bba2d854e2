-- Readings lie by quarter, so that what is written now is small and what is old can be put away whole. What is of
-- no quarter yet lies aside, and make_reading_partitions, called at every start, gives it one.
alter table reading rename to reading_before;
alter table reading_before rename constraint reading_pkey to reading_before_pkey;
create table reading (
  batch_id uuid not null,
  at timestamptz not null,
  celsius double precision not null,
  import_number int not null default 0,
  household_id uuid not null default household_at_hand()
) partition by range (at);
create table reading_aside partition of reading default;

create function make_reading_partitions() returns void language plpgsql as $$
declare
  quarter timestamp;
  name text;
  begins timestamptz;
  ends timestamptz;
begin
  for quarter in
    select generate_series(date_trunc('quarter', now() at time zone 'UTC'), now() at time zone 'UTC' + interval '15 months', '3 months')
    union
    select distinct date_trunc('quarter', at at time zone 'UTC') from reading_aside
      where at >= '2015-01-01Z' and at < now() + interval '15 months'
    order by 1
  loop
    name := to_char(quarter, '"reading_"YYYY"_q"Q');
    continue when to_regclass(name) is not null;
    begins := quarter at time zone 'UTC';
    ends := (quarter + interval '3 months') at time zone 'UTC';
    execute format('create table %I (like reading including defaults) with (autovacuum_vacuum_insert_scale_factor = 0.05)', name);
    execute format('with moved as (delete from reading_aside where at >= %L and at < %L returning *) insert into %I select * from moved', begins, ends, name);
    execute format('alter table reading attach partition %I for values from (%L) to (%L)', name, begins, ends);
    execute format('alter table %I enable row level security', name);
  end loop;
end $$;

insert into reading (batch_id, at, celsius, import_number, household_id)
  select batch_id, at, celsius, import_number, household_id from reading_before order by household_id, batch_id, at;
drop table reading_before;
select make_reading_partitions();
alter table reading
  add constraint reading_pkey primary key (household_id, batch_id, at),
  add foreign key (household_id, batch_id) references batch;
alter table reading enable row level security;
alter table reading_aside enable row level security;
create policy own_household on reading using (household_id = household_at_hand());

-- The readings of a jar once more, packed, for a quick start: those until a moment, and how many there are.
create table reading_pack (
  batch_id uuid not null,
  upto timestamptz not null,
  readings int not null,
  thinned boolean not null default false,
  packed bytea not null,
  household_id uuid not null default household_at_hand(),
  primary key (household_id, batch_id),
  foreign key (household_id, batch_id) references batch on delete cascade
);
alter table reading_pack alter column packed set storage external;
alter table reading_pack enable row level security;
create policy own_household on reading_pack using (household_id = household_at_hand());

-- Which instance holds a file that is being read, so that no other takes it for interrupted.
alter table reading_import add column held_by uuid;

-- How long a household keeps every reading of a jar that is done.
alter table household add column keeps_readings text not null default 'ALL'
  constraint household_keeps_readings_known check (keeps_readings in ('ALL', 'A_YEAR', 'THREE_YEARS'));

-- Tables that only grow are looked over by what came in, and small ones that change often before they swell.
alter table entry set (autovacuum_vacuum_insert_scale_factor = 0.05, autovacuum_analyze_scale_factor = 0.02);
alter table journal set (autovacuum_vacuum_scale_factor = 0.05, autovacuum_analyze_scale_factor = 0.02);
alter table household_change set (autovacuum_vacuum_scale_factor = 0, autovacuum_vacuum_threshold = 500);
alter table spring_session set (fillfactor = 70, autovacuum_vacuum_scale_factor = 0.05);
alter table spring_session_attributes set (fillfactor = 70, autovacuum_vacuum_scale_factor = 0.05);
