-- What the string was wound on at a look: what was seen of pegs that have made way for others says nothing of these. Empty where it was
-- recorded before this was kept; those looks count as ones at the pegs that are there.
alter table peg_look add column pegs varchar(12) check (pegs in ('TAPERED_WOOD', 'GEARED', 'MACHINE_HEAD'));
