-- A station may be asked for its readings, or send them with a key of its own; only the key's hash is kept.
alter table station
  add column pull_url varchar(300) null,
  add column push_hash char(64) character set ascii collate ascii_bin null unique,
  add column heard_at datetime(3) null,
  add column trouble varchar(300) null;
-- Every reading as it came, UTC; one that failed a check is kept with its fault and not reckoned with.
create table weather_reading (
  station_id char(36) character set ascii collate ascii_bin not null,
  at datetime(3) not null,
  celsius double null,
  humidity double null,
  wind double null,
  rain double null,
  watts double null,
  fault varchar(12) character set ascii collate ascii_bin not null,
  primary key (station_id, at),
  foreign key (station_id) references station (id)
);
