create unique index occasion_of_workshop on occasion (id, workshop_id);

create table occasion_instrument (
    occasion_id   uuid not null,
    instrument_id uuid not null,
    workshop_id   uuid not null,
    primary key (occasion_id, instrument_id),
    foreign key (occasion_id, workshop_id) references occasion (id, workshop_id) on delete cascade,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index occasion_instrument_played on occasion_instrument (workshop_id, instrument_id, occasion_id);
