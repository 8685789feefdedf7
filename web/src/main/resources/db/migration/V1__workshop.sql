-- Every root belongs to a workshop; rows of different workshops cannot be linked, because references carry both keys.

create table workshop (
    id         uuid primary key,
    name       varchar(80)  not null check (length(trim(name)) > 0),
    zone       varchar(60)  not null,
    created_at timestamptz  not null
);

create table account (
    id            uuid primary key,
    workshop_id   uuid         not null references workshop (id),
    sign_in       varchar(60)  not null check (sign_in = lower(sign_in)),
    name          varchar(80)  not null check (length(trim(name)) > 0),
    role          varchar(12)  not null check (role in ('KEEPER', 'TECHNICIAN', 'PLAYER')),
    password_hash varchar(200) not null,
    active        boolean      not null default true,
    version       integer      not null,
    unique (sign_in)
);
create index account_workshop on account (workshop_id);

create table string_kind (
    id                uuid primary key,
    workshop_id       uuid        not null references workshop (id),
    maker             varchar(60) not null,
    line              varchar(60) not null,
    family            varchar(8)  not null check (family in ('VIOLIN', 'VIOLA', 'CELLO', 'BASS')),
    position          varchar(3)  not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    core              varchar(12) not null check (core in ('PLAIN_STEEL', 'ROPE_STEEL', 'SYNTHETIC', 'GUT')),
    winding           varchar(10) not null check (winding in ('NONE', 'ALUMINIUM', 'SILVER', 'STEEL', 'TUNGSTEN')),
    string_end        varchar(4)  not null check (string_end in ('BALL', 'LOOP', 'KNOT')),
    nominal_midi      smallint    not null check (nominal_midi between 0 and 127),
    design_length_mm  float8      not null check (design_length_mm between 180 and 1200),
    tension_n         float8      not null check (tension_n between 10 and 450),
    diameter_mm       float8      not null check (diameter_mm between 0.15 and 4),
    axial_stiffness_n float8      not null check (axial_stiffness_n between 500 and 80000),
    tail_silk_end_mm  float8      not null check (tail_silk_end_mm between 0 and 400),
    top_silk_start_mm float8      not null check (top_silk_start_mm between tail_silk_end_mm and 1700),
    total_length_mm   float8      not null check (total_length_mm between top_silk_start_mm and 2200),
    unique (workshop_id, maker, line, family, position, string_end, design_length_mm),
    unique (id, workshop_id)
);

create table instrument (
    id             uuid primary key,
    workshop_id    uuid        not null references workshop (id),
    name           varchar(60) not null check (length(trim(name)) > 0),
    family         varchar(8)  not null check (family in ('VIOLIN', 'VIOLA', 'CELLO', 'BASS')),
    size           varchar(6)  not null,
    left_handed    boolean     not null,
    reference_a_hz float8      not null check (reference_a_hz between 392 and 466),
    open_strings   integer[]   not null check (cardinality(open_strings) between 4 and 5),
    tail_ends      varchar[]   not null check (cardinality(tail_ends) = cardinality(open_strings)),
    hours_per_week float8      not null check (hours_per_week between 0 and 168),
    demand         varchar(8)  not null check (demand in ('CONCERT', 'STUDY', 'LOAN')),
    created_at     timestamptz not null,
    version        integer     not null,
    unique (workshop_id, name),
    unique (id, workshop_id)
);

