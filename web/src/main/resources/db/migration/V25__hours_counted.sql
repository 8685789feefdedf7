-- Hours that somebody corrected count on from that day, not from the day the string went on.
alter table fitted_string
    add column hours_counted_at timestamptz,
    add constraint fitted_string_hours_counted check (hours_counted_at is null or hours_counted_at >= fitted_at);
