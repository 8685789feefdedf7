package rosinedpeg.core.settling;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.toUnmodifiableMap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.Posterior;
import rosinedpeg.core.strings.StringCore;

/**
 * A forecast corrected by the readings of the string itself, which says how good it is.
 *
 * <p>What is looked for are ln A and ln τ. The default of the core takes part as if it had been observed, with a spread of
 * {@value #SPREAD_LN_TOTAL} and {@value #SPREAD_LN_TAU}: no reading leaves the default, many outweigh it. How widely readings
 * scatter is not known beforehand either: {@value #READING_SPREAD_CENTS} cents are assumed as firmly as
 * {@value #SPREAD_READINGS} readings would show them, and what the fit leaves over corrects them, so that a string that is
 * read badly has a wide interval. Residuals are those of {@link Drops}. The best fit is found by Levenberg and Marquardt's
 * method, in turn with the scatter.
 *
 * <p>Intervals do not trust the curvature at the best fit, since the hour at which a string holds is far from straight in ln A
 * and ln τ: they are read off the {@link Posterior}, from the 5th to the 95th hundredth of its weight. The table in {@code
 * docs/arithmetic.md} shows how often the truth lies in one.
 *
 * <p>Readings are taken one after the other. One that has sunk further than all of this explains is a slip, or turns that
 * still draw tight; it is cut out, and the fit goes on from where the string was found.
 */
public final class SettlingFit {

    /** How widely ln A scatters from string to string of one core. */
    public static final double SPREAD_LN_TOTAL = 0.35;
    /** How widely ln τ does. */
    public static final double SPREAD_LN_TAU = 0.5;
    /** How widely readings of one pitch scatter, by default: those of one person 4, of another 8. */
    public static final double READING_SPREAD_CENTS = 5.4;
    /** How many readings that is worth. */
    public static final double SPREAD_READINGS = 2;

    private static final double LOW_SHARE = 0.05;
    private static final double HIGH_SHARE = 0.95;
    private static final double LEAST_LN = Math.log(0.11);
    private static final double MOST_LN_TAU = Math.log(990);
    private static final double MOST_LN_TOTAL = Math.log(1990);
    /** As near as the hour of a point of the grid is looked for, in h. */
    private static final double NEARLY = 1e-5;

    /** Where a drop becomes doubtful, in spreads. */
    private static final double FAR_OUT = 2.7;

    /** Strings of one core that nobody has read are all alike. */
    private static final Map<StringCore, SettlingFit> UNREAD = Arrays.stream(StringCore.values())
            .collect(toUnmodifiableMap(core -> core, core -> of(SettlingForecast.usual(core), List.of())));

    private final double[] usual;
    /** Every page of a string asks for the same hours. */
    private final Map<Steadiness, Interval> steadyAt = new ConcurrentHashMap<>();

    private final Drops drops = new Drops();
    private final List<Sinking> sinkings = new ArrayList<>();
    private RealVector best;
    private RealMatrix covariance;
    private double variance = READING_SPREAD_CENTS * READING_SPREAD_CENTS;

    private SettlingFit(SettlingForecast usual) {
        this.usual = new double[] {Math.log(usual.totalCents()), Math.log(usual.tauHours())};
        this.best = new ArrayRealVector(this.usual);
        this.covariance =
                new DiagonalMatrix(new double[] {SPREAD_LN_TOTAL * SPREAD_LN_TOTAL, SPREAD_LN_TAU * SPREAD_LN_TAU});
    }

    /**
     * Fits the readings of a string.
     *
     * @param core what it is made of, which gives the default
     * @param readings what was read, in any order; may be empty
     * @return the fit
     */
    public static SettlingFit of(StringCore core, List<SettlingReading> readings) {
        return readings.isEmpty()
                ? requireNonNull(UNREAD.get(requireNonNull(core, "core")))
                : of(SettlingForecast.usual(core), readings);
    }

    /**
     * Fits the readings of a string.
     *
     * @param usual what such a string usually loses, around which its own loss is looked for
     * @param readings what was read, in any order; may be empty
     * @return the fit
     */
    public static SettlingFit of(SettlingForecast usual, List<SettlingReading> readings) {
        requireNonNull(usual, "usual");
        SettlingFit fit = new SettlingFit(usual);
        for (SettlingReading reading : SettlingReading.inOrder(readings)) {
            Sinking sinking = fit.judge(reading, usual.tauHours());
            fit.sinkings.add(sinking);
            if (sinking.behaviour().cutOut()) {
                fit.drops.cutBefore(reading);
            } else {
                fit.drops.add(reading);
                fit.solve();
            }
        }
        return fit;
    }

