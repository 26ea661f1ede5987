-- A choice: so many trees of one variety on one stock. Keys lead into the shipped catalogue, which is read-only.
create table variety_choice (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  variety_key varchar(60) character set ascii collate ascii_bin not null,
  rootstock_key varchar(60) character set ascii collate ascii_bin null,
  wanted int not null check (wanted between 1 and 500),
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
-- An orchard's own figure laid over a shipped row.
create table variety_own (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  variety_key varchar(60) character set ascii collate ascii_bin not null,
  chill_need double not null check (chill_need between 0 and 3000),
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
