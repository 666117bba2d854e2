-- Whether labels tell what is in a vessel in the household's own unit alone, or in both. Those that exist go on as before.
alter table household add column contents text not null default 'OWN';
