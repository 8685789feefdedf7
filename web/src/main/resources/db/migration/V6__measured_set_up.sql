-- What each string has of its own is measured string by string; some figures may be nothing, or below it. A sheet that is
-- sent twice is recorded once.
alter table measurement add column position varchar(3) check (position in ('I', 'II', 'III', 'IV', 'V'));
update measurement
set position = substring(quantity from '_(I|II|III|IV|V)$'),
    quantity = regexp_replace(quantity, '_(I|II|III|IV|V)$', '')
where quantity ~ '^(NUT_TO_PEG|SHAFT_DEPTH|HOLE_TO_WALL)_';
alter table measurement drop constraint measurement_value_check;
alter table measurement add check (value between -100 and 2000);
alter table measurement add column press uuid;
update measurement set press = id;
alter table measurement alter column press set not null;
alter table measurement add unique nulls not distinct (press, quantity, position);

-- What an instrument has, beside its measurements. Peg sides are kept where they are not the usual ones.
alter table instrument add column peg_sides varchar[];
alter table instrument add check (peg_sides is null or cardinality(peg_sides) = cardinality(open_strings));
alter table instrument add column tuners_built_in boolean not null default false;
alter table instrument add column parchment boolean not null default false;
alter table instrument add column tube boolean not null default false;

-- Each look at a peg, with what was done to it. Rows are only ever added; the latest look says how the peg is.
create table peg_look (
    id            uuid primary key,
    workshop_id   uuid         not null,
    instrument_id uuid         not null,
    position      varchar(3)   not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    signs         varchar[]    not null,
    treatment     varchar(20) check (treatment in
        ('CLEANED', 'PEG_COMPOUND', 'LUBRICATING_PASTE', 'GRIPPING_DROPS', 'DRY_SOAP', 'CHALK', 'REPAIRER')),
    text          varchar(300) check (length(trim(text)) > 0),
    looked_on     date         not null check (looked_on >= date '1990-01-01'),
    press         uuid         not null unique,
    recorded_at   timestamptz  not null,
    recorded_by   varchar(80)  not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index peg_look_instrument on peg_look (workshop_id, instrument_id, looked_on, recorded_at);

-- Pictures of a bridge that somebody chose to keep, with the two lines that were drawn on them, in the picture's pixels.
create table bridge_picture (
    id                uuid primary key,
    workshop_id       uuid        not null,
    instrument_id     uuid        not null,
    media_type        varchar(12) not null check (media_type in ('image/jpeg', 'image/png')),
    picture           bytea       not null check (octet_length(picture) between 100 and 4000000),
    plate             float8[]    not null check (cardinality(plate) = 4),
    back              float8[]    not null check (cardinality(back) = 4),
    tailpiece_on_left boolean     not null,
    lean_deg          float8      not null check (lean_deg between -20 and 20),
    press             uuid        not null unique,
    recorded_at       timestamptz not null,
    recorded_by       varchar(80) not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index bridge_picture_instrument on bridge_picture (workshop_id, instrument_id, recorded_at desc);
