-- Days on which the grower saw a variety in full bloom; they fit its heat need to this place.
create table bloom_seen (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  variety_key varchar(60) character set ascii collate ascii_bin not null,
  seen_on date not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
