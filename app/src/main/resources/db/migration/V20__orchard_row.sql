-- An orchard's name and time zone are a row of its plan like any other: journaled, versioned, turned back.
alter table orchard
  add column orchard_id char(36) character set ascii collate ascii_bin not null default '',
  add column version int not null default 0;
update orchard set orchard_id = id;
