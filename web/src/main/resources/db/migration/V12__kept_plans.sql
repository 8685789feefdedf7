-- A plan is kept in a form of its own, with its version, apart from the run that follows it.
create table run_plan (
    run_id      uuid primary key,
    workshop_id uuid    not null,
    version     integer not null check (version >= 0),
    form        jsonb   not null,
    foreign key (run_id, workshop_id) references run (id, workshop_id)
);
create index run_plan_workshop on run_plan (workshop_id, run_id);
insert into run_plan (run_id, workshop_id, version, form) select id, workshop_id, 0, plan from run;
alter table run drop column plan;

-- What somebody was told after a mishap stays as it was told.
alter table run_event add column told_version integer;
alter table run_event add column told jsonb;
alter table run_event add constraint run_event_told_with check (
    (told is null) = (told_version is null) and (told is null or kind = 'WENT_WRONG'));
