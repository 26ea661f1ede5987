-- Whether the trees of a choice stand in pots that go under cover.
alter table variety_choice add column in_pot boolean not null default false;
-- Varieties that are kept at the head of the shortlist.
create table variety_pin (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  variety_key varchar(60) character set ascii collate ascii_bin not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
