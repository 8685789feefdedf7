-- Beside rehearsals and concerts: lessons, terms and holidays; each with its end, a note, and the others it is repeated with.
alter table occasion
    add column note      varchar(200) not null default '',
    add column ends_at   timestamptz,
    add column series_id uuid,
    add column version   integer not null default 0;
update occasion set ends_at = begins_at + interval '2 hours';
alter table occasion
    alter column note drop default,
    alter column ends_at set not null,
    alter column version drop default,
    drop constraint occasion_kind_check,
    add constraint occasion_kind_check check (kind in ('CONCERT', 'REHEARSAL', 'LESSON', 'TERM', 'HOLIDAY')),
    add constraint occasion_ends_after_it_begins check (ends_at > begins_at and ends_at <= begins_at + interval '400 days');
create index occasion_series on occasion (workshop_id, series_id) where series_id is not null;

-- What some calendar program reads of the diary by a secret address. Of the secret only what it hashes to is kept.
create table diary_feed (
    id          uuid primary key,
    hash        bytea       not null check (length(hash) = 32),
    workshop_id uuid        not null references workshop (id),
    account_id  uuid        not null,
    made_at     timestamptz not null,
    read_at     timestamptz,
    foreign key (account_id, workshop_id) references account (id, workshop_id)
);
create index diary_feed_hash on diary_feed (hash);
create index diary_feed_account on diary_feed (workshop_id, account_id);

-- A calendar waits to be taken in like a table of strings.
alter table waiting_file add column purpose varchar(10) not null default 'STRINGS' check (purpose in ('STRINGS', 'CALENDAR'));
alter table waiting_file alter column purpose drop default;

-- The day an instrument's most worn string is due is kept with its place on the rack.
alter table rack_place add column due_at timestamptz;
update rack_place set holds_until = timestamptz '1970-01-01 00:00:00Z';
create index rack_place_due on rack_place (workshop_id, due_at);
