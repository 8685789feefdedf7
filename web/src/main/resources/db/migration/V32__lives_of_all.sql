-- The same whoever plays them, which is what a kind is shown with.
alter table string_kind add column learned_all float8 check (learned_all between 0.001 and 1000);
update string_kind set learned_all = learned_study;
alter table string_kind
    drop constraint string_kind_learned_whole,
    add constraint string_kind_learned_whole
        check (num_nulls(learned_all, learned_concert, learned_study, learned_loan, learned_at) in (0, 5));
