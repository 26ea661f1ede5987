-- Somebody who only looks is a reader. The check was unnamed, so it is found by its column and replaced.
alter table membership modify role varchar(10) character set ascii not null
  check (role in ('OWNER', 'PARTNER', 'HELPER', 'READER'));
