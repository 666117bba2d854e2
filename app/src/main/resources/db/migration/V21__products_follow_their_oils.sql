-- By which rules a product's date was reckoned, and what its labels say: as for bottles.
alter table product add column reckoned_by integer not null default 1;
alter table product add column labelled_until date;
update product set labelled_until = best_before where status = 'POURED';
