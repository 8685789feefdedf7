create table instrument_picture (
    instrument_id uuid primary key,
    workshop_id   uuid        not null,
    picture       bytea       not null check (octet_length(picture) between 100 and 4000000),
    recorded_at   timestamptz not null,
    recorded_by   varchar(80) not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index instrument_picture_workshop on instrument_picture (workshop_id, instrument_id);
