-- A password of its own length and letters (Argon2id), and a number that ends other sessions when it is changed.
alter table account
  modify column password_hash varchar(300) character set ascii collate ascii_bin not null,
  add column entry int not null default 0;
