-- At a start, what was looked for in every household lately is looked for in those that wrote since, not in all.
alter table caught_up add column since xid8;

-- Who wrote in a transaction that was not over when the given one began. Each that writes puts its mark on its household's
-- count, as its last statement: the row's own xmin says which that was. Of a mark that is still to come, as after another
-- cluster's backup, all.
create function households_that_wrote(since xid8)
returns setof uuid
language sql stable security definer set search_path = public as $$
  select household_id from household_change
  where since > pg_snapshot_xmax(pg_current_snapshot()) or age(xmin) <= age(since::xid)
$$;

-- Whose readings were being read from a file, or wait to be.
create index reading_import_open on reading_import (household_id) where status in ('READING', 'ASKED');
create function households_with_open_imports()
returns setof uuid
language sql stable security definer set search_path = public as $$
  select distinct household_id from reading_import where status in ('READING', 'ASKED')
$$;
