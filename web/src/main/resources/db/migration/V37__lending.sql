-- The lending shelf: who has which instrument, from when to when, and how it was when it went out and when it came back.

-- Two loans of one instrument do not share a day: that takes equality beside ranges.
create extension if not exists btree_gist;

create table borrower (
    id          uuid         constraint borrower_once primary key,
    workshop_id uuid         not null references workshop (id),
    name        varchar(80)  not null check (btrim(name) <> ''),
    reached     varchar(160) not null,
    version     integer      not null,
    constraint borrower_of_workshop unique (id, workshop_id)
);
create unique index borrower_name on borrower (workshop_id, lower(name));

create table shelf_instrument (
    instrument_id uuid constraint shelf_instrument_once primary key,
    workshop_id   uuid not null references workshop (id),
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id)
);
create index shelf_instrument_of_workshop on shelf_instrument (workshop_id);

create table loan (
    id            uuid         constraint loan_once primary key,
    workshop_id   uuid         not null references workshop (id),
    instrument_id uuid         not null,
    borrower_id   uuid,
    from_day      date         not null,
    until_day     date         not null,
    with_it       varchar[]    not null,
    note          varchar(160) not null,
    entered_at    timestamptz  not null,
    entered_by    varchar(80)  not null,
    out_at        timestamptz,
    out_by        varchar(80),
    out_look      jsonb,
    back_at       timestamptz,
    back_by       varchar(80),
    back_look     jsonb,
    back_on       date,
    version       integer      not null,
    foreign key (instrument_id, workshop_id) references instrument (id, workshop_id),
    foreign key (borrower_id, workshop_id) references borrower (id, workshop_id),
    constraint loan_order check (until_day between from_day and from_day + 1098),
    constraint loan_with_it_known check (with_it <@ array['CASE', 'BOW', 'SHOULDER_REST', 'ROSIN', 'CLOTH', 'SPARE_STRINGS', 'STOP_FOR_END_PIN']::varchar[]),
    constraint loan_out_whole check ((out_at is null) = (out_by is null) and (out_look is null or out_at is not null)),
    constraint loan_back_whole check ((back_at is null) = (back_by is null) and (back_at is null) = (back_on is null) and (back_look is null or back_at is not null)),
    constraint loan_back_after_out check (back_at is null or out_at is not null),
    constraint loan_back_after_from check (back_on is null or back_on >= from_day),
    -- As core.lending.Loan says it: on the day it comes back it may go out again, and late is nobody else's loan.
    constraint loan_days_taken exclude using gist (
        workshop_id with =,
        instrument_id with =,
        daterange(from_day, greatest(least(coalesce(back_on, until_day), until_day), from_day + 1)) with &&)
);
create unique index loan_one_out on loan (workshop_id, instrument_id) where out_at is not null and back_at is null;
create index loan_of_borrower on loan (borrower_id);
create index loan_open on loan (workshop_id, until_day) where back_at is null;
create index loan_back on loan (workshop_id, back_on desc) where back_at is not null;

-- What was seen when an instrument was looked over.
alter table instrument_note drop constraint instrument_note_kind_check;
alter table instrument_note add constraint instrument_note_kind_check
    check (kind in ('WRITTEN', 'WENT_WRONG', 'WORK_DONE', 'BEGUN_ALL_THE_SAME', 'LOOKED_OVER'));

-- Work can be asked for not before a day, as one sitting of several is.
alter table bench_wish add column from_day date;
alter table bench_wish add constraint bench_wish_days check (from_day is null or by_day is null or by_day >= from_day);

-- Pegs that stick or slip are work for the bench.
create index peg_look_latest on peg_look (workshop_id, looked_on desc);
