-- How somebody works who follows a run; what runs took, so that it can be learned how long the next will take.
alter table run add column schools jsonb;

create table finished_work (
    run_id        uuid primary key,
    workshop_id   uuid             not null references workshop (id),
    family        varchar(6)       not null check (family in ('VIOLIN', 'VIOLA', 'CELLO', 'BASS')),
    schools       jsonb            not null,
    person        varchar(80)      not null check (btrim(person) <> ''),
    usual_minutes double precision not null check (usual_minutes between 0.1 and 1440),
    taken_minutes double precision not null check (taken_minutes between 0 and 14400),
    finished_at   timestamptz      not null,
    foreign key (run_id, workshop_id) references run (id, workshop_id)
);
create index finished_work_latest on finished_work (workshop_id, finished_at desc);

-- When somebody is at the bench: as usual on a weekday, or otherwise on one day. No hours are a day off.
create table bench_hours (
    id          uuid primary key,
    workshop_id uuid         not null references workshop (id),
    person      varchar(80)  not null check (btrim(person) <> ''),
    weekday     smallint check (weekday between 1 and 7),
    day         date,
    hours       varchar(300) not null,
    constraint bench_hours_weekday_or_day check ((weekday is null) <> (day is null)),
    constraint bench_hours_weekday unique (workshop_id, person, weekday),
    constraint bench_hours_day unique (workshop_id, person, day)
);

-- Work that somebody asked for.
create table bench_wish (
    id            uuid         constraint bench_wish_once primary key,
    workshop_id   uuid         not null references workshop (id),
    instrument_id uuid         not null,
    kind          varchar(11)  not null check (kind in ('STRINGS', 'PEG_SERVICE', 'OTHER')),
    strings       varchar[]    not null,
    note          varchar(120) not null,
    minutes       smallint check (minutes between 1 and 1440),
    by_day        date,
    wished_at     timestamptz  not null,
    wished_by     varchar(80)  not null,
    done_at       timestamptz,
    constraint bench_wish_strings check ((kind = 'STRINGS') = (cardinality(strings) > 0)),
    constraint bench_wish_strings_known check (strings <@ array['I', 'II', 'III', 'IV', 'V']::varchar[]),
    constraint bench_wish_minutes check ((kind = 'OTHER') = (minutes is not null)),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index bench_wish_open on bench_wish (workshop_id, wished_at) where done_at is null;

-- Days on which an instrument is not at hand.
create table instrument_away (
    id            uuid         constraint instrument_away_once primary key,
    workshop_id   uuid         not null references workshop (id),
    instrument_id uuid         not null,
    from_day      date         not null,
    until_day     date         not null,
    why           varchar(120) not null,
    constraint instrument_away_days check (until_day >= from_day),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index instrument_away_until on instrument_away (workshop_id, until_day);

-- Where jobs of the week stand: worked out, but for what somebody pinned or promised.
create table bench_place (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    job         varchar(60) not null,
    day         date,
    person      varchar(80),
    pinned      boolean     not null,
    promised    date,
    constraint bench_place_once unique (workshop_id, job),
    constraint bench_place_whole check ((day is null) = (person is null)),
    constraint bench_place_pinned check (not pinned or day is not null)
);

-- Days on which somebody does not want a job.
create table bench_not_on (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    job         varchar(60) not null,
    day         date        not null,
    constraint bench_not_on_once unique (workshop_id, job, day)
);
