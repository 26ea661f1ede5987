-- What moved, once for many subjects, as keys and values; words are found when it is read.
create table figure_moved (
  set_id char(36) character set ascii collate ascii_bin not null,
  seq int not null,
  room varchar(20) character set ascii not null,
  figure varchar(40) character set ascii not null,
  quantity varchar(20) character set ascii not null,
  subjects int not null,
  subject_kind varchar(10) character set ascii not null,
  subject_id varchar(60) character set ascii collate ascii_bin not null,
  from_low double null,
  from_high double null,
  to_low double null,
  to_high double null,
  primary key (set_id, seq),
  foreign key (set_id) references change_set (id)
);
-- What was told before is told on, each for itself.
insert into figure_moved
  (set_id, seq, room, figure, quantity, subjects, subject_kind, subject_id, from_low, from_high, to_low, to_high)
  select set_id, seq, room,
    case substring_index(figure, '.', 1)
      when 'union' then 'planting.union' when 'width' then 'planting.width' when 'depth' then 'planting.depth'
      when 'mound' then 'planting.mound' when 'mulch' then 'planting.mulch' when 'compost' then 'planting.compost'
      when 'water' then 'irrigation.watering-in' when 'weeks' then 'irrigation.eight-weeks'
      when 'crown' then 'layout.crown' when 'pit' then 'site.drains' when 'chill' then 'variety.of-ten'
      else figure end,
    quantity, 1,
    case when tree_id is not null then 'TREE' when figure like 'pit.%' then 'PIT'
      when figure like 'chill.%' then 'VARIETY' else 'ORCHARD' end,
    case when tree_id is not null then tree_id when figure like 'pit.%' or figure like 'chill.%'
      then substring(figure, locate('.', figure) + 1) else '' end,
    from_value, from_value, to_value, to_value
  from moved;
