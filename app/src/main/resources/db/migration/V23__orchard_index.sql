-- An orchard's own row is found by the orchard like every other row, without looking at those of others.
alter table orchard add unique key orchard_once (orchard_id);
