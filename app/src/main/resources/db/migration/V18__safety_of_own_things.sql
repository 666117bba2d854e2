-- What safety needs to know of a household's own thing; nothing where it was never asked, which counts as unknown.
alter table own_thing add column edible text;
alter table own_thing add column allergen text;
alter table own_thing add column hazards text;
