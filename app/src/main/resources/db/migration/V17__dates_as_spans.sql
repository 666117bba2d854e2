-- By which rules a bottle's date was reckoned; older ones are reckoned anew once, with their reason.
alter table bottle add column reckoned_by integer not null default 1;
-- What its label says: as it was when the label could first be printed, or was last printed.
alter table bottle add column labelled_until date;
update bottle set labelled_until = best_before;
alter table bottle alter column labelled_until set not null;
create index bottle_to_print on bottle (household_id) where not gone and labelled_until > best_before;
