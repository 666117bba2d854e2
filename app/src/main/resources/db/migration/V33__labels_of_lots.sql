-- Pictures of what was bought: the label on its packet, small, without place, time or camera.
create table lot_label (
  household_id uuid not null references household,
  id uuid not null,
  lot_id uuid not null,
  jpeg bytea not null,
  sent_at timestamptz not null,
  primary key (household_id, id),
  foreign key (household_id, lot_id) references lot
);
create index lot_label_of on lot_label (household_id, lot_id, sent_at);
alter table lot_label enable row level security;
create policy own_household on lot_label using (household_id = household_at_hand());
