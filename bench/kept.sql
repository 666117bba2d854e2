-- What of the town's entries and readings was lost, doubled or put with a neighbour, from the two lists in the folder that psql runs in.
create temp table acknowledged (n int, key text);
\copy acknowledged from 'acknowledged' delimiter ' '
create temp table sent (n int, key text);
\copy sent from 'sent' delimiter ' '
create temp table kept as select replace(h.name, 'Town ', '')::int as n, e.idempotency_key as key, e.kind, e.data from entry e join household h on h.id = e.household_id where e.kind in ('note', 'charged');
create temp table seen as
  select n, key from kept
  union all
  select replace(h.name, 'Town ', '')::int, 'reading-' || (extract(epoch from r.at) * 1000)::bigint from reading r join household h on h.id = r.household_id
  where h.name like 'Town %';
\pset format unaligned
\pset tuples_only on
select 'entries and readings acknowledged: ' || count(*) from acknowledged;
select 'acknowledged and lost: ' || count(*) from acknowledged a where not exists (select from seen s where s.n = a.n and s.key = a.key);
select 'kept twice: ' || count(*) from (select n, key from kept group by n, key having count(*) > 1) twice;
select 'kept and never sent: ' || count(*) from kept k where k.key like '%-%-%-%-%' and not exists (select from sent s where s.n = k.n and s.key = k.key);
select 'in another household: ' || count(*) from kept k where k.kind = 'note' and k.data::text not like '%household ' || k.n || '"%';
select 'readings of another household: ' || count(*) from reading r join household h on h.id = r.household_id where r.celsius >= 30 and abs(r.celsius - 30 - replace(h.name, 'Town ', '')::int / 1000.0) > 1e-6;
select 'readings kept: ' || count(*) from reading;
select 'sent and not kept: ' || count(*) from sent where not exists (select from kept k where k.n = sent.n and k.key = sent.key);
