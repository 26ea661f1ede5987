-- Days made from monthly means stand in until a record is found; the first real file takes their place.
alter table station add column stand_in boolean not null default false;
