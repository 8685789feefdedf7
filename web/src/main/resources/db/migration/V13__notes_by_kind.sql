-- What the application itself notes is kept as what it is, and put into words when it is shown.
alter table instrument_note alter column text drop not null;
alter table instrument_note add column kind varchar(20) not null default 'WRITTEN'
    constraint instrument_note_kind_check check (kind in ('WRITTEN', 'WENT_WRONG', 'WORK_DONE', 'BEGUN_ALL_THE_SAME'));
alter table instrument_note add column arguments jsonb;
alter table instrument_note add constraint instrument_note_text_with check ((kind = 'WRITTEN') = (text is not null));
alter table instrument_note add constraint instrument_note_arguments_with
    check ((kind <> 'WRITTEN') = (arguments is not null));
alter table instrument_note alter column kind drop default;
