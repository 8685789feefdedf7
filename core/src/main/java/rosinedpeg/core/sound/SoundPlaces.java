package rosinedpeg.core.sound;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import rosinedpeg.core.estimate.Interval;

/**
 * Where kinds of string stand on one scale when they are on one instrument, from what was said of them there and on others.
 *
 * <p>One player's <i>bright</i> on a dark cello is not another's on a bright one, so no place is taken as it was said. What was said
 * is the sum of four things: where the instrument stands, whatever is on it; where the kind stands, whatever it is on; how far the two
 * together go another way; and how a judgement scatters. All four are taken as normal with the spreads below (the usual linear model
 * with random effects), the instruments' places are summed out, and what is left is known as well as the records allow: few of them
 * leave wide intervals, none the whole of what kinds can be. What was said on this very instrument says more than the same said
 * elsewhere. Kinds of which much was said on the same instruments are told apart best.
 *
 * @param <K> what kinds are known by
 */
public final class SoundPlaces<K> {

    /** How far kinds differ, as a standard deviation in places of a scale; like all four a default of our own. */
    static final double KINDS = 0.8;

    /** How far instruments differ. */
    static final double INSTRUMENTS = 0.7;

    /** How far a kind goes another way on one instrument. */
    static final double TOGETHER = 0.35;

    /** How far one judgement scatters. */
    static final double JUDGEMENT = 0.6;

    /** So many standard deviations hold nine cases in ten. */
    private static final double NINE_IN_TEN = 1.6448536269514722;

    private static final NormalDistribution NORMAL = new NormalDistribution();

    private final Map<K, Known> kinds = new HashMap<>();

    private final double[] best;
    /** The lower triangle whose square, by Cholesky, is the precision of the unknowns. */
    private final double[][] triangle;

    /**
     * How often a kind was spoken of.
     *
     * @param here on this instrument
     * @param elsewhere on others
     */
    public record Count(int here, int elsewhere) {

        /** {@return how often altogether} */
        public int all() {
            return here + elsewhere;
        }
    }

    /** A kind that was spoken of, and where it stands among the unknowns. */
    private static final class Known {
        /** Index of its own place. */
        private final int index;
        /** Index of how far it goes another way on this instrument; below 0 where it was not heard on it. */
        private int together = -1;

        private int here;
        private int elsewhere;

        private Known(int index) {
            this.index = index;
        }
    }

    /** What was said of one kind on one instrument. */
    private static final class Pair {
        private final Known kind;
        private int times;
        private double sum;

        private Pair(Known kind) {
            this.kind = kind;
        }

        /** {@return the pair of a kind among those of an instrument, which has no more than a handful} */
        private static Pair of(List<Pair> pairs, Known kind) {
            for (Pair pair : pairs) {
                if (pair.kind == kind) {
                    return pair;
                }
            }
            Pair first = new Pair(kind);
            pairs.add(first);
            return first;
        }
    }

    private <I> SoundPlaces(Collection<Said<K, I>> said, I instrument) {
        requireNonNull(instrument, "instrument");
        Map<I, List<Pair>> byInstrument = new HashMap<>();
        for (Said<K, I> one : said) {
            Known kind = kinds.computeIfAbsent(one.kind(), none -> new Known(kinds.size()));
            Pair pair = Pair.of(byInstrument.computeIfAbsent(one.instrument(), none -> new ArrayList<>()), kind);
            pair.times++;
            pair.sum += one.place();
            if (one.instrument().equals(instrument)) {
                kind.here++;
            } else {
                kind.elsewhere++;
            }
        }
        int unknowns = kinds.size();
        for (Pair pair : byInstrument.getOrDefault(instrument, List.of())) {
            pair.kind.together = unknowns++;
        }
        double[][] precision = new double[unknowns][unknowns];
        double[] pull = new double[unknowns];
        kinds.values().forEach(kind -> {
            precision[kind.index][kind.index] = 1 / square(KINDS);
            if (kind.together >= 0) {
                precision[kind.together][kind.together] = 1 / square(TOGETHER);
            }
        });
        byInstrument.forEach((on, pairs) -> add(precision, pull, pairs, on.equals(instrument)));
        if (unknowns == 0) {
            best = new double[0];
            triangle = new double[0][0];
        } else {
            CholeskyDecomposition decomposed = new CholeskyDecomposition(new Array2DRowRealMatrix(precision, false));
            triangle = decomposed.getL().getData();
            best = decomposed
                    .getSolver()
                    .solve(new ArrayRealVector(pull, false))
                    .toArray();
        }
    }

    /**
     * Works out where kinds stand.
     *
     * @param said what was said of strings for one place on instruments of one family
     * @param instrument the instrument that is asked about
     * @return where they stand on it
     */
    public static <K, I> SoundPlaces<K> of(Collection<Said<K, I>> said, I instrument) {
        return new SoundPlaces<>(said, instrument);
    }

