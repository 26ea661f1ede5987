-- The tests were copied into drainage_test by the migration before this one.
alter table soil_pit drop column hole_diameter, drop column hole_depth, drop column second_filling, drop column water_entered, drop column readings;
