-- Work is also done because the bridge is down, and as a service.
alter table run drop constraint run_reason_check;
alter table run add constraint run_reason_check
    check (reason in ('WORN', 'BROKEN', 'OTHER_SOUND', 'WRONG_SIZE', 'BEFORE_PERFORMANCE', 'BRIDGE_DOWN', 'SERVICE'));
