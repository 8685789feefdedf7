-- What is to lie in the case of an instrument, for whatever happens on the way.
create table case_kit (
    id            uuid primary key,
    workshop_id   uuid       not null references workshop (id),
    instrument_id uuid       not null,
    position      varchar(3) not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    strings       smallint   not null check (strings between 1 and 9),
    constraint case_kit_once unique (workshop_id, instrument_id, position),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index drawer_string_in_case on drawer_string (workshop_id, case_of) where case_of is not null and left_at is null;

-- A table of what is to be ordered can wait to be taken in.
alter table waiting_file drop constraint waiting_file_purpose_check;
alter table waiting_file add constraint waiting_file_purpose_check check (purpose in ('STRINGS', 'CALENDAR', 'DRAWER', 'ORDER'));
