package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.strings.Position;

/**
 * Work that somebody asked for.
 *
 * @param id its id
 * @param instrumentId on which instrument
 * @param kind what
 * @param strings which strings, where it is strings
 * @param note what somebody says of it; may be empty
 * @param minutes how long it takes, where nothing else says it
 * @param fromDay the first day it is wanted on, if it is not wanted at once
 * @param byDay the last day it is in time, if there is one
 * @param by who asked
 */
record Wish(
        UUID id,
        UUID instrumentId,
        WishKind kind,
        List<Position> strings,
        String note,
        int minutes,
        Optional<LocalDate> fromDay,
        Optional<LocalDate> byDay,
        UUID by) {

    /** The most characters of a note. */
    static final int LONGEST_NOTE = 120;
    /** The most work that is asked for at a time. */
    static final int MOST = 200;

    /** {@return the first day for it, where it could begin on that day} */
    LocalDate from(LocalDate atOnce) {
        return fromDay.filter(atOnce::isBefore).orElse(atOnce);
    }
}
