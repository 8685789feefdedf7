package rosinedpeg.core.estimate;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Arrays;
import java.util.Comparator;
import java.util.function.DoubleBinaryOperator;

/**
 * Two unknowns, as well as they are known: where they are most probable, how they scatter there, and how probable any other
 * pair is.
 *
 * <p>What follows from them is often far from straight in either, so the curvature at the best pair is not trusted: the
 * probability is weighed on a grid laid along the axes of that curvature, and what follows is worked out at each of its
 * points.
 */
public final class Posterior {

    /** Points of the grid along each axis, and how many spreads it reaches from the best pair. */
    private static final int GRID = 17;

    private static final double GRID_REACH = 4;

    /** The points of the grid, each with its weight. */
    private final double[][] points;

    private final double all;

    /**
     * How two unknowns scatter.
     *
     * @param first variance of the first, above 0
     * @param second variance of the second, above 0
     * @param both their covariance
     */
    public record Scatter(double first, double second, double both) {
        /**
         * Checks the figures.
         *
         * @throws IllegalArgumentException when a variance is not above 0
         */
        public Scatter {
            requireFinite("first", first);
            requireFinite("second", second);
            requireFinite("both", both);
            if (first <= 0 || second <= 0) {
                throw new IllegalArgumentException(
                        "the variances are " + first + " and " + second + "; they must be above 0");
            }
        }
    }

    /** How the grid is laid over the two. */
    public enum Laid {
        /** Along the axes of their scatter: for what follows from both of them. */
        ALONG(0),
        /**
         * Askew to them, by the angle of the golden section: for what may follow from one of them alone, or nearly. Along the axes
         * whole rows of points would say the same then, and what lies between two rows could not be told.
         */
        ASKEW(Math.atan((1 + Math.sqrt(5)) / 2));

        private final double cosine;
        private final double sine;

        Laid(double radians) {
            this.cosine = Math.cos(radians);
            this.sine = Math.sin(radians);
        }
    }

    /**
     * Weighs the grid.
     *
     * @param first the first unknown where the pair is most probable, finite
     * @param second the second there, finite
     * @param scatter of the two there
     * @param laid how the grid is laid over them
     * @param lnProbability the logarithm of how probable a pair is, up to a constant
     */
    public Posterior(double first, double second, Scatter scatter, Laid laid, DoubleBinaryOperator lnProbability) {
        requireFinite("first", first);
        requireFinite("second", second);
        requireNonNull(scatter, "scatter");
        requireNonNull(laid, "laid");
        requireNonNull(lnProbability, "lnProbability");
        // The root of the covariance: two steps of one spread each, that do not lean on one another.
        double along = Math.sqrt(scatter.first());
        double leaning = scatter.both() / along;
        double across = Math.sqrt(Math.max(1e-12, scatter.second() - leaning * leaning));
        double atBest = lnProbability.applyAsDouble(first, second);
        this.points = new double[GRID * GRID][];
        double sum = 0;
        for (int i = 0; i < GRID; i++) {
            for (int j = 0; j < GRID; j++) {
                double a = GRID_REACH * (2.0 * i / (GRID - 1) - 1);
                double b = GRID_REACH * (2.0 * j / (GRID - 1) - 1);
                double u = a * laid.cosine - b * laid.sine;
                double v = a * laid.sine + b * laid.cosine;
                double one = first + u * along;
                double other = second + u * leaning + v * across;
                double weight = Math.exp(lnProbability.applyAsDouble(one, other) - atBest);
                sum += weight;
                points[i * GRID + j] = new double[] {one, other, weight};
            }
        }
        this.all = sum;
    }

    /** What follows from the two, as well as it is known. */
    public static final class Following {

        /** Value and weight, the lowest value first. */
        private final double[][] weighed;

        private final double all;

        private Following(double[][] weighed, double all) {
            this.weighed = weighed;
            this.all = all;
        }

        /**
         * The value that so much of the weight lies below.
         *
         * @param share 0 to 1
         * @return that value; between two points of the grid on a straight line, half of a point's weight below it
         */
        public double below(double share) {
            requireFinite("share", share);
            double below = 0;
            double lastBelow = 0;
            double last = weighed[0][0];
            for (double[] point : weighed) {
                double to = below + point[1] / 2;
                if (to >= share * all) {
                    double part = to == lastBelow ? 1 : (share * all - lastBelow) / (to - lastBelow);
                    return last + Math.max(0, part) * (point[0] - last);
                }
                below += point[1];
                lastBelow = to;
                last = point[0];
            }
            return last;
        }
    }

    /**
     * What follows from the two unknowns.
     *
     * @param figure how it follows from a pair
     * @return that, as well as it is known
     */
    public Following following(DoubleBinaryOperator figure) {
        requireNonNull(figure, "figure");
        double[][] weighed = new double[points.length][];
        for (int i = 0; i < points.length; i++) {
            weighed[i] = new double[] {figure.applyAsDouble(points[i][0], points[i][1]), points[i][2]};
        }
        Arrays.sort(weighed, Comparator.comparingDouble(point -> point[0]));
        return new Following(weighed, all);
    }
}
