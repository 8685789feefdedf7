-- A string without silk is entered with a silk that starts where it ends: it may start as far away as the longest string does.
alter table string_kind
    drop constraint string_kind_check,
    add constraint string_kind_top_silk_start check (top_silk_start_mm between tail_silk_end_mm and 2200);
