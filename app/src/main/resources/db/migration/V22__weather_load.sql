-- A weather file on its way in: kept until it is stored or let go, so that any instance can go on with it.
create table weather_load (
  id char(36) character set ascii collate ascii_bin not null primary key,
  orchard_id char(36) character set ascii collate ascii_bin not null,
  account_id char(36) character set ascii collate ascii_bin not null,
  name varchar(200) not null,
  content longblob not null,
  wish text not null,
  state varchar(10) character set ascii not null,
  turn int not null,
  percent int not null,
  stop boolean not null,
  told_at datetime(3) not null,
  asked_at datetime(3) not null,
  key (account_id),
  foreign key (orchard_id) references orchard (id),
  foreign key (account_id) references account (id)
);
