-- How somebody likes to work, and what is in their kit.
create table habit (
    id          uuid primary key,
    workshop_id uuid       not null references workshop (id),
    account_id  uuid       not null references account (id),
    family      varchar(8) not null check (family in ('VIOLIN', 'VIOLA', 'CELLO', 'BASS')),
    schools     jsonb      not null,
    unique (account_id, family)
);
create table kit_item (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    account_id  uuid        not null references account (id),
    material    varchar(24) not null,
    unique (account_id, material)
);
