-- A link that lets somebody in once: who was invited, or has forgotten their password. Of the link only what it hashes to is kept.
create table one_time_link (
    id          uuid primary key,
    hash        bytea        not null check (length(hash) = 32),
    workshop_id uuid         not null references workshop (id),
    account_id  uuid,
    name        varchar(80)  not null,
    role        varchar(10)  not null check (role in ('KEEPER', 'TECHNICIAN', 'PLAYER')),
    ends_at     timestamptz  not null,
    used_at     timestamptz,
    foreign key (account_id, workshop_id) references account (id, workshop_id)
);
create index one_time_link_hash on one_time_link (hash);
create index one_time_link_open on one_time_link (workshop_id, ends_at) where used_at is null;
