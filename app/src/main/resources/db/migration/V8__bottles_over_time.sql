-- What a bottle holds and how it ended, so that the cellar can be sorted and learn.
alter table bottle add column herb_key text;
alter table bottle add column carrier_key text;
alter table bottle add column strained_on date;
alter table bottle add column gone_on date;
alter table bottle add column gone_because text;
alter table bottle add column spoiled boolean not null default false;
update bottle b set
  herb_key = x.herb_key,
  carrier_key = x.state -> 'charge' -> 'carriers' -> 0 ->> 'carrier',
  strained_on = coalesce(((x.state ->> 'strainedAt')::timestamptz at time zone h.zone)::date, b.filled_on),
  gone_on = (select ((s ->> 'goneAt')::timestamptz at time zone h.zone)::date
             from jsonb_array_elements(x.state -> 'bottles') s where s -> 'filled' ->> 'letter' = b.letter),
  gone_because = (select s ->> 'goneBecause'
             from jsonb_array_elements(x.state -> 'bottles') s where s -> 'filled' ->> 'letter' = b.letter)
  from batch x join household h on h.id = x.household_id where x.id = b.batch_id;
alter table bottle alter column herb_key set not null;
alter table bottle alter column carrier_key set not null;
alter table bottle alter column strained_on set not null;
create index bottle_ended on bottle (household_id, carrier_key, place) where gone_because is not null;
create index bottle_of_batch on bottle (batch_id);

-- Every time a bottle's date moved, and why.
create table bottle_date_move (
  id uuid primary key,
  household_id uuid not null references household,
  batch_id uuid not null references batch,
  letter text not null,
  moved_at timestamptz not null,
  from_date date not null,
  to_date date not null,
  why text not null
);
create index bottle_date_move_of on bottle_date_move (batch_id, letter, moved_at);
