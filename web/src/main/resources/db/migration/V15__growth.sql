-- What a page shows of many instruments is kept as it changes, so that no page reads them all.

-- Where each instrument stands on the rack. Until holds_until, unless something happens to the instrument.
create table rack_place (
    instrument_id uuid primary key,
    workshop_id   uuid        not null,
    name          varchar(60) not null check (name = lower(name)),
    arrived_at    timestamptz not null,
    urgency       smallint    not null,
    holds_until   timestamptz not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index rack_place_in_order on rack_place (workshop_id, urgency, arrived_at, instrument_id);
create index rack_place_outdated on rack_place (workshop_id, holds_until);
insert into rack_place (instrument_id, workshop_id, name, arrived_at, urgency, holds_until)
select id, workshop_id, lower(name), created_at, 90, timestamptz 'epoch' from instrument;

-- The strings that are on an instrument and may still be settling, with the moment from which each holds for a concert, once
-- that is worked out.
create table settling_string (
    fitted_string_id uuid primary key,
    workshop_id      uuid        not null,
    fitted_at        timestamptz not null,
    steady_at        timestamptz,
    foreign key (fitted_string_id, workshop_id) references fitted_string (id, workshop_id)
);
create index settling_string_steady on settling_string (workshop_id, steady_at);
insert into settling_string (fitted_string_id, workshop_id, fitted_at)
select id, workshop_id, fitted_at from fitted_string where removed_at is null and fitted_at > now() - interval '61 days';

create index run_open on run (workshop_id, started_at) where outcome = 'OPEN';
create index instrument_note_referred on instrument_note (workshop_id, instrument_id)
    where refer and settled_at is null;
drop index owed_work_instrument;
create index owed_work_instrument on owed_work (workshop_id, instrument_id, owed_since);
create index owed_work_left on owed_work (workshop_id, instrument_id, owed_since) where done_at is null;
create index run_event_broken on run_event (workshop_id, run_id) where mishap = 'STRING_BROKE';
