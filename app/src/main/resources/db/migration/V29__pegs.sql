-- Length of the tapes, m; null: the usual one.
alter table plan add column tape double null;
-- Whether a peg stands in the ground.
alter table peg add column set_out boolean not null default false;
-- What was measured between two pegs that are set, m on the level.
create table peg_check (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  from_tree_id char(36) character set ascii collate ascii_bin not null,
  to_tree_id char(36) character set ascii collate ascii_bin not null,
  metres double not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
