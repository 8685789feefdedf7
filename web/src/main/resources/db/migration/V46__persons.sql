-- Whoever records something is a person, whose name stands in one place: changed there, it is another everywhere, and without it
-- whoever it was is somebody. A person may have an account, have had one, or only ever stand at the bench.
create table person (
    id          uuid primary key,
    workshop_id uuid not null references workshop (id),
    name        varchar(80),
    constraint person_name check (btrim(name) <> ''),
    unique (id, workshop_id)
);
create index person_name_of on person (workshop_id, lower(name));

insert into person (id, workshop_id, name) select id, workshop_id, name from account;

alter table account add column person_id uuid;
update account set person_id = id;
alter table account
    alter column person_id set not null,
    add foreign key (person_id, workshop_id) references person (id, workshop_id),
    add constraint account_person_once unique (workshop_id, person_id),
    drop column name;

-- What was signed by a name is signed by whoever alone has it; a name of several, or of nobody any more, becomes a person of its own.
create table signer (
    workshop_id uuid        not null,
    name        varchar(80) not null,
    person_id   uuid        not null,
    primary key (workshop_id, name)
);
insert into signer (workshop_id, name, person_id)
select workshop_id, name, min(id::text)::uuid from person group by workshop_id, name having count(*) = 1;

create function signer_of(of_workshop uuid, called varchar) returns uuid language sql stable as
$$
select person_id from signer where workshop_id = of_workshop and name = called
$$;

alter table bench_hours drop constraint bench_hours_person_check;
alter table finished_work drop constraint finished_work_person_check;
-- Nobody laid in by hand what a former version found.
alter table drawer_string alter column entered_by drop not null;

do
$$
declare
    signed record;
begin
    for signed in
        select c.relname as of_table, a.attname as of_column
        from pg_class c
        join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
        join pg_type t on t.oid = a.atttypid and t.typname = 'varchar'
        join pg_attribute w on w.attrelid = c.oid and w.attname = 'workshop_id'
        where c.relnamespace = current_schema()::regnamespace and c.relkind = 'r'
            and (a.attname ~ '_by$' or a.attname = 'person' and c.relname in ('bench_hours', 'bench_place', 'finished_work'))
        order by 1, 2
    loop
        execute format('insert into signer (workshop_id, name, person_id)'
                       ' select workshop_id, %2$I, gen_random_uuid() from (select distinct workshop_id, %2$I from %1$I'
                       ' where btrim(%2$I) <> '''') as one on conflict do nothing', signed.of_table, signed.of_column);
        insert into person (id, workshop_id, name)
            select person_id, workshop_id, name from signer on conflict do nothing;
        execute format('alter table %1$I alter column %2$I type uuid using signer_of(workshop_id, %2$I)',
                       signed.of_table, signed.of_column);
        execute format('alter table %1$I add foreign key (%2$I, workshop_id) references person (id, workshop_id)',
                       signed.of_table, signed.of_column);
    end loop;
end
$$;

drop function signer_of;
drop table signer;

-- A ledger need not be touched any more when somebody is removed; only a workshop that goes takes its ledgers along.
create or replace function run_event_is_append_only() returns trigger language plpgsql as
$$
begin
    if tg_op = 'DELETE' and current_setting('peg.leaving', true) = 'workshop' then
        return old;
    end if;
    raise exception 'the ledger of a run is only ever added to';
end
$$;
