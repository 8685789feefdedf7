-- When each string on the instruments of the rack falls due and how it is used up until then, worked out with its instrument's place and
-- kept as long as that holds: what has to be bought is asked of these, and does not read how every instrument stands.
create table due_string (
    fitted_string_id uuid primary key,
    workshop_id      uuid             not null,
    instrument_id    uuid             not null,
    instrument_name  varchar(60)      not null,
    position         varchar(3)       not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    kind_id          uuid             not null,
    worked_out_at    timestamptz      not null,
    -- Null once it is due.
    due_on           date,
    worn             double precision not null check (worn >= 0 and worn <= 12000),
    worn_an_hour     double precision not null check (worn_an_hour >= 0 and worn_an_hour <= 1),
    hours_per_week   double precision not null check (hours_per_week >= 0 and hours_per_week <= 168),
    foreign key (fitted_string_id, workshop_id) references fitted_string (id, workshop_id),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id)
);
create index due_string_kind on due_string (workshop_id, kind_id, due_on);
create index due_string_instrument on due_string (workshop_id, instrument_id);
update rack_place set holds_until = timestamptz 'epoch';
