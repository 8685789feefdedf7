-- Sessions hold the id of an account and nothing else of it: those that hold more, what a password hashes to among it, end.
delete from spring_session;

-- How often something may still be guessed; all instances of the application count here.
create table guess (
    id         varchar(90) primary key,
    state      bytea,
    expires_at bigint
);
create index guess_expires on guess (expires_at);

-- Devices on which somebody signed in before. Of what a device is known by only the hash is kept.
create table known_device (
    hash        bytea       not null primary key check (length(hash) = 32),
    workshop_id uuid        not null references workshop (id),
    account_id  uuid        not null,
    ends_at     timestamptz not null,
    foreign key (account_id, workshop_id) references account (id, workshop_id)
);
create index known_device_of on known_device (workshop_id, account_id);

-- The second factor of an account: a code of six figures that goes with the time. It is asked for once it has been shown to work.
create table second_factor (
    account_id     uuid        not null primary key,
    workshop_id    uuid        not null references workshop (id),
    secret         bytea       not null check (length(secret) between 16 and 64),
    confirmed_at   timestamptz,
    -- The half minute of the last code that was taken, so that none is taken twice.
    last_time_step bigint,
    foreign key (account_id, workshop_id) references account (id, workshop_id)
);
create index second_factor_workshop on second_factor (workshop_id, account_id);

-- What lets somebody in whose telephone is gone, each once. Of a code only the hash is kept.
create table recovery_code (
    account_id  uuid  not null,
    workshop_id uuid  not null references workshop (id),
    hash        bytea not null check (length(hash) = 32),
    primary key (account_id, hash),
    foreign key (account_id, workshop_id) references account (id, workshop_id)
);
create index recovery_code_of on recovery_code (workshop_id, account_id);
