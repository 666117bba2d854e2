-- What a pot's readings come to and how their trace is drawn, as last reckoned, so that a pot of very many opens before they are read.
alter table reading_pack add column outline bytea;
