-- An instrument that is sold, lent away or past mending leaves the rack and keeps its record.
alter table instrument add column retired_at timestamptz;
create index instrument_retired on instrument (workshop_id, retired_at desc, id) where retired_at is not null;
