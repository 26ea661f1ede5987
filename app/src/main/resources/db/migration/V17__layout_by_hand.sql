-- A place that the grower set by hand is left alone when the plot is filled anew.
alter table peg add column by_hand boolean not null default false;
