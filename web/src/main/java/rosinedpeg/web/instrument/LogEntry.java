package rosinedpeg.web.instrument;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * One line of an instrument's log.
 *
 * @param at when it happened
 * @param kind what happened, completing the message key {@code log.…}
 * @param position the string it concerns
 * @param label the kind of string or what was noticed
 * @param readings what was measured in one sitting
 * @param by who recorded it
 * @param page the page on which it is put right, below the instrument's own; none where it cannot be
 */
public record LogEntry(
        Instant at,
        String kind,
        @Nullable Position position,
        @Nullable String label,
        List<Reading> readings,
        @Nullable UUID by,
        @Nullable String page) {

    /**
     * What happened at a moment.
     *
     * @param at when
     * @param kind what, completing the message key {@code log.…}
     * @param position the string it concerns
     * @param label the kind of string or what was noticed
     * @param by who recorded it
     */
    public static LogEntry of(
            Instant at, String kind, @Nullable Position position, @Nullable String label, @Nullable UUID by) {
        return new LogEntry(at, kind, position, label, List.of(), by, null);
    }

    /** {@return the same, put right on a page below the instrument's own} */
    public LogEntry putRightAt(String address) {
        return new LogEntry(at, kind, position, label, readings, by, address);
    }

    static LogEntry measured(List<MeasurementEntity> sitting) {
        MeasurementEntity first = sitting.get(0);
        List<Reading> readings = sitting.stream()
                .map(one -> new Reading(
                        one.measurable(),
                        Figure.measured(one.value(), one.measurable().quantity().unit())))
                .toList();
        return new LogEntry(noon(first.measuredOn()), "MEASURED", null, null, readings, first.recordedBy(), null);
    }

    /**
     * What happened some time on a day.
     *
     * @param on the day
     * @param kind what, completing the message key {@code log.…}
     * @param position the string it concerns
     * @param by who recorded it
     */
    public static LogEntry on(LocalDate on, String kind, @Nullable Position position, UUID by) {
        return of(noon(on), kind, position, null, by);
    }

    /** Noon where the workshop stands, so that it is told of this very day there. */
    private static Instant noon(LocalDate day) {
        return day.atTime(LocalTime.NOON).atZone(CurrentWorkshop.zone()).toInstant();
    }

    /**
     * A measurement.
     *
     * @param measurable what was measured
     * @param figure what it came to
     */
    public record Reading(Measurable measurable, Figure figure) {}
}
