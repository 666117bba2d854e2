-- Which kinds of happenings carry an alarm in the household's calendar address, by comma.
alter table calendar_feed add column calls text not null default 'HEAT,KEEPING,PLAN,STRAIN';
alter table calendar_feed add constraint calendar_feed_calls
  check (calls ~ '^((HEAT|KEEPING|PLAN|STRAIN|VISIT)(,(HEAT|KEEPING|PLAN|STRAIN|VISIT))*)?$');