    /** {@return the corrected forecast} */
    public SettlingForecast forecast() {
        return forecast(best.getEntry(0), best.getEntry(1));
    }

    /** {@return how many readings it rests on} */
    public int readings() {
        return drops.size();
    }

    /** {@return how widely its readings scatter, in cents: what was assumed, corrected by what the fit left over} */
    public double scatterCents() {
        return Math.sqrt(variance);
    }

    /** {@return each reading as it was judged when it came, in the order of the hours} */
    public List<Sinking> sinkings() {
        return List.copyOf(sinkings);
    }

    /** {@return the latest reading as it was judged; empty before the first} */
    public Optional<Sinking> latest() {
        return sinkings.isEmpty() ? Optional.empty() : Optional.of(sinkings.get(sinkings.size() - 1));
    }

    /**
     * When the string first holds well enough, with the interval that the truth lies in about nine times in ten.
     *
     * @param steadiness how well it has to hold
     * @return hours since it came to pitch
     */
    public Interval steadyAtHours(Steadiness steadiness) {
        requireNonNull(steadiness, "steadiness");
        return steadyAt.computeIfAbsent(
                steadiness, asked -> steadyAtHours(asked.toleranceCents(), asked.windowHours()));
    }

    /** {@return the same for no more than so many cents, above 0, lost over so many hours, above 0} */
    public Interval steadyAtHours(double toleranceCents, double windowHours) {
        Posterior.Following steady = new Posterior(
                        best.getEntry(0),
                        best.getEntry(1),
                        new Posterior.Scatter(
                                covariance.getEntry(0, 0), covariance.getEntry(1, 1), covariance.getEntry(0, 1)),
                        Posterior.Laid.ALONG,
                        (lnTotal, lnTau) -> logPosterior(clamp(lnTotal, MOST_LN_TOTAL), clamp(lnTau, MOST_LN_TAU)))
                .following((lnTotal, lnTau) -> forecast(clamp(lnTotal, MOST_LN_TOTAL), clamp(lnTau, MOST_LN_TAU))
                        .steadyAtHours(toleranceCents, windowHours, NEARLY));
        double hours = forecast().steadyAtHours(toleranceCents, windowHours);
        double low = steady.below(LOW_SHARE);
        // Where it may hold from the beginning, nothing lies below that; the whole tenth is left above.
        double high = steady.below(low == 0 ? HIGH_SHARE - LOW_SHARE : HIGH_SHARE);
        return new Interval(Math.min(hours, low), hours, Math.max(hours, high));
    }

    /** With the scatter unknown, residuals weigh as Student's t has it. */
    private double logPosterior(double lnTotal, double lnTau) {
        double[] off = residuals(forecast(lnTotal, lnTau));
        double squares = 0;
        for (double one : off) {
            squares += one * one;
        }
        double assumed = SPREAD_READINGS * READING_SPREAD_CENTS * READING_SPREAD_CENTS;
        double fromTotal = (lnTotal - usual[0]) / SPREAD_LN_TOTAL;
        double fromTau = (lnTau - usual[1]) / SPREAD_LN_TAU;
        return -(SPREAD_READINGS + off.length) / 2 * Math.log1p(squares / assumed)
                - (fromTotal * fromTotal + fromTau * fromTau) / 2;
    }

    private double[] residuals(SettlingForecast forecast) {
        double[] off = new double[drops.size()];
        for (int i = 0; i < off.length; i++) {
            Drops.Drop drop = drops.get(i);
            off[i] = drop.cents() - forecast.driftCents(drop.fromHours(), drop.toHours());
        }
        drops.whiten(off);
        return off;
    }

    // --- what a reading is to be put down to -------------------------------------------------------------------------

    private Sinking judge(SettlingReading reading, double usualTauHours) {
        Drops.Drop drop = drops.of(reading);
        Drops.Drop before = drops.latest();
        SettlingForecast forecast = forecast();
        double expected = forecast.driftCents(before.toHours(), drop.toHours());
        double sank = drop.cents() - before.cents();
        double[] slope = difference(slope(forecast, drop.toHours()), slope(forecast, before.toHours()));
        double ofFit = upwards(
                expected,
                Math.sqrt(covariance.preMultiply(new ArrayRealVector(slope)).dotProduct(new ArrayRealVector(slope))));
        double ofReadings = 2 * variance;
        double spread = Math.sqrt(ofFit + ofReadings);
        // Welch and Satterthwaite: only what rests on the readings' own scatter is as uncertain as they are few.
        double asUncertain = ofReadings + ofFit * toldByReadings() / 2;
        double restsOn = (SPREAD_READINGS + drops.size()) * Math.pow((ofFit + ofReadings) / asUncertain, 2);
        boolean early = reading.hours() <= Behaviour.BEDDING_IN_SHARE * usualTauHours;
        return new Sinking(reading, sank, expected, spread, Behaviour.of((sank - expected) / spread, restsOn, early));
    }

