-- The practice peg: what somebody does to an instrument that cannot be hurt, as a ledger. What it came to follows from it.
create table practice_attempt (
    id            uuid         constraint practice_attempt_once primary key,
    workshop_id   uuid         not null references workshop (id),
    account_id    uuid         not null,
    instrument_id uuid,
    name          varchar(80)  not null,
    start         jsonb        not null,
    begun_at      timestamptz  not null,
    touched_at    timestamptz  not null,
    foreign key (account_id, workshop_id) references account (id, workshop_id),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    constraint practice_attempt_of_workshop unique (id, workshop_id)
);
create index practice_attempt_of on practice_attempt (workshop_id, account_id, touched_at desc);

create table practice_action (
    id            uuid        constraint practice_action_press primary key,
    workshop_id   uuid        not null references workshop (id),
    attempt_id    uuid        not null,
    sequence      integer     not null check (sequence between 1 and 20000),
    action        jsonb       not null,
    done_at       timestamptz not null,
    undone_press  uuid,
    foreign key (attempt_id, workshop_id) references practice_attempt (id, workshop_id) on delete cascade,
    constraint practice_action_once unique (workshop_id, attempt_id, sequence)
);
