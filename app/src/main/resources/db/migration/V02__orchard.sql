-- An orchard is reached only through membership; every statement on what belongs to it joins membership.
create table orchard (
  id char(36) character set ascii collate ascii_bin not null primary key,
  name varchar(120) not null,
  time_zone varchar(64) character set ascii not null,
  revision bigint not null default 0,
  weather_stamp bigint not null default 0,
  created_at datetime(3) not null,
  deleted_at datetime(3) null
);
create table membership (
  orchard_id char(36) character set ascii collate ascii_bin not null,
  account_id char(36) character set ascii collate ascii_bin not null,
  role varchar(10) character set ascii not null check (role in ('OWNER', 'PARTNER', 'HELPER')),
  primary key (orchard_id, account_id),
  key (account_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (account_id) references account (id)
);
-- Who changed what, when, from what to what. A set is one thought of a person: it is undone as a whole.
create table change_set (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  account_id char(36) character set ascii collate ascii_bin not null,
  made_at datetime(3) not null,
  cause varchar(200) not null,
  undone_at datetime(3) null,
  seen boolean not null default false,
  key (orchard_id, made_at),
  foreign key (orchard_id) references orchard (id),
  foreign key (account_id) references account (id)
);
create table change_entry (
  set_id char(36) character set ascii collate ascii_bin not null,
  seq int not null,
  entity varchar(20) character set ascii not null,
  entity_id char(36) character set ascii collate ascii_bin not null,
  from_row longtext null,
  to_row longtext not null,
  primary key (set_id, seq),
  foreign key (set_id) references change_set (id)
);
-- Which figures downstream moved because of a set.
create table moved (
  set_id char(36) character set ascii collate ascii_bin not null,
  seq int not null,
  figure varchar(80) character set ascii not null,
  label varchar(200) not null,
  quantity varchar(20) character set ascii not null,
  from_value double null,
  to_value double null,
  room varchar(20) character set ascii not null,
  tree_id char(36) character set ascii collate ascii_bin null,
  primary key (set_id, seq),
  foreign key (set_id) references change_set (id)
);
