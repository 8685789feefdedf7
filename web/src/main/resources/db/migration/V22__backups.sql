-- When the whole database was last kept elsewhere; written by the command that does it. Without a size it failed.
create table backup (
    id      uuid primary key default gen_random_uuid(),
    made_at timestamptz not null default now(),
    bytes   bigint check (bytes > 0)
);
create index backup_made_at on backup (made_at desc);
