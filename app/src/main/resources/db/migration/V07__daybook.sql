create table union_measure (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  tree_id char(36) character set ascii collate ascii_bin not null,
  measured_on date not null,
  height double not null check (height between -0.5 and 2),
  kind varchar(12) character set ascii not null check (kind in ('AS_PLANTED', 'CHECK')),
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id, tree_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (tree_id) references tree (id)
);
create table note (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  tree_id char(36) character set ascii collate ascii_bin not null,
  noted_on date not null,
  words varchar(2000) not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id, tree_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (tree_id) references tree (id)
);
