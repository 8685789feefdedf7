-- Whatever reads pitches may read this too.
alter table trueness_reading
    drop constraint trueness_reading_pitch_from_check,
    add constraint trueness_reading_pitch_from_check check (pitch_from in ('TYPED', 'HEARD', 'DEVICE'));
