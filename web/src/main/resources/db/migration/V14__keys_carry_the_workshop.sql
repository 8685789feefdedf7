-- Every reference and every key carries the workshop: nothing of one can point into another, or stand in its way.
alter table account add constraint account_of_workshop unique (id, workshop_id);

alter table habit drop constraint habit_account_id_fkey;
alter table habit drop constraint habit_account_id_family_key;
alter table habit add foreign key (account_id, workshop_id) references account (id, workshop_id);
alter table habit add constraint habit_once unique (workshop_id, account_id, family);

alter table kit_item drop constraint kit_item_account_id_fkey;
alter table kit_item drop constraint kit_item_account_id_material_key;
alter table kit_item add foreign key (account_id, workshop_id) references account (id, workshop_id);
alter table kit_item add constraint kit_item_once unique (workshop_id, account_id, material);

-- A press counts once. The names of these say in code what was violated.
alter table measurement drop constraint measurement_press_quantity_position_key;
alter table measurement add constraint measurement_once
    unique nulls not distinct (workshop_id, press, quantity, position);
alter table peg_look drop constraint peg_look_press_key;
alter table peg_look add constraint peg_look_once unique (workshop_id, press);
alter table bridge_picture drop constraint bridge_picture_press_key;
alter table bridge_picture add constraint bridge_picture_once unique (workshop_id, press);
alter table settling_reading drop constraint settling_reading_press_key;
alter table settling_reading add constraint settling_reading_once unique (workshop_id, press);
alter table care rename constraint care_workshop_id_press_key to care_once;
alter table run_event drop constraint run_event_run_id_press_key;
alter table run_event add constraint run_event_once unique (workshop_id, run_id, press);
alter table run_event drop constraint run_event_run_id_sequence_key;
alter table run_event add constraint run_event_in_order unique (workshop_id, run_id, sequence);

drop index one_string_at_a_position;
create unique index one_string_at_a_position on fitted_string (workshop_id, instrument_id, position)
    where removed_at is null;
drop index one_open_run_for_an_instrument;
create unique index one_open_run_for_an_instrument on run (workshop_id, instrument_id) where outcome = 'OPEN';

-- Names that differ by case alone are one name. Where two stand, the later one is given a number.
with twice as (
    select id, row_number() over (partition by workshop_id, lower(name) order by created_at, id) as number
    from instrument)
update instrument set name = left(name, 54) || ' (' || number || ')'
from twice where twice.id = instrument.id and number > 1;
alter table instrument drop constraint instrument_workshop_id_name_key;
create unique index instrument_name on instrument (workshop_id, lower(name));

with twice as (
    select id, row_number() over (
        partition by workshop_id, lower(maker), lower(line), family, position, string_end, design_length_mm
        order by id) as number
    from string_kind)
update string_kind set line = left(line, 54) || ' (' || number || ')'
from twice where twice.id = string_kind.id and number > 1;
alter table string_kind drop constraint string_kind_workshop_id_maker_line_family_position_string_e_key;
create unique index string_kind_once
    on string_kind (workshop_id, lower(maker), lower(line), family, position, string_end, design_length_mm);

with twice as (
    select id, row_number() over (partition by workshop_id, begins_at, lower(name) order by id) as number
    from occasion)
update occasion set name = left(name, 54) || ' (' || number || ')'
from twice where twice.id = occasion.id and number > 1;
alter table occasion drop constraint occasion_workshop_id_begins_at_name_key;
create unique index occasion_once on occasion (workshop_id, begins_at, lower(name));

-- What stands in a list in the code stands in one here.
alter table measurement add constraint measurement_quantity_check check (quantity in (
    'VIBRATING_LENGTH', 'AFTERLENGTH', 'BRIDGE_HEIGHT', 'FOOT_DEPTH', 'TOP_THICKNESS', 'FOOT_SPAN',
    'BRIDGE_SPACING', 'FROM_LOWEST_STRING', 'STRING_HEIGHT', 'BRIDGE_GROOVE_DEPTH', 'BRIDGE_GROOVE_WIDTH',
    'BRIDGE_GAP', 'TREBLE_FOOT_OFF_LINE', 'BASS_FOOT_OFF_LINE', 'OFF_CENTRE', 'WARP', 'FRONT_ANGLE', 'BACK_ANGLE',
    'NUT_SPACING', 'NUT_GROOVE_DEPTH', 'NUT_GROOVE_WIDTH', 'PEGBOX_WIDTH_AT_NUT', 'PEGBOX_WIDTH_AT_END',
    'PEGBOX_LENGTH', 'PEGBOX_DEPTH', 'SHAFT_DIAMETER', 'NUT_TO_PEG', 'SHAFT_DEPTH', 'HOLE_TO_WALL',
    'COLLAR_TO_WALL', 'GEAR_RATIO', 'TAIL_SLOT_WIDTH', 'TAILPIECE_TO_TOP', 'TAILPIECE_MASS', 'ADDED_TUNER_MASS',
    'TUNER_SCREW_LEFT', 'TUNER_SCREW_IN', 'LEVER_TO_TOP', 'TUNER_LEVER_RATIO'));
alter table kit_item add constraint kit_item_material_check check (material in (
    'NEW_STRING', 'SOFT_PENCIL', 'LINT_FREE_CLOTH', 'ALCOHOL', 'PEG_COMPOUND', 'LUBRICATING_PASTE',
    'GRIPPING_DROPS', 'DRY_SOAP', 'CHALK', 'TWEEZERS', 'TUNER', 'GOOD_LIGHT', 'EYE_PROTECTION',
    'CLOTH_UNDER_TAILPIECE', 'RIGHT_ANGLE_CARD', 'STRING_PACKET', 'BLANKET', 'BLOCKS', 'LONG_NOSED_PLIERS',
    'WINDER', 'FELTS', 'CUTTER', 'TAILPIECE', 'RULER', 'TUBE', 'TIE'));
