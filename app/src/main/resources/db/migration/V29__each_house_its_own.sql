-- Each house its own, said by the database as well. An id points to a row of the same household or not at all;
-- what is one of a few words is one of them; and a transaction sees the rows of the household that it says it
-- works for (velvetcrock.household), so that a question that forgets the household finds nothing.

-- The household that the transaction works for; none, if it does not say.
create function household_at_hand() returns uuid language sql stable
  return nullif(current_setting('velvetcrock.household', true), '')::uuid;

-- Readings, refused lines and own figures say whose they are.
create table reading_of_household (
  batch_id uuid not null,
  at timestamptz not null,
  celsius double precision not null,
  import_number int not null default 0,
  household_id uuid not null default household_at_hand()
);
insert into reading_of_household
  select r.batch_id, r.at, r.celsius, r.import_number, b.household_id
  from reading r join batch b on b.id = r.batch_id order by r.batch_id, r.at;
drop table reading;
alter table reading_of_household rename to reading;
alter table reading add constraint reading_pkey primary key (batch_id, at);

alter table reading_rejected add column household_id uuid default household_at_hand();
update reading_rejected r set household_id = i.household_id from reading_import i where i.id = r.import_id;
alter table reading_rejected alter column household_id set not null;

alter table own_figure add column household_id uuid default household_at_hand();
update own_figure f set household_id = t.household_id from own_thing t where t.id = f.thing_id;
alter table own_figure alter column household_id set not null;

-- An id is known within its household, so that a household can be put down beside a copy of itself: every key
-- to it says both.
do $$
declare
  key record;
begin
  for key in
    select conrelid::regclass as held, conname from pg_constraint
    where contype = 'f' and connamespace = 'public'::regnamespace and confrelid in (
      'batch'::regclass, 'lot'::regclass, 'product'::regclass, 'drying_load'::regclass, 'trial'::regclass,
      'plan'::regclass, 'recipe'::regclass, 'appliance'::regclass, 'own_thing'::regclass, 'entry'::regclass,
      'reading_import'::regclass, 'member'::regclass)
      and conname <> 'user_entities_name_fkey'
  loop
    execute format('alter table %s drop constraint %I', key.held, key.conname);
  end loop;
  for key in
    select k.conrelid::regclass as held, k.conname, k.contype,
      string_agg(quote_ident(a.attname), ', ' order by c.at) as of_columns
    from pg_constraint k
      cross join lateral unnest(k.conkey) with ordinality as c (attnum, at)
      join pg_attribute a on a.attrelid = k.conrelid and a.attnum = c.attnum
      join pg_attribute h on h.attrelid = k.conrelid and h.attname = 'household_id'
    where k.contype in ('p', 'u') and k.connamespace = 'public'::regnamespace
      and not h.attnum = any (k.conkey)
      and k.conrelid not in ('happened'::regclass, 'api_token'::regclass, 'invitation'::regclass)
    group by k.oid, k.conrelid, k.conname, k.contype
    having not bool_or(a.attname in ('login', 'token', 'secret_hash', 'code_hash'))
  loop
    execute format('alter table %s drop constraint %I', key.held, key.conname);
    execute format('alter table %s add constraint %I %s (household_id, %s)', key.held, key.conname,
      case key.contype when 'p' then 'primary key' else 'unique' end, key.of_columns);
  end loop;
end $$;

alter table reading add foreign key (household_id, batch_id) references batch;
alter table bottle add foreign key (household_id, batch_id) references batch;
alter table bottle_date_move add foreign key (household_id, batch_id) references batch;
alter table bottle_pass
  add foreign key (household_id, batch_id) references batch,
  add foreign key (household_id, product_id) references product,
  add constraint bottle_pass_opens_one check (num_nonnulls(batch_id, product_id) = 1);
alter table look_photo add foreign key (household_id, batch_id) references batch;
alter table retention_lesson add foreign key (household_id, batch_id) references batch;
alter table speed_lesson
  add foreign key (household_id, batch_id) references batch,
  add foreign key (household_id, trial_id) references trial;
