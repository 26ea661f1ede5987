-- A form carries an id of its own and is applied once; a set knows the revision that it made.
alter table change_set
  add column edit_id char(36) character set ascii collate ascii_bin null,
  add column revision bigint null,
  add unique key edit_once (orchard_id, edit_id);
alter table change_entry add key by_row (entity, entity_id);
-- The journal names kinds of rows by their stable keys.
update change_entry set entity = case entity
  when 'Site' then 'site' when 'PlanSettings' then 'plan' when 'Pit' then 'soil_pit' when 'Filling' then 'drainage_test'
  when 'Drawn' then 'feature' when 'Choice' then 'variety_choice' when 'OwnFigure' then 'variety_own'
  when 'BloomSeen' then 'bloom_seen' when 'WayChoice' then 'way_choice' when 'Peg' then 'peg' when 'Tree' then 'tree'
  when 'Measure' then 'union_measure' when 'Note' then 'note' else entity end;