    /** The variance of a drop above what is expected: A and τ scatter in their logarithms, so further up than down. */
    private static double upwards(double expected, double spread) {
        double share = spread / Math.max(1, expected);
        double up = Math.max(1, expected) * Math.expm1(FAR_OUT * share) / FAR_OUT;
        return up * up;
    }

    private static double[] difference(double[] one, double[] other) {
        return new double[] {one[0] - other[0], one[1] - other[1]};
    }

    /** How the loss by an hour follows ln A and ln τ. */
    private static double[] slope(SettlingForecast forecast, double hours) {
        double u = Math.pow(hours / forecast.tauHours(), SettlingForecast.BETA);
        return new double[] {
            forecast.lostCents(hours), -forecast.totalCents() * SettlingForecast.BETA * u * Math.exp(-u)
        };
    }

    // --- the best fit ------------------------------------------------------------------------------------------------

    private void solve() {
        int rows = drops.size() + 2;
        double[] target = new double[rows];
        for (int i = 0; i < drops.size(); i++) {
            target[i] = drops.get(i).cents();
        }
        drops.whiten(target);
        target[rows - 2] = usual[0];
        target[rows - 1] = usual[1];
        for (int round = 0; round < 3; round++) {
            double[] weight = new double[rows];
            Arrays.fill(weight, 1 / variance);
            weight[rows - 2] = 1 / (SPREAD_LN_TOTAL * SPREAD_LN_TOTAL);
            weight[rows - 1] = 1 / (SPREAD_LN_TAU * SPREAD_LN_TAU);
            Optimum optimum = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(best)
                            .target(target)
                            .weight(new DiagonalMatrix(weight))
                            .model(this::model)
                            .parameterValidator(SettlingFit::withinReason)
                            .maxEvaluations(1000)
                            .maxIterations(1000)
                            .build());
            best = optimum.getPoint();
            covariance = optimum.getCovariances(1e-14);
            double squares = 0;
            for (double one : residuals(forecast())) {
                squares += one * one;
            }
            variance = (SPREAD_READINGS * READING_SPREAD_CENTS * READING_SPREAD_CENTS + squares)
                    / (SPREAD_READINGS + drops.size() - toldByReadings());
        }
    }

    /** {@return how many of the two unknowns the readings tell, rather than the default: what they have no scatter left for} */
    private double toldByReadings() {
        return 2
                - covariance.getEntry(0, 0) / (SPREAD_LN_TOTAL * SPREAD_LN_TOTAL)
                - covariance.getEntry(1, 1) / (SPREAD_LN_TAU * SPREAD_LN_TAU);
    }

    private Pair<RealVector, RealMatrix> model(RealVector point) {
        SettlingForecast forecast = forecast(point.getEntry(0), point.getEntry(1));
        int rows = drops.size() + 2;
        double[] value = new double[rows];
        double[][] slope = new double[2][rows];
        for (int i = 0; i < drops.size(); i++) {
            Drops.Drop drop = drops.get(i);
            value[i] = forecast.driftCents(drop.fromHours(), drop.toHours());
            double[] by = difference(slope(forecast, drop.toHours()), slope(forecast, drop.fromHours()));
            slope[0][i] = by[0];
            slope[1][i] = by[1];
        }
        drops.whiten(value);
        drops.whiten(slope[0]);
        drops.whiten(slope[1]);
        value[rows - 2] = point.getEntry(0);
        slope[0][rows - 2] = 1;
        value[rows - 1] = point.getEntry(1);
        slope[1][rows - 1] = 1;
        return new Pair<>(new ArrayRealVector(value), new Array2DRowRealMatrix(slope).transpose());
    }

    private static SettlingForecast forecast(double lnTotal, double lnTau) {
        return new SettlingForecast(Math.exp(lnTotal), Math.exp(lnTau));
    }

    private static RealVector withinReason(RealVector point) {
        return new ArrayRealVector(
                new double[] {clamp(point.getEntry(0), MOST_LN_TOTAL), clamp(point.getEntry(1), MOST_LN_TAU)});
    }

    private static double clamp(double ln, double mostLn) {
        return Math.max(LEAST_LN, Math.min(mostLn, ln));
    }
}
