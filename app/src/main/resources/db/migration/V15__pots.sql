-- Pots: what the oil becomes. Their log lies with those of lots and loads, in what is now the ledger.
alter table drawer_entry rename to ledger_entry;

create table pot (
  id uuid primary key,
  household_id uuid not null references household,
  code text not null,
  name text not null,
  making text not null,
  status text not null,
  made_on date not null,
  best_before date not null,
  wax text not null,
  troubled boolean not null,
  state jsonb not null,
  created_at timestamptz not null,
  unique (household_id, code)
);
create index pot_by_day on pot (household_id, made_on desc, id);
create index pot_standing on pot (household_id, best_before) where status in ('IN_THE_PAN', 'POURED');
create index pot_troubled on pot (household_id) where troubled;

-- What went into a pot: of which bottle or batch, of which lot, and its herbs and oils.
create table pot_source (
  id uuid primary key,
  household_id uuid not null references household,
  pot_id uuid not null references pot,
  batch_code text,
  letter text,
  lot_id uuid
);
create index pot_source_of_pot on pot_source (pot_id);
create index pot_source_of_batch on pot_source (household_id, batch_code) where batch_code is not null;
create index pot_source_of_lot on pot_source (household_id, lot_id) where lot_id is not null;

-- Lots that went into a batch, so that a tin is traced to its harvest in one step.
create table batch_lot (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  lot_id uuid not null references lot,
  unique (batch_id, lot_id)
);
create index batch_lot_of_lot on batch_lot (household_id, lot_id);
insert into batch_lot (id, household_id, batch_id, lot_id)
select gen_random_uuid(), b.household_id, b.id, l.id
from batch b
join lot l on l.household_id = b.household_id
where l.id::text in (
  select x ->> 'lot' from jsonb_array_elements(
    (b.state -> 'charge' -> 'herbs') || (b.state -> 'charge' -> 'carriers')) x
  union all
  select b.state -> 'charge' -> 'manner' -> 'spirit' ->> 'lot');

-- Recipes of one's own, with versions that say what changed.
create table recipe (
  id uuid primary key,
  household_id uuid not null references household,
  name text not null,
  made_at timestamptz not null
);
create table recipe_version (
  id uuid primary key,
  household_id uuid not null references household,
  recipe_id uuid not null references recipe,
  number int not null,
  body jsonb not null,
  changed text not null,
  written_at timestamptz not null,
  written_by text not null,
  unique (recipe_id, number)
);

-- A code on a tin opens a page just as one on a bottle does.
alter table bottle_pass alter column batch_id drop not null;
alter table bottle_pass add column pot_id uuid references pot;
create unique index pot_pass_valid on bottle_pass (pot_id, letter) where revoked_at is null and pot_id is not null;
