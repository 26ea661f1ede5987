create table account (
  id char(36) character set ascii collate ascii_bin not null primary key,
  sign_in varchar(80) character set utf8mb4 collate utf8mb4_bin not null unique,
  name varchar(120) not null,
  password_hash varchar(200) character set ascii collate ascii_bin not null,
  units varchar(8) character set ascii not null check (units in ('METRIC', 'US')),
  locale varchar(20) character set ascii not null,
  created_at datetime(3) not null,
  version int not null default 0
);
