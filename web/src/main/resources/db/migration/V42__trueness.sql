-- How true a string was found, by its octave or by how it rang; judged against the first of the same string.
create table trueness_reading (
    id                 uuid         primary key,
    workshop_id        uuid         not null references workshop (id),
    fitted_string_id   uuid         not null,
    press              uuid         not null,
    read_at            timestamptz  not null,
    pitch_from         varchar(6)   not null check (pitch_from in ('TYPED', 'HEARD')),
    octave_cents       float8 check (octave_cents between -100 and 100),
    octave_doubt_cents float8 check (octave_doubt_cents > 0 and octave_doubt_cents <= 100),
    stiffness          float8 check (stiffness between 0 and 0.01),
    scatter_cents      float8 check (scatter_cents between 0 and 50),
    partials           smallint check (partials between 4 and 32),
    recorded_by        varchar(80)  not null,
    taken_back_at      timestamptz,
    taken_back_by      varchar(80),
    constraint trueness_reading_once unique (workshop_id, press),
    foreign key (fitted_string_id, workshop_id) references fitted_string (id, workshop_id),
    constraint trueness_reading_octave check (num_nonnulls(octave_cents, octave_doubt_cents) in (0, 2)),
    constraint trueness_reading_rang check (num_nonnulls(stiffness, scatter_cents, partials) in (0, 3)),
    constraint trueness_reading_says_something check (num_nonnulls(octave_cents, stiffness) > 0),
    constraint trueness_reading_taken_back check ((taken_back_at is null) = (taken_back_by is null))
);
create index trueness_reading_string on trueness_reading (workshop_id, fitted_string_id, read_at);
