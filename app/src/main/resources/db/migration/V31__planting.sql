-- The hole as the grower wants it or has dug it, m; null: as the program proposes.
alter table tree add column hole_depth double null;
alter table tree add column hole_width double null;
alter table tree add column hole_bottom double null;
alter table tree add column hole_refill double null;
-- How far above the board the flare is set.
alter table tree add column hole_raise double null;
-- A school that holds for one crop.
alter table way_choice add column crop_key varchar(40) character set ascii collate ascii_bin null;
-- What was seen of a tree when it came.
create table arrival (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  tree_id char(36) character set ascii collate ascii_bin not null,
  arrived_on date not null,
  lifted_on date null,
  label varchar(12) character set ascii not null,
  bark varchar(12) character set ascii not null,
  branches varchar(12) character set ascii not null,
  roots varchar(12) character set ascii not null,
  joint varchar(12) character set ascii not null,
  flare_depth double null,
  height double null,
  kept_as varchar(12) character set ascii null,
  kept_until date null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
