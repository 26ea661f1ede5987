-- One order for the whole plan, tasks that were ticked off, and when an account looked last.
alter table plan
  add column order_closes date null,
  add column order_sent date null;
create table task_done (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  task_key varchar(40) character set ascii collate ascii_bin not null,
  done_on date not null,
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
alter table account
  add column visited_at datetime(3) null,
  add column visited_before datetime(3) null;
