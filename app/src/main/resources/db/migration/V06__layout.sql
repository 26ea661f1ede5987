create table plan (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null unique,
  planting_date date not null,
  chill_model varchar(12) character set ascii not null default 'PORTIONS',
  pattern varchar(12) character set ascii not null default 'TRIANGLE',
  margin double not null default 3 check (margin between 0 and 100),
  alley double not null default 2 check (alley between 0 and 30),
  bearing double null check (bearing between 0 and 180),
  version int not null default 0,
  foreign key (orchard_id) references orchard (id)
);
-- A school chosen for the orchard, or for one tree of it.
create table way_choice (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  tree_id char(36) character set ascii collate ascii_bin null,
  way_key varchar(40) character set ascii collate ascii_bin not null,
  choice varchar(40) character set ascii collate ascii_bin not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
-- A peg is a place; a tree is what stands, or will stand, at one.
create table peg (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  label varchar(12) not null,
  x double not null check (x between -20000 and 20000),
  y double not null check (y between -20000 and 20000),
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
create table tree (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  peg_id char(36) character set ascii collate ascii_bin not null,
  choice_id char(36) character set ascii collate ascii_bin null,
  variety_key varchar(60) character set ascii collate ascii_bin not null,
  rootstock_key varchar(60) character set ascii collate ascii_bin null,
  state varchar(10) character set ascii not null check (state in ('PLANNED', 'ORDERED', 'PLANTED', 'DEAD', 'MOVED')),
  form varchar(10) character set ascii not null check (form in ('BARE', 'CONTAINER', 'FIELD')),
  ball_diameter double not null check (ball_diameter between 0.05 and 3),
  ball_height double not null check (ball_height between 0.05 and 2),
  union_above_flare double null check (union_above_flare between 0 and 1),
  stem double not null check (stem between 0.003 and 0.5),
  footing varchar(12) character set ascii null,
  planted_on date null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  key (peg_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (peg_id) references peg (id)
);