alter table appliance_run
  add foreign key (household_id, appliance_id) references appliance,
  add foreign key (household_id, batch_id) references batch;
alter table reading_import add foreign key (household_id, batch_id) references batch;
alter table reading_rejected add foreign key (household_id, import_id) references reading_import on delete cascade;
alter table own_figure add foreign key (household_id, thing_id) references own_thing on delete cascade;
alter table batch_lot
  add foreign key (household_id, batch_id) references batch,
  add foreign key (household_id, lot_id) references lot;
alter table product_source
  add foreign key (household_id, product_id) references product,
  add foreign key (household_id, lot_id) references lot,
  add foreign key (household_id, batch_code) references batch (household_id, code);
alter table plan add foreign key (household_id, appliance_id) references appliance;
alter table plan_lot
  add foreign key (household_id, plan_id) references plan on delete cascade,
  add foreign key (household_id, lot_id) references lot;
alter table recipe_version add foreign key (household_id, recipe_id) references recipe;
alter table trial_jar
  add foreign key (household_id, trial_id) references trial,
  add foreign key (household_id, code) references batch (household_id, code);
alter table trial_judging add foreign key (household_id, trial_id) references trial;
alter table recovery add foreign key (household_id, member_id) references member on delete cascade;
alter table recovery_code add foreign key (household_id, member_id) references member on delete cascade;

-- An entry is of a batch, a lot, a load or a product; the state beside it may be written after it.
alter table entry
  add column batch_id uuid generated always as (case when subject = 'BATCH' then subject_id end) stored,
  add column lot_id uuid generated always as (case when subject = 'LOT' then subject_id end) stored,
  add column load_id uuid generated always as (case when subject = 'LOAD' then subject_id end) stored,
  add column product_id uuid generated always as (case when subject = 'PRODUCT' then subject_id end) stored;
alter table entry
  add foreign key (household_id, replaces) references entry,
  add foreign key (household_id, batch_id) references batch deferrable initially deferred,
  add foreign key (household_id, lot_id) references lot deferrable initially deferred,
  add foreign key (household_id, load_id) references drying_load deferrable initially deferred,
  add foreign key (household_id, product_id) references product deferrable initially deferred;

-- What follows from the subject is not yet reckoned where the trigger looks.
create or replace function log_entry_is_append_only() returns trigger language plpgsql as $$
declare
  not_told text[] := array['written_by', 'batch_id', 'lot_id', 'load_id', 'product_id'];
begin
  if current_user = 'velvetcrock_eraser' then
    if tg_op = 'DELETE' then
      return old;
    end if;
    if to_jsonb(new) - not_told = to_jsonb(old) - not_told then
      return new;
    end if;
  end if;
  raise exception 'The log is append-only: add an entry that replaces another.';
end $$;

-- What is one of a few words. A test holds these beside the lists in the code.
alter table appliance add constraint appliance_kind_known check (kind in ('GAS_RING', 'ELECTRIC_PLATE',
  'SLOW_COOKER', 'DEHYDRATOR', 'OVEN', 'YOGHURT_MAKER', 'SUNNY_WINDOW', 'CUPBOARD'));
alter table batch add constraint batch_status_known check (status in ('RESTING', 'INFUSING', 'STRAINED', 'BOTTLED',
  'FINISHED', 'THROWN_OUT'));
alter table bottle
  add constraint bottle_place_known check (place in ('FREEZER', 'FRIDGE', 'COOL', 'ROOM', 'WARM')),
  add constraint bottle_glass_known check (glass in ('AMBER', 'CLEAR')),
  add constraint bottle_decided_by_known check (decided_by in ('CARRIER_DATE', 'EARLIER_OIL', 'AGEING',
    'TWELVE_MONTHS', 'TWENTY_FOUR_MONTHS_FRIDGE', 'FREE_WATER', 'KITCHEN_FRESH', 'KITCHEN_FROZEN', 'KITCHEN_DRIED',
    'STOOD_WARM', 'KITCHEN_NOT_IN_FRIDGE')),
  add constraint bottle_gone_because_known check (gone_because in ('USED_UP', 'RANCID', 'MUSTY', 'CLOUDY', 'FIZZ',
    'PAST_DATE', 'SPILLED', 'OTHER'));
