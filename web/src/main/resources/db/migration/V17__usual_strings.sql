-- A kind of string that nobody has a packet of: as such strings usually are. Of any kind, a packet may not say every figure.
alter table string_kind add column source varchar(6) not null default 'PACKET'
    constraint string_kind_source_check check (source in ('PACKET', 'USUAL'));
alter table string_kind alter column source drop default;
alter table string_kind add column assumed varchar(16)[] not null default '{}'
    constraint string_kind_assumed_check check (assumed <@ array['DESIGN_LENGTH', 'TENSION', 'DIAMETER', 'AXIAL_STIFFNESS',
        'TAIL_SILK_END', 'TOP_SILK_START', 'TOTAL_LENGTH']::varchar[]);
alter table string_kind alter column assumed drop default;
