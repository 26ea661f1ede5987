-- Weather is stored as given: the file kept, every value with its station, file and flag. Hours and totals are reckoned anew.
create table station (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  name varchar(120) not null,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
create table weather_file (
  id char(36) character set ascii collate ascii_bin not null primary key,
  station_id char(36) character set ascii collate ascii_bin not null,
  name varchar(200) not null,
  sha256 char(64) character set ascii collate ascii_bin not null,
  content longblob not null,
  loaded_at datetime(3) not null,
  unique (station_id, sha256),
  foreign key (station_id) references station (id)
);
create table weather_day (
  station_id char(36) character set ascii collate ascii_bin not null,
  day date not null,
  minimum double not null,
  maximum double not null,
  file_id char(36) character set ascii collate ascii_bin not null,
  flag char(1) character set ascii not null default '',
  primary key (station_id, day),
  check (minimum <= maximum),
  check (minimum between -60 and 60 and maximum between -60 and 60),
  foreign key (station_id) references station (id),
  foreign key (file_id) references weather_file (id)
);
