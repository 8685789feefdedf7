-- An old string that goes on again is as old as it was: its months count as its hours do. A new one has none.
alter table fitted_string add column months_before double precision
    constraint fitted_string_months_before check (months_before between 0 and 1200);

-- Two sets in turn on one instrument: so many weeks each, from a day on. The rules are in core.week.TwoSets.
create table two_sets (
    instrument_id uuid        constraint two_sets_once primary key,
    workshop_id   uuid        not null references workshop (id),
    weeks         smallint    not null check (weeks between 1 and 26),
    from_day      date        not null,
    entered_at    timestamptz not null,
    entered_by    varchar(80) not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index two_sets_of_workshop on two_sets (workshop_id);
