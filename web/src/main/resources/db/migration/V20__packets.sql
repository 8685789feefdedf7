-- What somebody notes of a kind of string beside its figures, what it costs, and how long they have found it to last.
alter table string_kind
    add column size        varchar(6),
    add column note        varchar(200) not null default '',
    add column price       numeric(9, 2) check (price between 0 and 100000),
    add column currency    char(3) check (currency ~ '^[A-Z]{3}$'),
    add column life_hours  float8 check (life_hours between 10 and 10000),
    add column life_months float8 check (life_months between 1 and 240),
    add column version     integer not null default 0,
    add constraint string_kind_price_with_currency check ((price is null) = (currency is null)),
    add constraint string_kind_life_whole check ((life_hours is null) = (life_months is null));
alter table string_kind alter column note drop default;

-- A file that somebody is shown before it is taken in.
create table waiting_file (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    content     text        not null check (length(content) <= 1000000),
    came_at     timestamptz not null
);
create index waiting_file_workshop on waiting_file (workshop_id, came_at);
