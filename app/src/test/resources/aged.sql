-- A household's past: what it has now once more for each number, so many days longer ago as the number says, and all of it done with.
-- Asked for by the owner of the tables; each number once. Its places, jars, appliances, people and own things stay as they are.

create or replace function age_household(house uuid, first int, last int, days int) returns void language plpgsql set session_replication_role = replica as $$
declare
  part record;
  named text;
  told text;
begin
  create temp table past (relation text primary key);
  insert into past select unnest(array['appliance_run', 'batch', 'batch_lot', 'bottle', 'bottle_date_move', 'bottle_pass', 'calendar_item',
    'drying_load', 'entry', 'happened', 'journal', 'look_photo', 'lot', 'lot_label', 'plan', 'plan_lot', 'product', 'product_source',
    'reading', 'reading_import', 'reading_rejected', 'recipe_version', 'retention_lesson', 'round_note', 'speed_lesson', 'trial',
    'trial_jar', 'trial_judging']);
  for part in select relation, relation::regclass as oid from past loop
    select string_agg(quote_ident(attname), ', ' order by attnum), string_agg(case
        when attname = 'household_id' or attname = 'held_by' then quote_ident(attname)
        when atttypid = 'uuid'::regtype then case when exists (select from pg_constraint c where c.conrelid = part.oid and c.contype = 'f'
            and a.attnum = c.conkey[cardinality(c.conkey)] and c.confrelid::regclass::text not in (select relation from past))
          then quote_ident(attname) else format('md5(%I::text || n)::uuid', attname) end
        when part.relation = 'product' and attname = 'code' then 'code || lpad(n::text, 4, ''0'')'
        when attname in ('code', 'batch_code') then format('%I || (n / 26 %% 10) || chr(65 + n %% 26) || (n / 260 %% 10) || ''Z''', attname)
        when part.relation = 'recipe_version' and attname = 'number' then 'number + 1000 * n'
        when attname in ('idempotency_key', 'uid') then format('%I || ''-'' || n', attname)
        when attname = 'token' then 'md5(token || n)'
        when part.relation || '.' || attname in ('batch.standing', 'lot.standing', 'drying_load.standing') then 'false'
        when part.relation || '.' || attname in ('bottle.gone', 'calendar_item.gone') then 'true'
        when part.relation || '.' || attname = 'batch.status' then '''FINISHED'''
        when part.relation || '.' || attname = 'product.status' then '''GONE'''
        when part.relation || '.' || attname = 'plan.status' then 'case status when ''OPEN'' then ''DROPPED'' else status end'
        when part.relation || '.' || attname in ('lot.amount', 'bottle.left_ml') then '0'
        when attname = 'gone_because' then 'coalesce(gone_because, ''USED_UP'')'
        when attname = 'gone_on' then 'coalesce(gone_on, best_before) - n * $2'
        when attname = 'ended_at' or attname = 'revoked_at' or attname = 'revealed_at' or attname = 'concluded_at'
          then format('coalesce(%I, made_at) - n * $2 * interval ''1 day''', attname)
        when attname in ('conclusion', 'concluded_by') then format('coalesce(%I, ''as before'')', attname)
        when atttypid = 'date'::regtype then format('%I - n * $2', attname)
        when atttypid = 'timestamptz'::regtype then format('%I - n * $2 * interval ''1 day''', attname)
        else quote_ident(attname) end, ', ' order by attnum)
      into named, told
      from pg_attribute a where attrelid = part.oid and attnum > 0 and not attisdropped and attgenerated = '' and attidentity = '';
    execute format('insert into %I (%s) select %s from (select * from %I where household_id = $1) was, generate_series($3, $4) n',
      part.relation, named, told, part.relation) using house, days, first, last;
  end loop;
  -- Counted, as whatever a household writes is.
  update household_change set changes = changes + 1, kitchen = changes + 1, drawer = changes + 1,
    products = changes + 1, plans = changes + 1, round = changes + 1 where household_id = house;
  drop table past;
end $$;
