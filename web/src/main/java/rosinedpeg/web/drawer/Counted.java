package rosinedpeg.web.drawer;

import java.time.Instant;
import java.util.UUID;

/**
 * What was found of one kind when the drawer was counted.
 *
 * @param kindId the kind
 * @param expected how many were on record then
 * @param found how many were there
 * @param at when
 * @param by who counted
 */
record Counted(UUID kindId, int expected, int found, Instant at, UUID by) {

    /** No compartment holds more. */
    static final int MOST = 999;

    /** {@return how many more were found than were on record; below 0 for fewer} */
    public int difference() {
        return found - expected;
    }
}
