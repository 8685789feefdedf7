-- Whether the keepers of a workshop have to sign in with a second step.
alter table workshop add column keepers_second_step boolean not null default false;
