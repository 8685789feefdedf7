-- A table that is long is laid in after the answer: the file that waits says that it was asked for, by whom, and which day it was there.
alter table waiting_file add column state varchar(7) not null default 'WAITS' check (state in ('WAITS', 'ASKED', 'FAILED'));
alter table waiting_file alter column state drop default;
alter table waiting_file add column asked_by varchar(80);
alter table waiting_file add column asked_on date;
alter table waiting_file add constraint waiting_file_asked check ((state = 'WAITS') = (asked_by is null) and (asked_by is null) = (asked_on is null));
create index waiting_file_asked on waiting_file (came_at) where state = 'ASKED';

-- As large as the largest table that may be sent.
alter table waiting_file drop constraint waiting_file_content_check;
alter table waiting_file add constraint waiting_file_content_check check (length(content) <= 2000000);

-- The same as drawer_string_case.
drop index drawer_string_in_case;
