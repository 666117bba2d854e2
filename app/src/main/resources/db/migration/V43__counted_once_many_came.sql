-- The database plans by how many readings it counted last. If that was while a million were being written, or when all were taken
-- back, it believes in none for up to a minute after, and reads a jar's readings from end to end for the last of them. So those that
-- come many at once are counted once they are there, wherever they lie. As the owner, whose tables they are.
create function count_readings_anew(of_batch uuid) returns void
language plpgsql security definer set search_path = public as $$
declare
  quarter regclass;
  there boolean;
begin
  for quarter in select inhrelid from pg_inherits where inhparent = 'reading'::regclass
  loop
    execute format('select exists (select from %s where household_id = household_at_hand() and batch_id = $1)', quarter)
      into there using of_batch;
    if there then
      execute format('analyze %s', quarter);
    end if;
  end loop;
end $$;
