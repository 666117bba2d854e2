-- A trial that was judged blind teaches how fast a herb gives by each way that was tried; colours teach it for all ways.
alter table speed_lesson drop constraint speed_lesson_pkey;
alter table speed_lesson add column id uuid;
update speed_lesson set id = batch_id;
alter table speed_lesson add primary key (id);
alter table speed_lesson alter column batch_id drop not null;
alter table speed_lesson add column trial_id uuid references trial;
alter table speed_lesson add column way text;
alter table speed_lesson add constraint speed_lesson_has_one_teacher
  check (num_nonnulls(batch_id, trial_id) = 1);
create index speed_lesson_by_batch on speed_lesson (batch_id);
create index speed_lesson_by_trial on speed_lesson (trial_id);
