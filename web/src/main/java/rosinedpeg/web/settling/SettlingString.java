package rosinedpeg.web.settling;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.settling.Behaviour;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Sinking;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.SettlingGrounds;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;

/**
 * A new string with its forecast and its readings.
 *
 * @param instrument the instrument it is on
 * @param string the string
 * @param fittedAt when it came to pitch
 * @param fit what it is expected to lose: the default of its core, corrected by its readings
 * @param readings what was read, oldest first
 */
public record SettlingString(
        Standing instrument, StringOn string, Instant fittedAt, SettlingFit fit, List<Reading> readings) {

    /**
     * What its settling rests on.
     *
     * @param steadiness how well it is to hold
     * @param now the moment that is asked about
     * @return the grounds of its figures
     */
    SettlingGrounds grounds(Steadiness steadiness, Instant now) {
        return SettlingGrounds.of(
                SettlingForecast.usual(string.kind().spec().core()),
                readings.stream()
                        .map(one -> new SettlingReading(one.hours(), one.cents(), one.retuned()))
                        .toList(),
                hoursAt(now),
                steadiness);
    }

    /** {@return what it is expected to lose} */
    public SettlingForecast forecast() {
        return fit.forecast();
    }

    /** {@return what the latest drop is to be put down to; empty before the first reading} */
    public Optional<Behaviour> behaviour() {
        return fit.latest().map(Sinking::behaviour);
    }

    /** {@return between which moments it comes to hold, nine times in ten} */
    public Between steadyBetween(Steadiness steadiness) {
        Interval hours = fit.steadyAtHours(steadiness);
        return new Between(at(hours.low()), at(hours.high()));
    }

    /**
     * Two moments.
     *
     * @param earliest the one
     * @param latest the other
     */
    public record Between(Instant earliest, Instant latest) {}

    /** {@return the id of this very string} */
    public UUID fittedId() {
        return string.fittedId();
    }

    /** {@return its position} */
    public Position position() {
        return string.position();
    }

    /** {@return when it first holds well enough for that} */
    public Instant steadyAt(Steadiness steadiness) {
        return at(forecast().steadyAtHours(steadiness));
    }

    /** {@return whether it does not yet hold for a concert} */
    public boolean unsteadyAt(Instant now) {
        return now.isBefore(steadyAt(Steadiness.CONCERT));
    }

    /** {@return when it will have sunk out of rehearsal tolerance since it was last tuned; empty when it never will} */
    public Optional<Instant> wantsTuningAt() {
        double tunedAt = readings.stream()
                .filter(Reading::retuned)
                .mapToDouble(Reading::hours)
                .max()
                .orElse(0);
        var hours = forecast().wantsTuningAtHours(tunedAt, Steadiness.REHEARSAL.toleranceCents());
        return hours.isPresent() ? Optional.of(at(hours.getAsDouble())) : Optional.empty();
    }

    /** {@return the hours since it came to pitch} */
    public double hoursAt(Instant moment) {
        return Math.max(0, Duration.between(fittedAt, moment).toSeconds() / 3600.0);
    }

    private Instant at(double hours) {
        return fittedAt.plusSeconds(Math.round(hours * 3600));
    }

    /**
     * A reading.
     *
     * @param id its id
     * @param at when it was taken
     * @param hours since the string came to pitch
     * @param cents from pitch as it was found, negative for flat
     * @param retuned whether it was tuned then
     * @param lostCents all it has lost since it came to pitch
     * @param expectedCents what the default of its core says it should have lost
     * @param sinking how it was judged when it came
     */
    public record Reading(
            UUID id,
            Instant at,
            double hours,
            double cents,
            boolean retuned,
            double lostCents,
            double expectedCents,
            Sinking sinking) {}
}