alter table entry
  add constraint entry_subject_known check (subject in ('BATCH', 'LOT', 'LOAD', 'PRODUCT')),
  add constraint entry_kind_known check (kind in (
    'added', 'all-well', 'bath-topped-up', 'begun', 'bottle-checked', 'bottle-gone', 'bottle-opened',
    'bottle-stood', 'bottled', 'capped', 'charged', 'coloured', 'counted', 'damp-checked', 'decanted',
    'described', 'drawn', 'drawn-unbottled', 'ended', 'felt-by-hand', 'given-back', 'heat-answered',
    'knob-turned', 'left-longer', 'looked', 'looked-back', 'marc-weighed', 'moved', 'note', 'oil-looked',
    'oil-poured', 'oil-reckoned-anew', 'opened', 'picked', 'pot-abandoned', 'pot-added', 'pot-begun',
    'pot-looked', 'pot-poured', 'pot-read', 'pot-remarked', 'pot-tested', 'pot-weighed', 'put-away',
    'put-on-heat', 'ran-hot', 'shaken', 'skin-reacted', 'smelled', 'snapped', 'stood-clear', 'strained',
    'struck', 'taken', 'taken-off-heat', 'thrown-out', 'tin-went', 'topped-up', 'transferred', 'turned',
    'visited', 'water-known', 'weighed'));
alter table happened add constraint happened_deed_known check (deed in ('MOVED_IN', 'SIGNED_IN', 'SIGN_IN_FAILED',
  'SIGNED_OUT', 'DEVICE_SIGNED_OUT', 'INVITED', 'INVITATION_WITHDRAWN', 'JOINED', 'LEFT', 'REMOVED', 'ROLE_CHANGED',
  'NAME_CHANGED', 'NAME_FORGOTTEN', 'PASSWORD_CHANGED', 'CODES_MADE', 'CODE_USED', 'RECOVERY_ASKED',
  'RECOVERY_STOPPED', 'RECOVERED', 'PASSKEY_ADDED', 'PASSKEY_REMOVED', 'TOKEN_MADE', 'TOKEN_REVOKED', 'EXPORTED',
  'IMPORTED', 'ERASURE_ASKED', 'ERASURE_STOPPED', 'RESTORED'));
alter table household
  add constraint household_kitchen_known check (kitchen in ('US', 'METRIC', 'IMPERIAL')),
  add constraint household_weights_known check (weights in ('GRAMS', 'OUNCES')),
  add constraint household_volumes_known check (volumes in ('MILLILITRES', 'CUPS')),
  add constraint household_degrees_known check (degrees in ('CELSIUS', 'FAHRENHEIT')),
  add constraint household_lengths_known check (lengths in ('MILLIMETRES', 'INCHES')),
  add constraint household_dates_known check (dates in ('DAY_FIRST', 'MONTH_FIRST', 'YEAR_FIRST')),
  add constraint household_week_begins_known check (week_begins in ('MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY',
    'FRIDAY', 'SATURDAY', 'SUNDAY')),
  add constraint household_clock_known check (clock in ('HOURS_24', 'HOURS_12')),
  add constraint household_paper_known check (paper in ('A4', 'LETTER')),
  add constraint household_spelling_known check (spelling in ('BRITISH', 'AMERICAN')),
  add constraint household_contents_known check (contents in ('OWN', 'BOTH')),
  add constraint household_away_days_known check (away_days ~
    '^((MONDAY|TUESDAY|WEDNESDAY|THURSDAY|FRIDAY|SATURDAY|SUNDAY)( |$))*$');
