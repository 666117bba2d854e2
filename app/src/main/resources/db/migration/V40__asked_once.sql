-- For which household is asked once a statement, not once a row: where no index leads to its rows, a condition that
-- calls a function is called for each that is read.
do $$
declare
  of_household record;
begin
  for of_household in
    select schemaname, tablename from pg_policies
    where policyname = 'own_household' and qual = '(household_id = household_at_hand())'
  loop
    execute format('alter policy own_household on %I.%I using (household_id = (select household_at_hand()))',
      of_household.schemaname, of_household.tablename);
  end loop;
end $$;
