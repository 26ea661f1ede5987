-- Local metres: x east, y north of an origin; rotation turns the local north to true north.
create table site (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null unique,
  latitude double not null check (latitude between -66 and 66),
  longitude double null check (longitude between -180 and 180),
  elevation double null check (elevation between -450 and 6000),
  rotation double not null default 0,
  declination double null check (declination between -90 and 90),
  slope double null check (slope between 0 and 100),
  aspect double null check (aspect between 0 and 360),
  prevailing_wind double null check (prevailing_wind between 0 and 360),
  storm_wind double null check (storm_wind between 0 and 360),
  corners text character set ascii not null,
  version int not null default 0,
  foreign key (orchard_id) references orchard (id)
);
create table soil_pit (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  label varchar(20) not null,
  x double not null,
  y double not null,
  texture varchar(20) character set ascii not null,
  topsoil double not null check (topsoil between 0 and 3),
  pan double null check (pan between 0 and 5),
  ph double null check (ph between 2 and 11),
  hole_diameter double null check (hole_diameter > 0),
  hole_depth double null check (hole_depth > 0),
  second_filling boolean not null default false,
  water_entered boolean not null default false,
  readings text character set ascii not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
