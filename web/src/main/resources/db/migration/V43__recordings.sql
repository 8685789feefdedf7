-- What a recording of somebody tuning tells waits to be shown, as any file does; the sound itself is kept nowhere.
alter table waiting_file drop constraint waiting_file_purpose_check;
alter table waiting_file add constraint waiting_file_purpose_check check (purpose in ('STRINGS', 'CALENDAR', 'DRAWER', 'ORDER', 'RECORDING'));
