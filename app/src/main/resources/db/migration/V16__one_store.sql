-- One store for all logs: of batches, lots, loads and products. The lines keep their ids, keys and data.
create table entry (
  id uuid primary key,
  household_id uuid not null references household,
  subject text not null,
  subject_id uuid not null,
  number int not null,
  kind text not null,
  version int not null,
  data jsonb not null,
  happened_at timestamptz not null,
  written_at timestamptz not null,
  written_by text not null,
  replaces uuid references entry,
  idempotency_key text not null,
  answer jsonb
);

insert into entry
select id, household_id, 'BATCH', batch_id, number, kind, 1, data, happened_at, written_at, written_by, replaces,
  idempotency_key, null
from log_entry;

-- A key that both stores knew named two things; the later store's is told apart.
insert into entry
select e.id, e.household_id,
  case
    when exists (select 1 from lot l where l.id = e.subject_id) then 'LOT'
    when exists (select 1 from drying_load d where d.id = e.subject_id) then 'LOAD'
    else 'PRODUCT'
  end,
  e.subject_id, e.number, e.kind, 1, e.data, e.happened_at, e.written_at, e.written_by, e.replaces,
  case
    when exists (
      select 1 from log_entry l
      where l.household_id = e.household_id and l.idempotency_key = e.idempotency_key)
    then 'second:' || e.idempotency_key
    else e.idempotency_key
  end,
  null
from ledger_entry e;

alter table entry add constraint entry_number unique (subject_id, number);
alter table entry add constraint entry_key unique (household_id, idempotency_key);
create index entry_replaces on entry (replaces) where replaces is not null;
create trigger entry_is_append_only before update or delete on entry
  for each row execute function log_entry_is_append_only();

drop table ledger_entry;
drop table log_entry;

-- States beside their subjects are kept for reading, under the version of the rules that folded them.
alter table batch add column state_version text not null default '';
alter table lot add column state_version text not null default '';
alter table drying_load add column state_version text not null default '';
alter table pot add column state_version text not null default '';

-- What is made of the oil is a product; a pot is what stands on the heat.
alter table pot rename to product;
alter table pot_source rename to product_source;
alter table product_source rename column pot_id to product_id;
alter table bottle_pass rename column pot_id to product_id;
alter index pot_by_day rename to product_by_day;
alter index pot_standing rename to product_standing;
alter index pot_troubled rename to product_troubled;
alter index pot_source_of_pot rename to product_source_of_product;
alter index pot_source_of_batch rename to product_source_of_batch;
alter index pot_source_of_lot rename to product_source_of_lot;
alter index pot_pass_valid rename to product_pass_valid;
update journal set link = '/products' || substring(link from 6) where link like '/pots/%';
