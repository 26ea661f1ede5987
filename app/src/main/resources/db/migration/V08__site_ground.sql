-- What stands, lies and runs on the ground; points as "x y;x y" in plan metres.
create table feature (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  kind varchar(20) character set ascii not null,
  name varchar(80) not null default '',
  points text character set ascii not null,
  height double null check (height between -450 and 6000),
  width double null check (width between 0 and 100),
  crown double null check (crown between 0 and 100),
  evergreen boolean not null default false,
  material varchar(20) character set ascii null,
  clearance double null check (clearance between 0 and 100),
  about varchar(40) character set ascii null,
  flow double null check (flow >= 0),
  pressure double null check (pressure >= 0),
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
-- One hole, one filling; readings as "minutes metres;…" down from the stick. a and b: diameter; length and width; top and bottom.
create table drainage_test (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  pit_id char(36) character set ascii collate ascii_bin not null,
  label varchar(20) not null,
  shape varchar(10) character set ascii not null,
  a double not null check (a > 0),
  b double null check (b >= 0),
  depth double not null check (depth > 0),
  second_filling boolean not null default false,
  glazed boolean not null default false,
  water_entered boolean not null default false,
  water_depth double null,
  begun_at datetime(3) null,
  readings text character set ascii not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  key (pit_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (pit_id) references soil_pit (id)
);
insert into drainage_test (id, orchard_id, pit_id, label, shape, a, depth, second_filling, water_entered, readings, deleted)
  select uuid(), orchard_id, id, '1', 'CYLINDER', hole_diameter, hole_depth, second_filling, water_entered, readings, deleted
  from soil_pit where hole_diameter is not null and hole_depth is not null and (water_entered or readings <> '');
alter table soil_pit
  add column layers text character set ascii null,
  add column mottles double null check (mottles between 0 and 5),
  add column water_at double null check (water_at between 0 and 5),
  add column salt double null check (salt between 0 and 100),
  add column organic double null check (organic between 0 and 100),
  add column fizzes boolean not null default false,
  add column before_kind varchar(20) character set ascii null,
  add column years_since double null check (years_since between 0 and 200),
  add column died boolean not null default false,
  add column bottom double null check (bottom between 0 and 5),
  add column worms boolean not null default false,
  add column colour varchar(20) character set ascii null,
  add column jar varchar(60) character set ascii null,
  add column note varchar(500) null;
alter table site
  add column tapes text null,
  add column deer tinyint not null default 0,
  add column rabbits tinyint not null default 0,
  add column voles tinyint not null default 0,
  add column gophers tinyint not null default 0,
  add column birds tinyint not null default 0;
-- An undoing names the set it undid, so that undo goes further back and redo comes forward again.
alter table change_set add column undoes char(36) character set ascii collate ascii_bin null;
