-- What the colours of each jar showed of how fast its herb gives in its oil, against what is reckoned.
create table speed_lesson (
  batch_id uuid primary key references batch,
  household_id uuid not null references household,
  herb text not null,
  part text not null,
  cut text not null,
  carrier text not null,
  log_speed double precision not null,
  within double precision not null
);
create index speed_lesson_of_household on speed_lesson (household_id);

-- Bark was once counted among roots, and fruit among seeds: what batches with either taught is learned anew, all of it,
-- under the parts as they are called now.
delete from retention_lesson
  where batch_id in (select batch_id from retention_lesson where part in ('ROOT', 'SEED'));
