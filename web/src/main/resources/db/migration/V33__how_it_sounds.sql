-- What was said of how a string sounds: on opposed scales, from the first word (-2) to the second (2), or that nobody wanted to say.
create table string_sound (
    id               uuid constraint string_sound_once primary key,
    workshop_id      uuid         not null references workshop (id),
    fitted_string_id uuid         not null,
    -- Kept beside it, since what a kind is like is asked for by kind, of thousands of strings: neither ever changes.
    kind_id          uuid         not null,
    instrument_id    uuid         not null,
    moment           varchar(10)  not null check (moment in ('ON', 'CAME_OFF')),
    said_at          timestamptz  not null,
    said_by          varchar(80)  not null,
    hours_played     float8 check (hours_played >= 0),
    dark_bright      smallint check (dark_bright between -2 and 2),
    soft_firm        smallint check (soft_firm between -2 and 2),
    slow_quick       smallint check (slow_quick between -2 and 2),
    apart_even       smallint check (apart_even between -2 and 2),
    small_powerful   smallint check (small_powerful between -2 and 2),
    note             varchar(500) not null,
    passed_over      boolean      not null,
    unique (id, workshop_id),
    foreign key (fitted_string_id, workshop_id) references fitted_string (id, workshop_id),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    constraint string_sound_says_something check (passed_over =
        (num_nonnulls(dark_bright, soft_firm, slow_quick, apart_even, small_powerful) = 0 and note = ''))
);
create index string_sound_kind on string_sound (workshop_id, kind_id) where moment = 'ON' and not passed_over;
create index string_sound_instrument on string_sound (workshop_id, instrument_id, said_at);
create index string_sound_of on string_sound (workshop_id, fitted_string_id);

-- What came off lately is asked about.
create index fitted_string_removed on fitted_string (workshop_id, removed_at) where removed_at is not null;
