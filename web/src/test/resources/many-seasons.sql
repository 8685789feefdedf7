-- What a large workshop has after many seasons: :instruments instruments, copies of those that are there, and on each of them
-- :seasons runs that are over, with their steps, the strings that came off, how they settled, and what was noticed.
create temp table copy on commit drop as
select gen_random_uuid() as id, i.id as of, i.workshop_id, 'Shelf ' || lpad((i.all + n)::text, 4, '0') as name
from generate_series(1, :instruments - (select count(*)::int from instrument)) n
join (select *, row_number() over (order by name) - 1 as at, count(*) over () as all from instrument) i on i.at = n % i.all;

insert into instrument
select (jsonb_populate_record(i, jsonb_build_object('id', c.id, 'name', c.name))).*
from copy c join instrument i on i.id = c.of;
insert into measurement
select (jsonb_populate_record(m, jsonb_build_object('id', gen_random_uuid(), 'press', gen_random_uuid(), 'instrument_id', c.id))).*
from copy c join measurement m on m.instrument_id = c.of;
insert into peg_look
select (jsonb_populate_record(p, jsonb_build_object('id', gen_random_uuid(), 'press', gen_random_uuid(), 'instrument_id', c.id))).*
from copy c join peg_look p on p.instrument_id = c.of;
insert into fitted_string
select (jsonb_populate_record(f, jsonb_build_object('id', gen_random_uuid(), 'instrument_id', c.id))).*
from copy c join fitted_string f on f.instrument_id = c.of;

insert into rack_place (instrument_id, workshop_id, name, arrived_at, urgency, holds_until)
select c.id, c.workshop_id, lower(c.name), now(), 0, 'epoch' from copy c;
insert into settling_string (fitted_string_id, workshop_id, fitted_at)
select f.id, f.workshop_id, f.fitted_at from copy c join fitted_string f on f.instrument_id = c.id
where f.removed_at is null and f.fitted_at is not null;

-- A kind of every string of 125 sets, each pulling a little differently.
insert into string_kind
select (jsonb_populate_record(k, jsonb_build_object('id', gen_random_uuid(), 'line', 'Sluice ' || n,
    'tension_n', k.tension_n * (0.9 + n / 620.0), 'price', 15 + n / 10.0, 'currency', 'EUR'))).*
from string_kind k cross join generate_series(1, 124) n
where k.line = 'Sluice' and k.string_end = 'BALL' and k.position in ('I', 'II', 'III', 'IV')
on conflict do nothing;
create temp table kinds_of_sets on commit drop as
select id, position, coalesce(substring(line from 'Sluice ([0-9]+)')::int, 0) as n from string_kind
where line like 'Sluice%' and string_end = 'BALL';

create temp table past on commit drop as
select gen_random_uuid() as id, gen_random_uuid() as string, i.id as instrument_id, i.workshop_id, n as season,
       now() - (n * 45 || ' days')::interval as at, (array['I', 'II', 'III', 'IV'])[1 + n % 4] as position
from instrument i cross join generate_series(1, :seasons) n;

insert into run
select p.id, p.workshop_id, p.instrument_id, 'WORN', r.replacements, false, p.at, (select id from person where name = 'Bench under the stage'),
       'FINISHED', p.at + interval '30 minutes'
from past p, (select * from run limit 1) r;
insert into run_plan (run_id, workshop_id, version, form)
select p.id, p.workshop_id, k.version, k.form from past p, (select * from run_plan limit 1) k;
insert into run_event (id, workshop_id, run_id, sequence, press, kind, step, recorded_at, recorded_by)
select gen_random_uuid(), p.workshop_id, p.id, step + 1, gen_random_uuid(), 'STEP_DONE', step,
       p.at + (step || ' minutes')::interval, (select id from person where name = 'Bench under the stage')
from past p cross join generate_series(0, 20) step;
insert into fitted_string (id, workshop_id, instrument_id, position, kind_id, fitted_at, hours_before, signs, removed_at, kept, version,
                           hours_played, came_off)
select p.string, p.workshop_id, p.instrument_id, p.position, k.id, p.at, 0, '{}', p.at + interval '40 days', false, 0,
       60 + mod(hashtext(p.string::text), 50), case mod(hashtext(p.id::text), 3) when 0 then 'STILL_GOOD' else 'WORN' end
from past p join kinds_of_sets k on k.position = p.position and k.n = (abs(hashtext(p.instrument_id::text) % 125) + p.season * 7) % 125;
insert into string_sound (id, workshop_id, fitted_string_id, kind_id, instrument_id, moment, said_at, said_by, hours_played, dark_bright, soft_firm,
                          slow_quick, apart_even, small_powerful, note, passed_over)
select gen_random_uuid(), p.workshop_id, p.string, f.kind_id, p.instrument_id, 'ON', p.at + interval '10 days', (select id from person where name = 'Bench under the stage'), 20,
       hashtext('d' || p.string) % 3, hashtext('s' || p.string) % 3, hashtext('q' || p.string) % 3, hashtext('e' || p.string) % 3,
       hashtext('p' || p.string) % 3, '', false
from past p join fitted_string f on f.id = p.string where hashtext(p.string::text) % 2 = 0;
insert into settling_reading (id, workshop_id, fitted_string_id, press, read_at, cents, retuned, recorded_at, recorded_by)
select gen_random_uuid(), p.workshop_id, p.string, gen_random_uuid(), p.at + (n || ' hours')::interval, -12, true,
       p.at + (n || ' hours')::interval, (select id from person where name = 'Bench under the stage')
from past p cross join generate_series(1, 3) n;
insert into instrument_note (id, workshop_id, instrument_id, kind, text, refer, settled_at, recorded_at, recorded_by, version)
select gen_random_uuid(), p.workshop_id, p.instrument_id, 'WRITTEN', 'Buzzes a little on the open string', false, null, p.at,
       (select id from person where name = 'Bench under the stage'), 0
from past p;

-- Three in five are lent out: two thirds of them are with somebody now, every twentieth of those late, and each came back three times before.
create temp table lent on commit drop as
select c.id, c.workshop_id, row_number() over (order by c.name) as n from copy c order by c.name limit :instruments * 3 / 5;
insert into shelf_instrument select id, workshop_id from lent;
insert into loan (id, workshop_id, instrument_id, borrower_id, from_day, until_day, with_it, note, entered_at, entered_by,
                  out_at, out_by, out_look, back_at, back_by, back_look, back_on, version)
select gen_random_uuid(), l.workshop_id, l.id, b.borrower_id, day, day + 80, '{CASE,BOW}', '', day, (select id from person where name = 'Keeper of the shelf'),
       day, (select id from person where name = 'Keeper of the shelf'), b.out_look, day + 78, (select id from person where name = 'Keeper of the shelf'), b.back_look, day + 78, 0
from lent l cross join lateral (select current_date - 100 * season as day from generate_series(2, 4) season) d,
     (select * from loan where back_look is not null order by id limit 1) b;
insert into loan (id, workshop_id, instrument_id, borrower_id, from_day, until_day, with_it, note, entered_at, entered_by,
                  out_at, out_by, out_look, version)
select gen_random_uuid(), l.workshop_id, l.id, b.borrower_id, current_date - 90, current_date + case l.n % 20 when 0 then -3 else 30 end,
       '{CASE,BOW}', '', current_date - 90, (select id from person where name = 'Keeper of the shelf'), current_date - 90, (select id from person where name = 'Keeper of the shelf'), b.out_look, 0
from lent l, (select * from loan where back_look is not null order by id limit 1) b
where l.n % 3 > 0;
