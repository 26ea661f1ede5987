-- Whether a tree is taken out when its crown meets its neighbours'.
alter table tree add column filler boolean not null default false;
