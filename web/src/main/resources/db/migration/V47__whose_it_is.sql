-- Who plays an instrument; and whether players look after those they play only, or help with every instrument.
alter table workshop add column players_own_only boolean not null default false;

create table instrument_player (
    instrument_id uuid not null,
    person_id     uuid not null,
    workshop_id   uuid not null references workshop (id),
    primary key (instrument_id, person_id),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    foreign key (person_id, workshop_id) references person (id, workshop_id)
);
create index instrument_player_of on instrument_player (workshop_id, person_id);
