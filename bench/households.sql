-- Every row of the first household once more for each of the others: its ids made from the first one's and a number.
-- psql -v households=N

set session_replication_role = replica;
create function of_town(id uuid, n int) returns uuid language sql immutable as $$ select md5(id::text || n)::uuid $$;
update household set name = 'Town 0' where not demo;
update member set login = 'una0';
update api_token set token_hash = encode(sha256('town-token-0'), 'hex'), scope = 'LOG';
create temp table last as select :households - 1 as n;
do $$
declare
  part record;
  wanted text;
begin
  for part in
    select c.oid, c.relname from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')
      and not c.relispartition and c.relname not in ('happened', 'reading_pack', 'recovery_code') and (c.relname = 'household' or exists (select from pg_attribute a
        where a.attrelid = c.oid and a.attname = 'household_id'))
  loop
    select string_agg(case
        when part.relname = 'household' and attname = 'name' then '''Town '' || n'
        when part.relname = 'member' and attname = 'login' then '''una'' || n'
        when part.relname = 'api_token' and attname = 'token_hash' then 'encode(sha256((''town-token-'' || n)::bytea), ''hex'')'
        when part.relname in ('calendar_feed', 'invitation') and attname in ('secret_hash', 'token_hash') then quote_ident(attname) || ' || n'
        when atttypid = 'uuid'::regtype then 'of_town(' || quote_ident(attname) || ', n)'
        else quote_ident(attname) end, ', ' order by attnum)
      into wanted from pg_attribute where attrelid = part.oid and attnum > 0 and not attisdropped and attgenerated = '' and attidentity = '';
    execute format('insert into %I (%s) select %s from %I, generate_series(1, (select n from last)) n', part.relname,
      (select string_agg(quote_ident(attname), ', ' order by attnum) from pg_attribute where attrelid = part.oid and attnum > 0
        and not attisdropped and attgenerated = '' and attidentity = ''), wanted, part.relname);
  end loop;
end $$;
analyze;
