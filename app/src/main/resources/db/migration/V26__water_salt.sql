-- Electrical conductivity of the water that the trees get, dS/m; null: not measured.
alter table site add column water_salt double null;