    /** Adds what was said on one instrument, with the place of that instrument summed out. */
    private static void add(double[][] precision, double[] pull, List<Pair> pairs, boolean onThis) {
        int[] columns = new int[pairs.size() * (onThis ? 2 : 1)];
        double[] weights = new double[columns.length];
        double all = 0;
        double allSaid = 0;
        int filled = 0;
        for (Pair pair : pairs) {
            double weight = 1 / ((onThis ? 0 : square(TOGETHER)) + square(JUDGEMENT) / pair.times);
            double said = pair.sum / pair.times;
            all += weight;
            allSaid += weight * said;
            int own = pair.kind.index;
            columns[filled] = own;
            weights[filled++] = weight;
            pull[own] += weight * said;
            precision[own][own] += weight;
            if (onThis) {
                int together = pair.kind.together;
                columns[filled] = together;
                weights[filled++] = weight;
                pull[together] += weight * said;
                precision[together][together] += weight;
                precision[own][together] += weight;
                precision[together][own] += weight;
            }
        }
        double ofInstrument = 1 / square(INSTRUMENTS) + all;
        for (int i = 0; i < columns.length; i++) {
            pull[columns[i]] -= weights[i] * allSaid / ofInstrument;
            for (int j = 0; j < columns.length; j++) {
                precision[columns[i]][columns[j]] -= weights[i] * weights[j] / ofInstrument;
            }
        }
    }

    /** {@return how many numbers it keeps, as whoever keeps many of these wants to know} */
    public int numbers() {
        return best.length * (best.length + 1);
    }

    /** {@return how often a kind was spoken of} */
    public Count count(K kind) {
        requireNonNull(kind, "kind");
        Known known = kinds.get(kind);
        return known == null ? new Count(0, 0) : new Count(known.here, known.elsewhere);
    }

    /**
     * How far one kind lies from another on this instrument, in places of the scale, above 0 towards its second word.
     *
     * @param kind the one
     * @param from the other
     * @return that, with the interval it lies in nine times in ten; of the same kind 0
     */
    public Interval difference(K kind, K from) {
        requireNonNull(kind, "kind");
        requireNonNull(from, "from");
        if (kind.equals(from)) {
            return new Interval(0, 0, 0);
        }
        double spread = spread(kind, from);
        double middle = middle(kind) - middle(from);
        return new Interval(middle - NINE_IN_TEN * spread, middle, middle + NINE_IN_TEN * spread);
    }

    /**
     * How probable it is that one kind lies so far from another on this instrument.
     *
     * @param kind the one
     * @param from the other
     * @param atLeast from so far on, in places of the scale
     * @param atMost to so far, not below {@code atLeast}
     * @return 0 to 1
     */
    public double chance(K kind, K from, double atLeast, double atMost) {
        requireNonNull(kind, "kind");
        requireNonNull(from, "from");
        requireFinite("atLeast", atLeast);
        requireFinite("atMost", atMost);
        if (atLeast > atMost) {
            throw new IllegalArgumentException("atLeast is " + atLeast + "; it must not be above atMost, " + atMost);
        }
        if (kind.equals(from)) {
            return atLeast <= 0 && 0 <= atMost ? 1 : 0;
        }
        double spread = spread(kind, from);
        double middle = middle(kind) - middle(from);
        return Math.max(
                0,
                NORMAL.cumulativeProbability((atMost - middle) / spread)
                        - NORMAL.cumulativeProbability((atLeast - middle) / spread));
    }

    private double middle(K kind) {
        Known known = kinds.get(kind);
        return known == null ? 0 : best[known.index] + (known.together < 0 ? 0 : best[known.together]);
    }

    /** The variance of what is asked for is the square of what solves the triangle for it; the inverse is never needed whole. */
    private double spread(K kind, K from) {
        double[] solved = new double[best.length];
        double variance = ask(solved, kind, 1) + ask(solved, from, -1);
        int first = 0;
        while (first < solved.length && solved[first] == 0) {
            first++;
        }
        for (int row = first; row < solved.length; row++) {
            double left = solved[row];
            double[] weights = triangle[row];
            for (int column = first; column < row; column++) {
                left -= weights[column] * solved[column];
            }
            solved[row] = left / weights[row];
            variance += square(solved[row]);
        }
        return Math.sqrt(requireFinite("variance", variance));
    }

    /** Asks for a kind; the variance of what nothing was said of is given back: the kind itself, how it goes on this instrument. */
    private double ask(double[] solved, K kind, int sign) {
        Known known = kinds.get(kind);
        if (known == null) {
            return square(KINDS) + square(TOGETHER);
        }
        solved[known.index] += sign;
        if (known.together < 0) {
            return square(TOGETHER);
        }
        solved[known.together] += sign;
        return 0;
    }

    private static double square(double number) {
        return number * number;
    }
}
