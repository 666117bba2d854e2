-- A household can be erased, thirty days after it was asked for, and the name of somebody who went can be taken
-- out of the logs. Nobody else may change or delete what stands in a log: the role under which the
-- application runs has no right to, and only these functions, which run as the erasing role, are let through.
alter table household
  add column erase_at timestamptz,
  add column erase_asked_by text;

create or replace function log_entry_is_append_only() returns trigger language plpgsql as $$
begin
  if current_user = 'velvetcrock_eraser' then
    if tg_op = 'DELETE' then
      return old;
    end if;
    if to_jsonb(new) - 'written_by' = to_jsonb(old) - 'written_by' then
      return new;
    end if;
  end if;
  raise exception 'The log is append-only: add an entry that replaces another.';
end $$;

-- The log of the demo, which is made up, or of a household whose thirty days are over.
create function erase_log(whose uuid) returns void language plpgsql security definer set search_path = public as $$
begin
  if not exists (select 1 from household where id = whose and (demo or erase_at <= now())) then
    raise exception 'This household is not to be erased.';
  end if;
  delete from entry where household_id = whose;
end $$;

-- The name under which somebody wrote who lives here no more.
create function forget_name(whose uuid, called text) returns bigint language plpgsql security definer
    set search_path = public as $$
declare
  changed bigint;
begin
  if exists (select 1 from member where household_id = whose and name = called) then
    raise exception 'That is the name of somebody who lives here.';
  end if;
  update entry set written_by = 'a former member' where household_id = whose and written_by = called;
  get diagnostics changed = row_count;
  return changed;
end $$;
