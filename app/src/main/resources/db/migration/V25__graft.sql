-- Other varieties that a tree bears as branches: their keys, with commas between.
alter table tree add column grafts varchar(600) character set ascii collate ascii_bin null;
