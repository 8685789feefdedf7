-- What a list of words may hold stands in the schema too.
alter table instrument add constraint instrument_tail_ends_known check (tail_ends <@ array[
    'SLOT', 'FORK_TUNER', 'HOOK_TUNER']::varchar[]);
alter table instrument add constraint instrument_peg_sides_known check (peg_sides <@ array[
    'BASS', 'TREBLE']::varchar[]);
alter table fitted_string add constraint fitted_string_signs_known check (signs <@ array[
    'COLOUR_GONE', 'WINDING_FLATTENED', 'DULL', 'WHISTLES', 'FALSE_FIFTHS', 'WILL_NOT_HOLD', 'CORROSION',
    'WINDING_OPEN']::varchar[]);
alter table peg_look add constraint peg_look_signs_known check (signs <@ array[
    'STICKS', 'CREAKS', 'JERKS', 'NEEDS_A_CLOTH_TO_TURN', 'CREEPS_BACK', 'BOTH_BANDS_SHINY', 'ONE_BAND_SHINY',
    'HALF_A_BAND_SHINY', 'COLLAR_CLOSE_TO_WALL', 'END_STANDS_OUT_BEYOND_FAR_WALL', 'SPLIT',
    'CRACK_NEAR_THE_HOLE']::varchar[]);
alter table owed_work add constraint owed_work_strings_known check (strings <@ array[
    'I', 'II', 'III', 'IV', 'V']::varchar[]);
alter table owed_work add constraint owed_work_materials_known check (materials <@ array[
    'NEW_STRING', 'SOFT_PENCIL', 'LINT_FREE_CLOTH', 'ALCOHOL', 'PEG_COMPOUND', 'LUBRICATING_PASTE',
    'GRIPPING_DROPS', 'DRY_SOAP', 'CHALK', 'TWEEZERS', 'TUNER', 'GOOD_LIGHT', 'EYE_PROTECTION',
    'CLOTH_UNDER_TAILPIECE', 'RIGHT_ANGLE_CARD', 'STRING_PACKET', 'BLANKET', 'BLOCKS', 'LONG_NOSED_PLIERS',
    'WINDER', 'FELTS', 'CUTTER', 'TAILPIECE', 'RULER', 'TUBE', 'TIE']::varchar[]);