create table measurement (
    id            uuid primary key,
    workshop_id   uuid        not null,
    instrument_id uuid        not null,
    quantity      varchar(24) not null,
    value         float8      not null check (value > 0 and value < 2000),
    measured_on   date        not null check (measured_on >= date '1990-01-01'),
    recorded_at   timestamptz not null,
    recorded_by   varchar(80) not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index measurement_instrument on measurement (workshop_id, instrument_id);

create table fitted_string (
    id            uuid primary key,
    workshop_id   uuid        not null,
    instrument_id uuid        not null,
    position      varchar(3)  not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    kind_id       uuid        not null,
    fitted_at     timestamptz,
    hours_before  float8      not null check (hours_before between 0 and 20000),
    signs         varchar[]   not null,
    removed_at    timestamptz,
    kept          boolean     not null default false,
    version       integer     not null,
    check (removed_at is null or fitted_at is null or removed_at >= fitted_at),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id),
    unique (id, workshop_id)
);
create unique index one_string_at_a_position on fitted_string (instrument_id, position) where removed_at is null;
create index fitted_string_workshop on fitted_string (workshop_id, instrument_id);

create table run (
    id            uuid primary key,
    workshop_id   uuid        not null,
    instrument_id uuid        not null,
    reason        varchar(20) not null
        check (reason in ('WORN', 'BROKEN', 'OTHER_SOUND', 'WRONG_SIZE', 'BEFORE_PERFORMANCE')),
    plan          jsonb       not null,
    replacements  jsonb       not null,
    keep_old      boolean     not null,
    started_at    timestamptz not null,
    started_by    varchar(80) not null,
    outcome       varchar(8)  not null check (outcome in ('OPEN', 'FINISHED', 'ENDED')),
    ended_at      timestamptz,
    check ((outcome = 'OPEN') = (ended_at is null)),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    unique (id, workshop_id)
);
create unique index one_open_run_for_an_instrument on run (instrument_id) where outcome = 'OPEN';
create index run_workshop on run (workshop_id, instrument_id, started_at desc);

-- The ledger of a run. Rows are only ever added.
create table run_event (
    id          uuid primary key,
    workshop_id uuid        not null,
    run_id      uuid        not null,
    sequence    bigint      not null check (sequence > 0),
    press       uuid        not null,
    kind        varchar(12) not null
        check (kind in ('STEP_DONE', 'STEP_SKIPPED', 'PITCH_READ', 'GAP_READ', 'NOTED', 'UNDONE', 'ENDED')),
    step        integer,
    position    varchar(3) check (position in ('I', 'II', 'III', 'IV', 'V')),
    value       float8,
    text        varchar(500),
    undone      bigint,
    recorded_at timestamptz not null,
    recorded_by varchar(80) not null,
    check ((kind in ('STEP_DONE', 'STEP_SKIPPED')) = (step is not null)),
    check ((kind in ('PITCH_READ', 'GAP_READ')) = (value is not null)),
    check ((kind = 'PITCH_READ') = (position is not null)),
    check (kind <> 'PITCH_READ' or value between -1200 and 200),
    check ((kind = 'NOTED') = (text is not null)),
    check ((kind = 'UNDONE') = (undone is not null)),
    foreign key (run_id, workshop_id) references run (id, workshop_id),
    unique (run_id, sequence),
    unique (run_id, press)
);

create function run_event_is_append_only() returns trigger language plpgsql as
$$
begin
    raise exception 'the ledger of a run is only ever added to';
end
$$;
create trigger run_event_is_append_only
    before update or delete on run_event
    for each row execute function run_event_is_append_only();

create table settling_reading (
    id               uuid primary key,
    workshop_id      uuid        not null,
    fitted_string_id uuid        not null,
    press            uuid        not null unique,
    read_at          timestamptz not null,
    cents            float8      not null check (cents between -400 and 50),
    retuned          boolean     not null,
    recorded_at      timestamptz not null,
    recorded_by      varchar(80) not null,
    foreign key (fitted_string_id, workshop_id) references fitted_string (id, workshop_id)
);
create index settling_reading_string on settling_reading (workshop_id, fitted_string_id, read_at);

create table occasion (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    name        varchar(60) not null check (length(trim(name)) > 0),
    kind        varchar(10) not null check (kind in ('REHEARSAL', 'CONCERT')),
    begins_at   timestamptz not null,
    unique (workshop_id, begins_at, name)
);
