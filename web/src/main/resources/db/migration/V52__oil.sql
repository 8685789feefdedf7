-- A machine head is oiled, as its maker says; nothing else that is put on pegs goes on gears.
alter table peg_look drop constraint peg_look_treatment_check;
alter table peg_look add constraint peg_look_treatment_check check (treatment in
    ('CLEANED', 'PEG_COMPOUND', 'LUBRICATING_PASTE', 'GRIPPING_DROPS', 'DRY_SOAP', 'CHALK', 'OIL', 'REPAIRER'));
