-- Sessions are kept in the database: they outlive a restart and are the same for every instance (Spring Session's schema).
create table SPRING_SESSION (
  PRIMARY_ID char(36) character set ascii collate ascii_bin not null primary key,
  SESSION_ID char(36) character set ascii collate ascii_bin not null,
  CREATION_TIME bigint not null,
  LAST_ACCESS_TIME bigint not null,
  MAX_INACTIVE_INTERVAL int not null,
  EXPIRY_TIME bigint not null,
  PRINCIPAL_NAME varchar(100) null,
  unique key SPRING_SESSION_IX1 (SESSION_ID),
  key SPRING_SESSION_IX2 (EXPIRY_TIME),
  key SPRING_SESSION_IX3 (PRINCIPAL_NAME)
);
create table SPRING_SESSION_ATTRIBUTES (
  SESSION_PRIMARY_ID char(36) character set ascii collate ascii_bin not null,
  ATTRIBUTE_NAME varchar(200) not null,
  ATTRIBUTE_BYTES mediumblob not null,
  primary key (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
  foreign key (SESSION_PRIMARY_ID) references SPRING_SESSION (PRIMARY_ID) on delete cascade
);
-- Work that one instance at a time does (ShedLock's schema).
create table shedlock (
  name varchar(64) not null primary key,
  lock_until timestamp(3) not null,
  locked_at timestamp(3) not null default current_timestamp(3),
  locked_by varchar(255) not null
);
