-- Who strings are bought from, and how long they take to come.
create table supplier (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    name        varchar(60) not null check (name <> ''),
    lead_days   smallint    not null check (lead_days between 0 and 365),
    version     integer     not null,
    unique (id, workshop_id)
);
create unique index supplier_name on supplier (workshop_id, lower(name));

-- From whom strings of a maker are bought.
create table maker_bought (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    maker       varchar(60) not null check (maker <> ''),
    supplier_id uuid        not null,
    version     integer     not null,
    foreign key (supplier_id, workshop_id) references supplier (id, workshop_id)
);
create unique index maker_bought_once on maker_bought (workshop_id, lower(maker));

-- An order: written, then sent, then in; what does not come any more is given up.
create table purchase (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    supplier_id uuid,
    lead_days   smallint    not null check (lead_days between 0 and 365),
    written_at  timestamptz not null,
    written_by  varchar(80) not null,
    sent_on     date,
    version     integer     not null,
    unique (id, workshop_id),
    foreign key (supplier_id, workshop_id) references supplier (id, workshop_id)
);
create index purchase_latest on purchase (workshop_id, written_at desc);

create table purchase_line (
    id          uuid primary key,
    workshop_id uuid        not null,
    purchase_id uuid        not null,
    number      smallint    not null check (number > 0),
    kind_id     uuid        not null,
    strings     smallint    not null check (strings between 1 and 999),
    arrived     smallint    not null check (arrived between 0 and 999),
    given_up    smallint    not null check (given_up between 0 and 999),
    price       numeric(9, 2) check (price between 0 and 100000),
    currency    char(3) check (currency ~ '^[A-Z]{3}$'),
    check ((price is null) = (currency is null)),
    check (arrived + given_up <= strings),
    unique (workshop_id, purchase_id, number),
    foreign key (purchase_id, workshop_id) references purchase (id, workshop_id),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id)
);
create index purchase_line_open on purchase_line (workshop_id, kind_id) where arrived + given_up < strings;
