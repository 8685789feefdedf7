-- Something that goes wrong at the bench is an event like any other.
alter table run_event add column mishap varchar(16) check (mishap in
    ('STRING_BROKE', 'TIP_PULLED_OUT', 'TURNS_CROSSED', 'PEG_SLIPS', 'PEG_STUCK', 'BRIDGE_LEANING', 'BRIDGE_WALKED',
     'BRIDGE_DOWN', 'POST_RATTLES', 'GROOVE_SNAGS', 'WRONG_STRING', 'BALL_JAMMED', 'TUNER_AT_ITS_END', 'CUT_FINGER',
     'MUST_STOP'));
alter table run_event add column place varchar(10) check (place in ('NUT', 'PEG', 'BRIDGE', 'TUNER', 'MID_LENGTH'));
alter table run_event drop constraint run_event_kind_check;
alter table run_event add constraint run_event_kind_check check (kind in
    ('STEP_DONE', 'STEP_SKIPPED', 'PITCH_READ', 'GAP_READ', 'NOTED', 'UNDONE', 'ENDED', 'WENT_WRONG'));
alter table run_event drop constraint run_event_check2;
alter table run_event add constraint run_event_position_with check (
    case kind when 'PITCH_READ' then position is not null when 'WENT_WRONG' then true else position is null end);
alter table run_event add constraint run_event_mishap_with check ((kind = 'WENT_WRONG') = (mishap is not null));
alter table run_event add constraint run_event_place_with check ((place is not null) = (mishap is not distinct from 'STRING_BROKE'));
