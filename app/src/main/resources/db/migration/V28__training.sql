-- The system in which the trees of a choice are trained, by its name; null: an ordinary bush or open tree.
alter table variety_choice add column training varchar(40) null;
