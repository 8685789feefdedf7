-- What was played on a string until it came off, and why it came off.
alter table fitted_string
    add column hours_played float8 check (hours_played between 0 and 100000),
    add column came_off     varchar(10) check (came_off in ('WORN', 'BROKE', 'STILL_GOOD')),
    add constraint fitted_string_off_before_told check (removed_at is not null or (hours_played is null and came_off is null));
-- Of those that came off before this was kept it is reckoned from what is usual; holidays are not known of them any more.
update fitted_string string
set hours_played = least(100000, greatest(0, string.hours_before + extract(epoch from string.removed_at
        - least(string.removed_at, coalesce(string.hours_counted_at, string.fitted_at))) / 604800 * one.hours_per_week))
from instrument one
where one.id = string.instrument_id and string.removed_at is not null and string.fitted_at is not null;

-- Which kinds are on anything is asked of each kind.
create index fitted_string_kind_on on fitted_string (workshop_id, kind_id) where removed_at is null;

-- How many of a kind are to lie ready; where nobody said, the usual number.
alter table string_kind add column ready smallint check (ready between 0 and 99);

-- A string that lies in the drawer, new in its packet or old and kept.
create table drawer_string (
    id             uuid primary key,
    workshop_id    uuid        not null references workshop (id),
    kind_id        uuid        not null,
    code           varchar(6)  not null check (code ~ '^[0-9A-HJKMNP-TV-Z]{6}$'),
    place          varchar(60) not null,
    case_of        uuid,
    bought_on      date check (bought_on >= date '1990-01-01'),
    price          numeric(9, 2) check (price between 0 and 100000),
    currency       char(3) check (currency ~ '^[A-Z]{3}$'),
    fitted_id      uuid,
    entered_at     timestamptz not null,
    entered_by     varchar(80) not null,
    press          uuid        not null,
    press_number   integer     not null check (press_number > 0),
    run_id         uuid,
    left_at        timestamptz,
    left_how       varchar(10) check (left_how in ('FITTED', 'BROKE', 'MISSING', 'GIVEN_AWAY', 'THROWN_AWAY')),
    version        integer     not null,
    check ((left_at is null) = (left_how is null)),
    check ((price is null) = (currency is null)),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id),
    foreign key (case_of, workshop_id) references instrument (id, workshop_id),
    foreign key (fitted_id, workshop_id) references fitted_string (id, workshop_id),
    foreign key (run_id, workshop_id) references run (id, workshop_id),
    unique (id, workshop_id)
);
create unique index drawer_string_code on drawer_string (workshop_id, code);
create unique index drawer_string_once on drawer_string (workshop_id, press, press_number);
create unique index drawer_string_old_once on drawer_string (workshop_id, fitted_id);
create index drawer_string_lying on drawer_string (workshop_id, kind_id) where left_at is null and run_id is null;
create index drawer_string_run on drawer_string (workshop_id, run_id) where run_id is not null;
create index drawer_string_case on drawer_string (workshop_id, case_of) where case_of is not null and left_at is null;

-- What a run takes from the drawer: one row for each packet it needs, without a string where the drawer had none.
create table drawer_take (
    run_id       uuid        not null,
    position     varchar(3)  not null check (position in ('I', 'II', 'III', 'IV', 'V')),
    turn         smallint    not null check (turn > 0),
    workshop_id  uuid        not null,
    kind_id      uuid        not null,
    string_id    uuid,
    taken_at     timestamptz not null,
    primary key (run_id, position, turn),
    foreign key (run_id, workshop_id) references run (id, workshop_id),
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id),
    foreign key (string_id, workshop_id) references drawer_string (id, workshop_id)
);
create index drawer_take_run on drawer_take (workshop_id, run_id);
create index drawer_take_string on drawer_take (workshop_id, string_id);

-- What was found when the drawer was counted.
create table drawer_count (
    id          uuid primary key,
    workshop_id uuid        not null references workshop (id),
    kind_id     uuid        not null,
    expected    integer     not null check (expected >= 0),
    found       integer     not null check (found between 0 and 999),
    press       uuid        not null,
    counted_at  timestamptz not null,
    counted_by  varchar(80) not null,
    foreign key (kind_id, workshop_id) references string_kind (id, workshop_id)
);
create unique index drawer_count_once on drawer_count (workshop_id, press, kind_id);
create index drawer_count_kind on drawer_count (workshop_id, kind_id, counted_at desc);

-- Old strings that were kept lie in the drawer from now on. Their codes are made of the numbers from 0, each ending in its check letter.
insert into drawer_string (id, workshop_id, kind_id, code, place, fitted_id, entered_at, entered_by, press, press_number, version)
select gen_random_uuid(), old.workshop_id, old.kind_id, old.code, '', old.id, old.removed_at, '', gen_random_uuid(), 1, 0
from (select numbered.*, (select string_agg(substr('0123456789ABCDEFGHJKMNPQRSTVWXYZ', digit + 1, 1), '' order by at)
                                 || substr('0123456789ABCDEFGHJKMNPQRSTVWXYZ', (sum(digit * (2 * at + 1)) % 32)::integer + 1, 1)
                          from (select at, (numbered.number / (32 ^ (4 - at))::bigint % 32)::integer as digit
                                from generate_series(0, 4) as at) as digits) as code
      from (select string.*, row_number() over (partition by workshop_id order by removed_at, id) - 1 as number
            from fitted_string string where kept and removed_at is not null) as numbered) as old;
