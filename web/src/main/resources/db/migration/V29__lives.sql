-- How many times the life that is thought of a kind half of its strings reach, learned from the workshop's own, for each demand;
-- and as of when: strings that were on then count as good until then.
alter table string_kind
    add column learned_concert float8 check (learned_concert between 0.001 and 1000),
    add column learned_study   float8 check (learned_study between 0.001 and 1000),
    add column learned_loan    float8 check (learned_loan between 0.001 and 1000),
    add column learned_at      timestamptz,
    add constraint string_kind_learned_whole check (num_nulls(learned_concert, learned_study, learned_loan, learned_at) in (0, 4));

-- Where a string broke.
alter table fitted_string
    add column broke_where varchar(10) check (broke_where in ('NUT', 'PEG', 'BRIDGE', 'TUNER', 'MID_LENGTH')),
    add constraint fitted_string_broke_where check (broke_where is null or came_off = 'BROKE');

-- All that was ever of a kind is asked for when one of them comes off.
create index fitted_string_kind on fitted_string (workshop_id, kind_id);
drop index fitted_string_kind_on;
