-- As an instrument stands on the rack it is laid out once: whatever gives it another place gives it another edition.
alter table rack_place add column edition uuid not null default gen_random_uuid();