alter table lot
  add constraint lot_kind_known check (kind in ('HERB', 'CARRIER', 'SPIRIT', 'WAX')),
  add constraint lot_herb_state_known check (herb_state in ('DRIED', 'WILTED', 'FRESH'));
alter table own_jar add constraint own_jar_shape_known check (shape in ('JAR', 'BOWL', 'PAN', 'DISH', 'CROCK'));
alter table own_thing
  add constraint own_thing_kind_known check (kind in ('HERB', 'CARRIER', 'WAX', 'POWDER', 'ESSENTIAL_OIL')),
  add constraint own_thing_part_known check (part in ('FLOWER', 'HEAD', 'LEAF', 'ROOT', 'BARK', 'SEED', 'FRUIT',
    'RESIN'));
alter table place add constraint place_light_known check (light in ('DARK', 'ROOM', 'WINDOW'));
alter table plan add constraint plan_status_known check (status in ('OPEN', 'CHARGED', 'DROPPED'));
alter table product
  add constraint product_making_known check (making in ('OINTMENT', 'SOFT_SALVE', 'SALVE', 'FIRM_BALM', 'STICK',
    'LOTION_BAR', 'WHIPPED_BUTTER', 'POMADE', 'COMPRESS_PADS', 'MASSAGE_OIL', 'BATH_OIL', 'POULTICE', 'DRAWN')),
  add constraint product_status_known check (status in ('IN_THE_PAN', 'POURED', 'GONE', 'ABANDONED'));
alter table reading_import add constraint reading_import_status_known check (status in ('ASKED', 'READING', 'TAKEN',
  'REFUSED', 'UNDONE'));
alter table retention_lesson
  add constraint retention_lesson_part_known check (part in ('FLOWER', 'HEAD', 'LEAF', 'ROOT', 'BARK', 'SEED',
    'FRUIT', 'RESIN')),
  add constraint retention_lesson_expression_known check (expression in ('DRIP', 'SQUEEZE', 'TWIST', 'PRESS'));
alter table round_note add constraint round_note_what_known check (what in ('PUT_OFF', 'SKIPPED', 'TIMER'));
alter table speed_lesson
  add constraint speed_lesson_part_known check (part in ('FLOWER', 'HEAD', 'LEAF', 'ROOT', 'BARK', 'SEED', 'FRUIT',
    'RESIN')),
  add constraint speed_lesson_cut_known check (cut in ('WHOLE', 'CUT', 'GROUND', 'POWDER')),
  add constraint speed_lesson_way_known check (way in ('COLD', 'SOLAR', 'TWO_STAGE', 'SPIRIT', 'WARM', 'CROCK',
    'SIMMER', 'OVEN'));
alter table journal add constraint journal_link_leads_here check (link ~ '^/($|[^/\\])');
alter table trial add constraint trial_differs_known check (differs in ('WEEKS', 'CUT', 'HEAT', 'SPIRIT'));

-- Every table with a household: its own rows alone, to be seen and to be written. What is looked for before
-- anybody knows whose it is – a name at the door, a token, a link – is found by whoever shows it
-- (velvetcrock.shown), and nothing beside it.
do $$
declare
  of_household text;
begin
  for of_household in
    select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'household_id'
    where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace
  loop
    execute format('alter table %I enable row level security', of_household);
    execute format('create policy own_household on %I using (household_id = household_at_hand())', of_household);
  end loop;
end $$;
create policy shown on member using (login = current_setting('velvetcrock.shown', true));
create policy shown on api_token using (token_hash = current_setting('velvetcrock.shown', true));
create policy shown on invitation using (token_hash = current_setting('velvetcrock.shown', true));
create policy shown on recovery using (secret_hash = current_setting('velvetcrock.shown', true));
create policy shown on calendar_feed using (secret_hash = current_setting('velvetcrock.shown', true));
create policy shown on bottle_pass for select using (token = current_setting('velvetcrock.shown', true));
-- A sign-in that failed is noted while nobody is signed in.
create policy noted on happened for insert with check (true);
