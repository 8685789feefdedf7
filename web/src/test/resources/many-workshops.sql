-- Beside the workshop that is there :workshops others, each with some of its instruments, their strings, runs and readings.
-- Neither foreign keys nor the trigger of the append-only ledger are asked, row by row.
set local session_replication_role = replica;
set local work_mem = '256MB';

create temp table other on commit drop as
select gen_random_uuid() as id, n, w.id as first from generate_series(1, :workshops) n, (select id from workshop limit 1) w;
insert into workshop
select (jsonb_populate_record(w, jsonb_build_object('id', o.id, 'name', 'Workshop ' || o.n))).*
from other o join workshop w on w.id = o.first;
insert into person (id, workshop_id, name)
select md5(o.id || p.id::text)::uuid, o.id, p.name from other o join person p on p.workshop_id = o.first;
insert into account
select (jsonb_populate_record(a, jsonb_build_object(
    'id', gen_random_uuid(), 'workshop_id', o.id, 'person_id', md5(o.id || a.person_id::text)::uuid, 'sign_in', a.sign_in || '-' || o.n))).*
from other o join account a on a.workshop_id = o.first;
insert into string_kind
select (jsonb_populate_record(k, jsonb_build_object(
    'id', md5(o.id || k.id::text)::uuid, 'workshop_id', o.id))).*
from other o join string_kind k on k.workshop_id = o.first;

create temp table copy on commit drop as
select md5(o.id || i.id::text)::uuid as id, i.id as of, o.id as workshop_id
from (select id, workshop_id, row_number() over (order by name) - 1 as at, count(*) over () as all from instrument) i
join other o on (i.at + i.all - o.n * :each % i.all) % i.all < :each;
create index on copy (of);
analyze copy;
insert into instrument
select (jsonb_populate_record(i, jsonb_build_object('id', c.id, 'workshop_id', c.workshop_id))).*
from copy c join instrument i on i.id = c.of;
insert into rack_place (instrument_id, workshop_id, name, arrived_at, urgency, holds_until)
select c.id, c.workshop_id, p.name, p.arrived_at, 0, 'epoch' from copy c join rack_place p on p.instrument_id = c.of;
insert into measurement (id, workshop_id, instrument_id, quantity, position, value, measured_on, recorded_at, recorded_by, press)
select gen_random_uuid(), c.workshop_id, c.id, m.quantity, m.position, m.value, m.measured_on, m.recorded_at, md5(c.workshop_id || m.recorded_by::text)::uuid,
       md5(c.workshop_id || m.press::text)::uuid
from copy c join measurement m on m.instrument_id = c.of;
insert into fitted_string (id, workshop_id, instrument_id, position, kind_id, fitted_at, hours_before, signs, removed_at, kept, version)
select md5(c.workshop_id || f.id::text)::uuid, c.workshop_id, c.id, f.position, md5(c.workshop_id || f.kind_id::text)::uuid,
       f.fitted_at, f.hours_before, f.signs, f.removed_at, f.kept, f.version
from copy c join fitted_string f on f.instrument_id = c.of;
insert into settling_string (fitted_string_id, workshop_id, fitted_at)
select md5(c.workshop_id || s.fitted_string_id::text)::uuid, c.workshop_id, s.fitted_at
from copy c join fitted_string f on f.instrument_id = c.of join settling_string s on s.fitted_string_id = f.id;
insert into settling_reading (id, workshop_id, fitted_string_id, press, read_at, cents, retuned, recorded_at, recorded_by)
select gen_random_uuid(), c.workshop_id, md5(c.workshop_id || r.fitted_string_id::text)::uuid, gen_random_uuid(),
       r.read_at, r.cents, r.retuned, r.recorded_at, md5(c.workshop_id || r.recorded_by::text)::uuid
from copy c join fitted_string f on f.instrument_id = c.of join settling_reading r on r.fitted_string_id = f.id;
insert into instrument_note (id, workshop_id, instrument_id, kind, text, arguments, refer, settled_at, recorded_at, recorded_by, version)
select gen_random_uuid(), c.workshop_id, c.id, n.kind, n.text, n.arguments, n.refer, n.settled_at, n.recorded_at,
       md5(c.workshop_id || n.recorded_by::text)::uuid, n.version
from copy c join instrument_note n on n.instrument_id = c.of;

insert into run
select md5(c.workshop_id || r.id::text)::uuid, c.workshop_id, c.id, r.reason, r.replacements, r.keep_old, r.started_at,
       md5(c.workshop_id || r.started_by::text)::uuid, r.outcome, r.ended_at
from copy c join run r on r.instrument_id = c.of where r.outcome <> 'OPEN';
insert into run_plan (run_id, workshop_id, version, form)
select md5(c.workshop_id || r.id::text)::uuid, c.workshop_id, p.version, p.form
from copy c join run r on r.instrument_id = c.of join run_plan p on p.run_id = r.id where r.outcome <> 'OPEN';
insert into run_event (id, workshop_id, run_id, sequence, press, kind, step, recorded_at, recorded_by)
select gen_random_uuid(), c.workshop_id, md5(c.workshop_id || r.id::text)::uuid, e.sequence, gen_random_uuid(), e.kind,
       e.step, e.recorded_at, md5(c.workshop_id || e.recorded_by::text)::uuid
from copy c join run r on r.instrument_id = c.of join run_event e on e.run_id = r.id where r.outcome <> 'OPEN';
