-- What the strings are wound on.
alter table instrument add column peg_kind varchar(12);
update instrument set peg_kind = case family when 'BASS' then 'MACHINE_HEAD' else 'TAPERED_WOOD' end;
alter table instrument alter column peg_kind set not null;
alter table instrument add check (peg_kind in ('TAPERED_WOOD', 'GEARED', 'MACHINE_HEAD'));
