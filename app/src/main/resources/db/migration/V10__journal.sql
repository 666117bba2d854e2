-- All that is written, whatever it was written about, in words that can be searched.
create table journal (
  id uuid primary key,
  household_id uuid not null references household,
  kind text not null,
  subject text not null,
  link text not null,
  title text not null,
  detail text not null,
  about text not null,
  herbs text[] not null,
  oils text[] not null,
  happened_at timestamptz not null,
  written_by text not null,
  struck boolean not null default false,
  words tsvector not null generated always as
    (to_tsvector('simple', subject || ' ' || title || ' ' || detail || ' ' || about || ' ' || written_by)) stored
);
create index journal_by_time on journal (household_id, happened_at desc, id);
create index journal_by_word on journal using gin (words);
create index journal_by_herb on journal using gin (herbs);
create index journal_by_oil on journal using gin (oils);
create index journal_by_kind on journal (household_id, kind, happened_at desc);
create index journal_by_link on journal (link);
