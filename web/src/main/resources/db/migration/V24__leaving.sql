-- A workshop that its keeper takes away goes after a pause.
alter table workshop add column leaves_at timestamptz;

-- The ledger of a run is only ever added to, but for two things, which their transaction has to name: whoever is removed is
-- somebody from then on, and a workshop that goes takes its ledgers along.
create or replace function run_event_is_append_only() returns trigger language plpgsql as
$$
begin
    if tg_op = 'DELETE' and current_setting('peg.leaving', true) = 'workshop' then
        return old;
    end if;
    if tg_op = 'UPDATE' and current_setting('peg.leaving', true) = 'person'
            and to_jsonb(new) - 'recorded_by' = to_jsonb(old) - 'recorded_by' then
        return new;
    end if;
    raise exception 'the ledger of a run is only ever added to';
end
$$;
