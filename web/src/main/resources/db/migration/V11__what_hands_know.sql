-- A bridge can lean backwards too.
alter table run_event drop constraint run_event_mishap_check;
alter table run_event alter column mishap type varchar(24);
alter table run_event add constraint run_event_mishap_check check (mishap in
    ('STRING_BROKE', 'TIP_PULLED_OUT', 'TURNS_CROSSED', 'PEG_SLIPS', 'PEG_STUCK', 'BRIDGE_LEANING',
     'BRIDGE_LEANING_BACKWARDS', 'BRIDGE_WALKED', 'BRIDGE_DOWN', 'POST_RATTLES', 'GROOVE_SNAGS', 'WRONG_STRING',
     'BALL_JAMMED', 'TUNER_AT_ITS_END', 'CUT_FINGER', 'MUST_STOP'));

-- Gut that nobody retunes sinks further than four semitones.
alter table settling_reading drop constraint settling_reading_cents_check;
alter table settling_reading add constraint settling_reading_cents_check check (cents between -1000 and 200);

-- What tapered pegs are made of says how they age.
alter table instrument add column peg_wood varchar(8)
    constraint instrument_peg_wood_check check (peg_wood in ('EBONY', 'ROSEWOOD', 'BOXWOOD'));
