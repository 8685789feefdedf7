-- A reading that was heard or typed wrongly is taken back; it stays on record and counts no more.
alter table settling_reading add column taken_back_at timestamptz;
alter table settling_reading add column taken_back_by varchar(80);
alter table settling_reading add constraint settling_reading_taken_back check ((taken_back_at is null) = (taken_back_by is null));
