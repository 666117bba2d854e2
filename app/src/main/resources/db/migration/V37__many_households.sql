-- Who keeps a house for many households: links by which one is founded, what each used of its share, and how much
-- there is of each. The last is all that is ever told: no name, no word that anybody wrote.
create table founding_invitation (
  token_hash text primary key,
  created_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz
);

create table household_use (
  household_id uuid not null default household_at_hand() references household on delete cascade,
  day date not null,
  readings bigint not null default 0,
  exports int not null default 0,
  primary key (household_id, day)
) with (fillfactor = 50);
alter table household_use enable row level security;
create policy own_household on household_use using (household_id = household_at_hand());

create function household_sizes()
returns table (household uuid, people bigint, batches bigint, standing bigint, entries bigint, photos bigint, photo_bytes bigint,
  readings_today bigint, founded date, changes bigint)
language sql stable security definer set search_path = public as $$
  select h.id,
    (select count(*) from member m where m.household_id = h.id),
    (select count(*) from batch b where b.household_id = h.id),
    (select count(*) from batch b where b.household_id = h.id and b.standing),
    (select count(*) from entry e where e.household_id = h.id),
    (select count(*) from look_photo p where p.household_id = h.id) + (select count(*) from lot_label l where l.household_id = h.id),
    (select coalesce(sum(octet_length(jpeg)), 0) from look_photo p where p.household_id = h.id)
      + (select coalesce(sum(octet_length(jpeg)), 0) from lot_label l where l.household_id = h.id),
    (select coalesce(sum(u.readings), 0)::bigint from household_use u where u.household_id = h.id and u.day = current_date),
    h.created_at::date,
    coalesce((select c.changes from household_change c where c.household_id = h.id), 0)
  from household h where not h.demo
$$;

-- What was looked for in every household, and found nowhere any more: with thousands of them that is not done anew at
-- each start.
create table caught_up (
  what text primary key,
  done_at timestamptz not null
);
