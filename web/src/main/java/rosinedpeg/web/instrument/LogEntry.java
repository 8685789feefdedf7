package rosinedpeg.web.instrument;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;

/**
 * One line of an instrument's log.
 *
 * @param at when it happened
 * @param kind what happened, completing the message key {@code log.…}
 * @param position the string it concerns, or null
 * @param label the kind of string or what was noticed, or null
 * @param quantity what was measured, or null
 * @param value the measured value
 * @param by who recorded it, or null
 */
record LogEntry(Instant at, String kind, Position position, String label, Quantity quantity, double value, String by) {

    static LogEntry measured(MeasurementEntity measurement) {
        return new LogEntry(
                measurement.measuredOn().atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC),
                "MEASURED",
                null,
                null,
                measurement.quantity(),
                measurement.value(),
                measurement.recordedBy());
    }
}
