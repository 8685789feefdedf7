package rosinedpeg.web.diary;

import static java.util.stream.Collectors.joining;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.occasions.Occasion;

/**
 * Something that follows for an instrument from what is played, how its strings wear and how they settle.
 *
 * @param kind what
 * @param instrumentId for which instrument
 * @param instrument its name
 * @param strings the strings it concerns; none for the whole instrument
 * @param fittedId the very string whose figure it rests on; none for the whole instrument
 * @param at the moment it is told for
 * @param due when a string becomes due that has to be changed; none where it is due already
 * @param latest until when it may be changed
 * @param playedFirst what a new string is played at first, where there is anything
 * @param tooSoon what comes so soon that it is played on the old string, where there is anything
 * @param owed what is owed, where it is owed
 */
record Told(
        Kind kind,
        UUID instrumentId,
        String instrument,
        List<Position> strings,
        @Nullable UUID fittedId,
        Instant at,
        @Nullable Instant due,
        @Nullable Instant latest,
        @Nullable Occasion playedFirst,
        @Nullable Occasion tooSoon,
        @Nullable OwedWork owed) {

    /** What can follow, in the order of a day. */
    enum Kind {
        /** A string is due, or has to be changed by then. */
        CHANGE,
        /** Nobody knows how old a string is, so that it counts as due. */
        AGE_UNKNOWN,
        /** New strings hold for a rehearsal from then on. */
        HOLDS_REHEARSAL,
        /** New strings hold for a concert from then on. */
        HOLDS_CONCERT,
        /** The bridge is looked at. */
        BRIDGE,
        /** Something was left to do. */
        OWED
    }

    static Told of(
            Kind kind,
            UUID instrumentId,
            String instrument,
            List<Position> strings,
            @Nullable UUID fittedId,
            Instant at) {
        return new Told(kind, instrumentId, instrument, strings, fittedId, at, null, null, null, null, null);
    }

    /** {@return the same for several strings} */
    Told of(List<Position> several) {
        return new Told(kind, instrumentId, instrument, several, fittedId, at, due, latest, playedFirst, tooSoon, owed);
    }

    /** {@return the page on which it is done} */
    public String address() {
        String page = "/instruments/" + instrumentId;
        return switch (kind) {
            case CHANGE, AGE_UNKNOWN ->
                page + "/plan" + strings.stream().map(one -> "strings=" + one).collect(joining("&", "?", ""));
            case BRIDGE -> page + "/bridge";
            case HOLDS_REHEARSAL, HOLDS_CONCERT, OWED -> page;
        };
    }

    /** {@return the day it stands on} */
    LocalDate day(ZoneId zone) {
        return at.atZone(zone).toLocalDate();
    }

    /** {@return whether a string is to be changed} */
    boolean isChange() {
        return kind == Kind.CHANGE || kind == Kind.AGE_UNKNOWN;
    }

    /** {@return whether it stands on the day a string is due, and not on the last one it may be changed} */
    boolean isDueDay() {
        return at.equals(due);
    }
}
