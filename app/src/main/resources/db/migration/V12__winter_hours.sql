-- Days measured by the hour keep their 24 temperatures: doubles, big-endian, hour 0 first, local standard time.
alter table weather_day add column hours varbinary(192) null check (hours is null or length(hours) = 192);
-- What a station measured beside the temperature, one row a day: mm, %, m/s, h, MJ/m², mm.
create table weather_beside (
  station_id char(36) character set ascii collate ascii_bin not null,
  day date not null,
  rain double null check (rain >= 0),
  humidity double null check (humidity between 0 and 100),
  wind double null check (wind >= 0),
  sunshine double null check (sunshine between 0 and 24),
  radiation double null check (radiation >= 0),
  snow double null check (snow >= 0),
  file_id char(36) character set ascii collate ascii_bin not null,
  primary key (station_id, day),
  foreign key (station_id) references station (id),
  foreign key (file_id) references weather_file (id)
);
-- The first station goes first; the others lend their days to its gaps. A station taken away can be brought back.
alter table station
  add column place int not null default 1,
  add column deleted boolean not null default false;
