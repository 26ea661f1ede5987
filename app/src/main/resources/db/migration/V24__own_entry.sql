-- A variety or a stock that an orchard made its own: new, or cells laid over a shipped one.
create table own_entry (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  what varchar(10) character set ascii collate ascii_bin not null check (what in ('VARIETY', 'ROOTSTOCK')),
  entry_key varchar(60) character set ascii collate ascii_bin not null,
  cells text not null,
  remark varchar(500) not null default '',
  version int not null default 0,
  deleted boolean not null default false,
  key (orchard_id),
  foreign key (orchard_id) references orchard (id)
);
