-- In what a household reads weights, volumes, temperatures, lengths, dates, times and money, each by itself. Those that
-- exist go on reading what they read before.
alter table household add column weights text not null default 'GRAMS';
alter table household add column volumes text not null default 'MILLILITRES';
alter table household add column degrees text not null default 'CELSIUS';
update household set degrees = 'FAHRENHEIT' where kitchen = 'US';
alter table household add column lengths text not null default 'MILLIMETRES';
alter table household add column dates text not null default 'DAY_FIRST';
alter table household add column week_begins text not null default 'MONDAY';
alter table household add column clock text not null default 'HOURS_24';
alter table household add column paper text not null default 'A4';
alter table household add column spelling text not null default 'BRITISH';
alter table household add column currency text;
