package rosinedpeg.core.pegs;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * How far a peg's collar stands from the pegbox wall, over the years. A wooden peg wears its way in: with a taper of
 * 1 : 30 it moves in 30 mm for each mm the hole opens. A straight line through what was logged says when the collar will
 * be too close to the wall; before two different days, the usual pace of its wood does.
 */
public final class CollarTrend {

    /** The usual taper of violin-family pegs: 1 mm of diameter over so many mm of length. */
    public static final double TAPER = 30;

    /** Closer than this, the collar is as good as at the wall. */
    public static final double LEAST_MM = 1;

    private static final double DAYS_PER_YEAR = 365.25;
    private static final double DAYS_PER_MONTH = DAYS_PER_YEAR / 12;

    private final List<Collar> logged;
    private final Optional<PegWood> wood;

    /**
     * Takes what was logged.
     *
     * @param logged collar distances, in any order
     * @param wood what the peg is made of, empty when nobody recorded it
     */
    public CollarTrend(List<Collar> logged, Optional<PegWood> wood) {
        this.logged = List.copyOf(logged);
        this.wood = requireNonNull(wood, "wood");
    }

    /** {@return how far the peg moves in within a year, in mm; empty before two different days} */
    public Optional<Double> mmPerYear() {
        return line().map(line -> -line.getSlope() * DAYS_PER_YEAR);
    }

    /** {@return the distance on a day by the line through what was logged, in mm; empty before two different days} */
    public Optional<Double> distanceMm(LocalDate on) {
        requireNonNull(on, "on");
        return line().map(line -> line.predict(ChronoUnit.DAYS.between(first(), on)));
    }

    /** {@return by how much the hole opens within a year, in mm of diameter; empty before two different days} */
    public Optional<Double> holeOpensMmPerYear() {
        return mmPerYear().map(mm -> mm / TAPER);
    }

    /** {@return the day its collar comes within a millimetre of the wall; empty when it does not move in, or nobody knows} */
    public Optional<LocalDate> runsOutOn() {
        return forecast()
                .filter(forecast -> forecast.mmPerYear().value() > 1e-4)
                .map(forecast ->
                        (forecast.firstMm() - LEAST_MM) / forecast.mmPerYear().value() * DAYS_PER_YEAR)
                .filter(days -> days < 100 * DAYS_PER_YEAR)
                .map(days -> first().plusDays((long) Math.ceil(days)));
    }

    /** {@return the months from a day until then, below 0 when it is over; empty when it does not move in, or nobody knows} */
    public Optional<Double> monthsLeft(LocalDate today) {
        requireNonNull(today, "today");
        return runsOutOn().map(day -> ChronoUnit.DAYS.between(today, day) / DAYS_PER_MONTH);
    }

    /** {@return how far the peg moves in within a year, and where that is known from; empty when nothing tells} */
    public Optional<Figure> pace() {
        return forecast().map(Forecast::mmPerYear);
    }

    private Optional<Forecast> forecast() {
        Optional<Forecast> learned = line().map(line -> new Forecast(
                line.getIntercept(), new Figure(-line.getSlope() * DAYS_PER_YEAR, Unit.MILLIMETRE, Origin.LEARNED)));
        return learned.or(() -> logged.isEmpty()
                ? Optional.empty()
                : wood.map(known -> new Forecast(logged.get(0).distanceMm(), known.usualMmPerYear())));
    }

    /** The collar's distance on the first day that was logged, and its pace from there. */
    private record Forecast(double firstMm, Figure mmPerYear) {}

    private Optional<SimpleRegression> line() {
        if (logged.stream().map(Collar::on).distinct().count() < 2) {
            return Optional.empty();
        }
        SimpleRegression line = new SimpleRegression();
        logged.forEach(collar -> line.addData(ChronoUnit.DAYS.between(first(), collar.on()), collar.distanceMm()));
        return Optional.of(line);
    }

    private LocalDate first() {
        return logged.stream().map(Collar::on).min(LocalDate::compareTo).orElseThrow();
    }

    /**
     * A collar distance.
     *
     * @param on the day it was measured
     * @param distanceMm between the collar's lip and the wall, 0 to 60 mm
     */
    public record Collar(LocalDate on, double distanceMm) {

        /** Allowed distances. */
        public static final Range DISTANCE = new Range(0, 60, Unit.MILLIMETRE);

        /**
         * Checks the distance.
         *
         * @throws rosinedpeg.core.figure.OutOfRangeException outside 0 to 60 mm
         */
        public Collar {
            requireNonNull(on, "on");
            DISTANCE.require("distanceMm", distanceMm);
        }
    }
}
