-- What was noticed on an instrument; some of it is work for a repairer, until somebody has seen to it.
create table instrument_note (
    id            uuid primary key,
    workshop_id   uuid         not null,
    instrument_id uuid         not null,
    text          varchar(500) not null check (length(trim(text)) > 0),
    refer         boolean      not null,
    settled_at    timestamptz check (settled_at >= recorded_at),
    recorded_at   timestamptz  not null,
    recorded_by   varchar(80)  not null,
    version       integer      not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index instrument_note_instrument on instrument_note (workshop_id, instrument_id);
