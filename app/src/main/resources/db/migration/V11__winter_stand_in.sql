-- Days made from monthly means stand in until a record is found; the first real file takes their place.
-- The offset is what the orchard is warmer than its station, K; days are stored as measured and corrected when read.
alter table station
  add column stand_in boolean not null default false,
  add column elevation double null check (elevation between -450 and 6000),
  add column offset_kelvin double not null default 0 check (offset_kelvin between -15 and 15);
