package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Steadiness;

/**
 * What the settling of a string rests on.
 *
 * @param usual what such a string usually loses
 * @param readings what it was found at, in the order of the hours
 * @param reading which of them is asked about, from 1; 0 where none is
 * @param hours the hour that is asked about, since it came to pitch, 0 or more
 * @param tunedAtHours when it was last tuned, since it came to pitch, 0 or more
 * @param toleranceCents what may be lost, above 0
 * @param windowHours over which time, above 0
 */
public record SettlingGrounds(
        SettlingForecast usual,
        List<SettlingReading> readings,
        int reading,
        double hours,
        double tunedAtHours,
        double toleranceCents,
        double windowHours)
        implements Grounds<SettlingGrounds> {

    private static final Range WINDOW = new Range(0.1, 24, Unit.HOUR);

    /**
     * Checks the figures.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when one is outside its range
     */
    public SettlingGrounds {
        requireNonNull(usual, "usual");
        readings = List.copyOf(readings);
        new Range(0, readings.size(), Unit.RATIO).require("reading", reading);
        SettlingForecast.TIME.require("hours", hours);
        SettlingForecast.TIME.require("tunedAtHours", tunedAtHours);
        SettlingForecast.TOLERANCE.require("toleranceCents", toleranceCents);
        WINDOW.require("windowHours", windowHours);
    }

    /** {@return a string with its readings, asked about how well it holds for something} */
    public static SettlingGrounds of(
            SettlingForecast usual, List<SettlingReading> readings, double hours, Steadiness steadiness) {
        requireNonNull(steadiness, "steadiness");
        List<SettlingReading> inOrder = SettlingReading.inOrder(readings);
        double tunedAtHours = inOrder.stream()
                .filter(SettlingReading::retuned)
                .mapToDouble(SettlingReading::hours)
                .max()
                .orElse(0);
        return new SettlingGrounds(
                usual, inOrder, 0, hours, tunedAtHours, steadiness.toleranceCents(), steadiness.windowHours());
    }

    /** {@return the same, asked about one reading, from 1, and its hour} */
    public SettlingGrounds atReading(int other) {
        new Range(1, readings.size(), Unit.RATIO).require("reading", other);
        return new SettlingGrounds(
                usual, readings, other, readings.get(other - 1).hours(), tunedAtHours, toleranceCents, windowHours);
    }

    /** {@return the index of the reading that is asked about} */
    int askedReading() {
        if (reading == 0) {
            throw new IllegalArgumentException("reading is 0; this figure is a reading's, counted from 1");
        }
        return reading - 1;
    }

    SettlingFit fit() {
        return SettlingFit.of(usual, readings);
    }

    /** {@inheritDoc} */
    @Override
    public List<Ingredient<SettlingGrounds>> ingredients() {
        List<Ingredient<SettlingGrounds>> all = new ArrayList<>();
        all.add(Ingredient.of(
                What.Other.of(What.Part.USUAL_TOTAL),
                Figure.byDefault(usual.totalCents(), Unit.CENT),
                SettlingForecast.TOTAL,
                value -> with(new SettlingForecast(value, usual.tauHours()))));
        all.add(Ingredient.of(
                What.Other.of(What.Part.USUAL_TAU),
                Figure.byDefault(usual.tauHours(), Unit.HOUR),
                SettlingForecast.TAU,
                value -> with(new SettlingForecast(usual.totalCents(), value))));
        for (int i = 0; i < readings.size(); i++) {
            int at = i;
            all.add(Ingredient.of(
                    new What.Other(What.Part.SETTLING_READING, null, i + 1),
                    Figure.measured(readings.get(i).cents(), Unit.CENT),
                    SettlingReading.CENTS,
                    value -> withReading(at, value)));
        }
        all.add(Ingredient.of(
                What.Other.of(What.Part.HOURS_SINCE_PITCH),
                Figure.measured(hours, Unit.HOUR),
                SettlingForecast.TIME,
                value -> new SettlingGrounds(
                        usual, readings, reading, value, tunedAtHours, toleranceCents, windowHours)));
        all.add(Ingredient.of(
                What.Other.of(What.Part.TUNED_AT),
                Figure.measured(tunedAtHours, Unit.HOUR),
                SettlingForecast.TIME,
                value -> new SettlingGrounds(usual, readings, reading, hours, value, toleranceCents, windowHours)));
        all.add(Ingredient.of(
                What.Other.of(What.Part.TOLERANCE),
                Figure.byDefault(toleranceCents, Unit.CENT),
                SettlingForecast.TOLERANCE,
                value -> new SettlingGrounds(usual, readings, reading, hours, tunedAtHours, value, windowHours)));
        return List.copyOf(all);
    }

    private SettlingGrounds with(SettlingForecast other) {
        return new SettlingGrounds(other, readings, reading, hours, tunedAtHours, toleranceCents, windowHours);
    }

    private SettlingGrounds withReading(int at, double cents) {
        List<SettlingReading> moved = new ArrayList<>(readings);
        SettlingReading read = moved.get(at);
        moved.set(at, new SettlingReading(read.hours(), cents, read.retuned()));
        return new SettlingGrounds(usual, moved, reading, hours, tunedAtHours, toleranceCents, windowHours);
    }
}
