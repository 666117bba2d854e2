-- Who does what is done by itself, and until when nobody else begins it (ShedLock's table, under our name).
create table job_lock (
  name varchar(64) primary key,
  lock_until timestamptz not null,
  locked_at timestamptz not null,
  locked_by varchar(255) not null
);
