-- What is left to do on an instrument, and the care of its strings and bow.
create table owed_work (
    id            uuid primary key,
    workshop_id   uuid        not null,
    instrument_id uuid        not null,
    -- A step that was left out; without one, the case kit is to be restocked.
    step          varchar(30),
    strings       varchar[]   not null,
    materials     varchar[]   not null,
    owed_since    timestamptz not null,
    done_at       timestamptz check (done_at >= owed_since),
    done_by       varchar(80),
    version       integer     not null,
    check (step is not null or cardinality(strings) > 0),
    check ((done_at is null) = (done_by is null)),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index owed_work_instrument on owed_work (workshop_id, instrument_id);

create table care (
    id            uuid primary key,
    workshop_id   uuid        not null,
    instrument_id uuid        not null,
    kind          varchar(12) not null check (kind in ('WIPED', 'ROSINED', 'HAIR_CLEANED')),
    press         uuid        not null,
    at            timestamptz not null,
    recorded_by   varchar(80) not null,
    unique (workshop_id, press),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index care_instrument on care (workshop_id, instrument_id, at);

-- How much of a string sticks in its bridge groove, summed up from the gap readings of the runs.
alter table instrument add column stuck_dry_xx float8 not null default 0 check (stuck_dry_xx >= 0);
alter table instrument add column stuck_dry_xy float8 not null default 0;
alter table instrument add column stuck_dry_readings integer not null default 0 check (stuck_dry_readings >= 0);
alter table instrument add column stuck_graphited_xx float8 not null default 0 check (stuck_graphited_xx >= 0);
alter table instrument add column stuck_graphited_xy float8 not null default 0;
alter table instrument add column stuck_graphited_readings integer not null default 0 check (stuck_graphited_readings >= 0);

-- Where the bands of the post's load lie; a loose or short post wants more than the usual, none wants less.
alter table instrument add column held_from float8 not null default 0.5;
alter table instrument add column light_from float8 not null default 0.3;
alter table instrument add column thin_from float8 not null default 0.15;
alter table instrument add constraint instrument_bands
    check (held_from <= 1 and held_from > light_from and light_from > thin_from and thin_from >= 0.15);
