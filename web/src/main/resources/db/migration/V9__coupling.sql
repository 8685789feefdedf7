-- How much an instrument gives when a string is raised, summed up from the readings of its runs.
alter table instrument add column coupling_xx float8 not null default 0 check (coupling_xx >= 0);
alter table instrument add column coupling_xy float8 not null default 0;
alter table instrument add column coupling_readings integer not null default 0 check (coupling_readings >= 0);
