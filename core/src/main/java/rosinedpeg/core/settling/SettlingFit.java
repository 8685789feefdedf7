package rosinedpeg.core.settling;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;
import rosinedpeg.core.strings.StringCore;

/**
 * A forecast corrected by the readings of the string itself.
 *
 * <p>Least squares on the logarithms of A and τ. The default of the core takes part as if it had been observed, with a
 * spread of {@value #SPREAD_LN_TOTAL} and {@value #SPREAD_LN_TAU}; each reading with one of
 * {@value #READING_SPREAD_CENTS} cents. So no reading leaves the default, and many readings outweigh it. The spread of
 * what is found follows from the curvature at the best fit; intervals hold the truth about nine times in ten.
 *
 * @param forecast the corrected forecast
 * @param readings how many readings it rests on
 * @param varianceLnTotal variance of ln A
 * @param varianceLnTau variance of ln τ
 * @param covariance of the two
 */
public record SettlingFit(
        SettlingForecast forecast, int readings, double varianceLnTotal, double varianceLnTau, double covariance) {
    /** Checks the parts. */
    public SettlingFit {
        requireFinite("covariance", covariance);
        requireNonNull(forecast, "forecast");
        requireFinite("varianceLnTau", varianceLnTau);
        requireFinite("varianceLnTotal", varianceLnTotal);
    }

    /** How widely ln A scatters from string to string of one core. */
    public static final double SPREAD_LN_TOTAL = 0.35;
    /** How widely ln τ does. */
    public static final double SPREAD_LN_TAU = 0.5;
    /** How widely readings of one pitch scatter. */
    public static final double READING_SPREAD_CENTS = 4;

    private static final double NINE_IN_TEN = 1.645;
    private static final double LEAST_LN = Math.log(0.11);
    private static final double MOST_LN_TAU = Math.log(990);
    private static final double MOST_LN_TOTAL = Math.log(1990);

    /**
     * Fits the readings of a string.
     *
     * @param core what it is made of, which gives the default
     * @param readings what was read, in any order; may be empty
     * @return the fit
     */
    public static SettlingFit of(StringCore core, List<SettlingReading> readings) {
        SettlingForecast usual = SettlingForecast.usual(core);
        if (readings.isEmpty()) {
            return new SettlingFit(usual, 0, SPREAD_LN_TOTAL * SPREAD_LN_TOTAL, SPREAD_LN_TAU * SPREAD_LN_TAU, 0);
        }
        double[] start = {Math.log(usual.totalCents()), Math.log(usual.tauHours())};
        int rows = readings.size() + 2;
        double[] target = new double[rows];
        double[] weight = new double[rows];
        for (int i = 0; i < readings.size(); i++) {
            target[i] = readings.get(i).lostCents();
            weight[i] = 1 / (READING_SPREAD_CENTS * READING_SPREAD_CENTS);
        }
        target[rows - 2] = start[0];
        weight[rows - 2] = 1 / (SPREAD_LN_TOTAL * SPREAD_LN_TOTAL);
        target[rows - 1] = start[1];
        weight[rows - 1] = 1 / (SPREAD_LN_TAU * SPREAD_LN_TAU);
        Optimum optimum = new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .start(start)
                        .target(target)
                        .weight(new DiagonalMatrix(weight))
                        .model(point -> model(point, readings))
                        .parameterValidator(SettlingFit::withinReason)
                        .maxEvaluations(1000)
                        .maxIterations(1000)
                        .build());
        RealMatrix spread = optimum.getCovariances(1e-14);
        return new SettlingFit(
                forecast(optimum.getPoint().getEntry(0), optimum.getPoint().getEntry(1)),
                readings.size(),
                spread.getEntry(0, 0),
                spread.getEntry(1, 1),
                spread.getEntry(0, 1));
    }

    /**
     * When the string first holds well enough, with the interval that the truth lies in about nine times in ten.
     *
     * @param steadiness how well it has to hold
     * @return hours since it came to pitch
     */
    public Interval steadyAtHours(Steadiness steadiness) {
        double lnTotal = Math.log(forecast.totalCents());
        double lnTau = Math.log(forecast.tauHours());
        double step = 1e-4;
        double best = lnSteady(lnTotal, lnTau, steadiness);
        double byTotal = (lnSteady(lnTotal + step, lnTau, steadiness) - lnSteady(lnTotal - step, lnTau, steadiness))
                / (2 * step);
        double byTau = (lnSteady(lnTotal, lnTau + step, steadiness) - lnSteady(lnTotal, lnTau - step, steadiness))
                / (2 * step);
        double variance =
                byTotal * byTotal * varianceLnTotal + byTau * byTau * varianceLnTau + 2 * byTotal * byTau * covariance;
        double reach = NINE_IN_TEN * Math.sqrt(Math.max(0, variance));
        return new Interval(Math.exp(best - reach), Math.exp(best), Math.exp(best + reach));
    }

    private static double lnSteady(double lnTotal, double lnTau, Steadiness steadiness) {
        return Math.log(Math.max(1e-3, forecast(lnTotal, lnTau).steadyAtHours(steadiness)));
    }

    private static SettlingForecast forecast(double lnTotal, double lnTau) {
        return new SettlingForecast(Math.exp(lnTotal), Math.exp(lnTau));
    }

    private static RealVector withinReason(RealVector point) {
        return new ArrayRealVector(new double[] {
            Math.max(LEAST_LN, Math.min(MOST_LN_TOTAL, point.getEntry(0))),
            Math.max(LEAST_LN, Math.min(MOST_LN_TAU, point.getEntry(1)))
        });
    }

    private static Pair<RealVector, RealMatrix> model(RealVector point, List<SettlingReading> readings) {
        SettlingForecast forecast = forecast(point.getEntry(0), point.getEntry(1));
        int rows = readings.size() + 2;
        double[] value = new double[rows];
        double[][] slope = new double[rows][2];
        for (int i = 0; i < readings.size(); i++) {
            double u = Math.pow(readings.get(i).hours() / forecast.tauHours(), SettlingForecast.BETA);
            value[i] = forecast.lostCents(readings.get(i).hours());
            slope[i][0] = value[i];
            slope[i][1] = -forecast.totalCents() * SettlingForecast.BETA * u * Math.exp(-u);
        }
        value[rows - 2] = point.getEntry(0);
        slope[rows - 2][0] = 1;
        value[rows - 1] = point.getEntry(1);
        slope[rows - 1][1] = 1;
        return new Pair<>(new ArrayRealVector(value), new Array2DRowRealMatrix(slope));
    }

    /**
     * A figure with the interval it lies in about nine times in ten.
     *
     * @param low lower end
     * @param best the best guess
     * @param high upper end
     */
    public record Interval(double low, double best, double high) {
        /** Checks the parts. */
        public Interval {
            requireFinite("best", best);
            requireFinite("high", high);
            requireFinite("low", low);
        }
    }
}
