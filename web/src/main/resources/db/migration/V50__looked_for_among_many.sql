-- What pages of a large workshop look for among all its strings, by indexes that hold all they ask: which kinds are on anything, how
-- many of a kind went which way, which broke, which are on since when, and which settle.
drop index fitted_string_kind;
create index fitted_string_kind on fitted_string (workshop_id, kind_id, came_off) include (fitted_at);
create index fitted_string_kind_on on fitted_string (workshop_id, kind_id, instrument_id) where removed_at is null;
create index fitted_string_broke on fitted_string (workshop_id, kind_id, instrument_id, broke_where)
    where came_off = 'BROKE' and fitted_at is not null;
create index fitted_string_on_since on fitted_string (workshop_id, fitted_at) where removed_at is null;
create index settling_string_since on settling_string (workshop_id, fitted_at);
