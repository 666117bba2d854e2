-- The roles and their rights, put in order at every start: a backup brings tables and no roles.
do $$
begin
  if not exists (select from pg_roles where rolname = 'velvetcrock_app') then
    create role velvetcrock_app;
  end if;
  if not exists (select from pg_roles where rolname = 'velvetcrock_eraser') then
    create role velvetcrock_eraser;
  end if;
end $$;

-- The application reads and writes, and owns nothing.
alter role velvetcrock_app login nosuperuser nocreatedb nocreaterole nobypassrls password '${app_password}';
grant usage on schema public to velvetcrock_app;
grant select, insert, update, delete on all tables in schema public to velvetcrock_app;
grant usage on all sequences in schema public to velvetcrock_app;
revoke all on flyway_schema_history from velvetcrock_app;

-- Readings are reached through their table alone, whose rule says whose they are.
select make_reading_partitions();
do $$
declare
  part regclass;
begin
  for part in select inhrelid from pg_inherits where inhparent = 'reading'::regclass loop
    execute format('revoke all on %s from velvetcrock_app', part);
  end loop;
end $$;
revoke all on function make_reading_partitions() from public;

-- Whoever keeps the house sees how much there is, through this function alone.
revoke all on function household_sizes() from public;
grant execute on function household_sizes() to velvetcrock_app;
revoke all on function households_that_wrote(xid8), households_with_open_imports() from public;
grant execute on function households_that_wrote(xid8), households_with_open_imports() to velvetcrock_app;
revoke update, delete on entry from velvetcrock_app;

-- The eraser deletes what is to be erased, and nobody signs in as it.
alter role velvetcrock_eraser nologin nosuperuser nocreatedb nocreaterole bypassrls;
grant usage on schema public to velvetcrock_eraser;
grant select on household, member to velvetcrock_eraser;
grant select, update, delete on entry to velvetcrock_eraser;
alter function erase_log(uuid) owner to velvetcrock_eraser;
alter function forget_name(uuid, text) owner to velvetcrock_eraser;
revoke all on function erase_log(uuid), forget_name(uuid, text) from public;
grant execute on function erase_log(uuid), forget_name(uuid, text) to velvetcrock_app;

-- Without this, no search would find words, herbs or fields by their index: the planner keeps a condition from
-- rows of others unless its function is known not to tell what it compares. These three compare and tell nothing.
do $$
begin
  alter function ts_match_vq(tsvector, tsquery) leakproof;
  alter function arraycontains(anyarray, anyarray) leakproof;
  alter function jsonb_extract_path_text(jsonb, text[]) leakproof;
exception when insufficient_privilege then
  raise notice 'The journal is searched row by row: only a superuser can say which functions keep a secret.';
end $$;
