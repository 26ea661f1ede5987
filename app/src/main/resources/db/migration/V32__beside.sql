-- Bare ground round the stem, m, and what goes into the hole; null: as the ways say.
alter table tree add column hole_clear double null;
alter table tree add column hole_filled varchar(12) character set ascii null;
-- What was seen beside a tree when its union was measured; null: not looked at.
alter table union_measure add column tie varchar(12) character set ascii null;
alter table union_measure add column mulch varchar(12) character set ascii null;
