-- A table of what lies in a drawer can wait to be taken in.
alter table waiting_file drop constraint waiting_file_purpose_check;
alter table waiting_file add constraint waiting_file_purpose_check check (purpose in ('STRINGS', 'CALENDAR', 'DRAWER'));
