-- Counts apart what a household writes of its kitchen, drawer, products, plans and round: what was asked of one of them
-- alone still stands after a line in a jar's log. Each bears the count at which it was last written. The database sees to
-- it, so that an earlier version, which counts in all alone, counts these too.
-- One statement at a time: held together, their locks could wait in a circle with those of who writes meanwhile.
alter table household_change
  add column if not exists kitchen bigint not null default 0,
  add column if not exists drawer bigint not null default 0,
  add column if not exists products bigint not null default 0,
  add column if not exists plans bigint not null default 0,
  add column if not exists round bigint not null default 0;

create or replace function notes_what_is_written() returns trigger language plpgsql as $$
begin
  perform set_config('velvetcrock.written',
    coalesce(current_setting('velvetcrock.written', true), '') || tg_argv[0] || ' ', true);
  return null;
end $$;

create or replace function counts_what_was_written() returns trigger language plpgsql as $$
declare
  written text[] := string_to_array(coalesce(current_setting('velvetcrock.written', true), ''), ' ');
begin
  if 'kitchen' = any(written) then new.kitchen := new.changes; end if;
  if 'drawer' = any(written) then new.drawer := new.changes; end if;
  if 'products' = any(written) then new.products := new.changes; end if;
  if 'plans' = any(written) then new.plans := new.changes; end if;
  if 'round' = any(written) then new.round := new.changes; end if;
  return new;
end $$;

create or replace trigger counts_what_was_written before insert or update on household_change
  for each row execute function counts_what_was_written();

create or replace trigger notes_what_is_written after insert or update or delete on household
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on place
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on own_jar
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on jar_count
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on appliance
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on appliance_run
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on own_thing
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on speed_lesson
  for each statement execute function notes_what_is_written('kitchen');
create or replace trigger notes_what_is_written after insert or update or delete on lot
  for each statement execute function notes_what_is_written('drawer');
create or replace trigger notes_what_is_written after insert or update or delete on drying_load
  for each statement execute function notes_what_is_written('drawer');
create or replace trigger notes_what_is_written after insert or update or delete on product
  for each statement execute function notes_what_is_written('products');
create or replace trigger notes_what_is_written after insert or update or delete on product_source
  for each statement execute function notes_what_is_written('products');
create or replace trigger notes_what_is_written after insert or update or delete on recipe
  for each statement execute function notes_what_is_written('products');
create or replace trigger notes_what_is_written after insert or update or delete on recipe_version
  for each statement execute function notes_what_is_written('products');
create or replace trigger notes_what_is_written after insert or update or delete on plan
  for each statement execute function notes_what_is_written('plans');
create or replace trigger notes_what_is_written after insert or update or delete on plan_lot
  for each statement execute function notes_what_is_written('plans');
create or replace trigger notes_what_is_written after insert or update or delete on round_note
  for each statement execute function notes_what_is_written('round');
