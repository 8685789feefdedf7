package rosinedpeg.web.rack;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;

/**
 * A row of the rack: laid out already, or what it is laid out from.
 *
 * @param look what it looks like
 * @param html the row as it was laid out for that look before; empty when it was not
 * @param row what it is laid out from; empty when it was laid out before
 */
record RackEntry(Look look, Optional<String> html, Optional<RackRow> row) {

    /** A row laid out before. */
    static RackEntry kept(Look look, String html) {
        return new RackEntry(look, Optional.of(html), Optional.empty());
    }

    /** A row that is yet to be laid out. */
    static RackEntry of(Look look, RackRow row) {
        return new RackEntry(look, Optional.empty(), Optional.of(row));
    }

    /**
     * All that a row looks like: rows with the same look are the same.
     *
     * @param edition that of the instrument's {@linkplain RackPlaceEntity#edition() place}
     * @param sequence the number of the last event of its run, where it is on the bench; 0 elsewhere
     * @param focused whether it is gone to at once, as the first of those that somebody asked for besides
     * @param locale the language of its words
     * @param zone where its days begin
     * @param tenMinutes the ten minutes in which it is looked at: within them what is shown of wear moves by less than a tenth of a
     *     per cent
     */
    record Look(UUID edition, long sequence, boolean focused, Locale locale, ZoneId zone, long tenMinutes) {

        private static final long TEN_MINUTES_S = 600;

        static Look at(Instant now, UUID edition, long sequence, boolean focused, Locale locale, ZoneId zone) {
            return new Look(edition, sequence, focused, locale, zone, now.getEpochSecond() / TEN_MINUTES_S);
        }
    }
}
