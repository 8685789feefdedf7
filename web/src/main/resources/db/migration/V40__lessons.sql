-- An attempt at a lesson, or at a string against the clock. What was done before anybody began cannot be taken back; how often something
-- went wrong counts what was taken back too.
alter table practice_attempt
    add column lesson       varchar(24) check (lesson in ('TURN_AND_PUSH', 'LISTEN', 'TAKE_OFF', 'WIND', 'EASE_THE_BRIDGE', 'GRAPHITE',
                                                          'MAKE_WAY', 'PEG_THAT_STICKS', 'PEG_THAT_SLIPS', 'ROUNDS', 'WHOLE_SET', 'BRIDGE_DOWN')),
    add column quick_change varchar(3) check (quick_change in ('I', 'II', 'III', 'IV', 'V')),
    add column beforehand   integer check (beforehand between 0 and 100),
    add column harms        integer check (harms >= 0),
    add column finished_at  timestamptz,
    add column clean        boolean,
    add column total_ms     bigint check (total_ms >= 0),
    add constraint practice_attempt_asks_one_thing check (lesson is null or quick_change is null),
    add constraint practice_attempt_finished check ((finished_at is null) = (clean is null)
        and (finished_at is null or lesson is not null or quick_change is not null)
        and ((total_ms is not null) = (finished_at is not null and quick_change is not null)));
create index practice_attempt_finished_of on practice_attempt (workshop_id, account_id, finished_at) where finished_at is not null;

-- A lesson that a keeper has set somebody.
create table practice_lesson (
    id          uuid        constraint practice_lesson_press primary key,
    workshop_id uuid        not null references workshop (id),
    account_id  uuid        not null,
    lesson      varchar(24) not null check (lesson in ('TURN_AND_PUSH', 'LISTEN', 'TAKE_OFF', 'WIND', 'EASE_THE_BRIDGE', 'GRAPHITE',
                                                       'MAKE_WAY', 'PEG_THAT_STICKS', 'PEG_THAT_SLIPS', 'ROUNDS', 'WHOLE_SET', 'BRIDGE_DOWN')),
    until_day   date,
    set_at      timestamptz not null,
    set_by      varchar(80) not null,
    foreign key (account_id, workshop_id) references account (id, workshop_id),
    constraint practice_lesson_once unique (workshop_id, account_id, lesson)
);
