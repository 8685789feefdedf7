-- What the instruments of a workshop are tuned to, unless they say otherwise.
alter table workshop add column reference_a_hz float8 not null default 440
    constraint workshop_reference_a_hz_check check (reference_a_hz between 392 and 466);
alter table workshop alter column reference_a_hz drop default;
