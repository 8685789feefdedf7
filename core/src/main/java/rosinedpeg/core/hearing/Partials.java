package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.hearing.Spectrum.Peak;

/**
 * The peaks that belong to one string, taken for its partials 1, 2, 3…: those of a stiff string lie at {@code n·f·√(1 + B·n²)}
 * (Fletcher, 1964), so that {@code (fₙ/n)²} is a straight line over {@code n²}. It is laid through them with weights by how
 * clearly each stands out, and again with less weight for what lies off it (Beaton and Tukey, 1974), as a neighbour's partial does.
 */
final class Partials {

    /** Higher ones say little more of the pitch. */
    private static final int MOST = 16;
    /** Where a partial is looked for: as far as the window blurs, or as a string may be false. */
    private static final double BLUR_BINS = 0.8;

    private static final double FALSE_SHARE = 0.008;
    private static final double OTHERS_SHARE = 0.3;
    /** No first guess is off by more. */
    private static final double OFF_SHARE = 0.03;
    /** Partials of a real string lie off the line by about half a cent. */
    private static final double OFF_LINE = 3e-4;
    /** How far a peak is found from where it is, as a share of a bin, where it stands no higher than what is round it. */
    private static final double FOUND_BINS = 0.35;
    /** Stiffness is near zero unless the partials say otherwise, and never beyond the most. */
    private static final double USUAL_STIFFNESS = 2e-4;

    private static final double MOST_STIFFNESS = 1.2e-3;
    private static final double FAR_OFF = 4;
    private static final double SPREAD_OF_MEDIAN = 1.48;
    private static final int ROUNDS = 6;
    private static final double CENTS_PER_SHARE = 1200 / Math.log(2);
    /** Round each partial is looked so many times as far as a sound wavers, at most so far, and never as far as to the next. */
    private static final double WAVERS = 8;

    private static final double WIDEST_SHARE = 0.02;
    private static final double NEIGHBOURS_SHARE = 0.45;
    /** And about as wide at least as the window makes a pure tone. */
    private static final double NARROWEST_BINS = 0.6;

    private static final int MIDDLE_ROUNDS = 12;
    /** What moves by less than a ten-thousandth of a cent stands. */
    private static final double STANDS_SHARE = 5e-8;

    /** A partial so many times as far off as is usual counts half; and nearer than this is near. */
    private static final double USUALLY_FAR = 2;

    private static final double LEAST_FAR_HZ = 1e-5;
    /** What a score owes to there being no gaps among the partials; the rest, to there being nothing beside them. */
    private static final double WHOLE = 0.65;

    private final @Nullable Peak[] peaks;
    private double fundamentalHz;
    private double stiffness;
    private double errorCents;

    private Partials(double first, int most) {
        peaks = new Peak[most + 1];
        fundamentalHz = first;
    }

    /**
     * The partials of a string that sounds about so.
     *
     * @param first about what, in Hz
     * @param all every peak
     * @param highestHz where hearing ends
     * @param resolutionHz how far apart two peaks have to lie
     */
    static Partials of(double first, List<Peak> all, double highestHz, double resolutionHz) {
        Partials partials = new Partials(first, (int) Math.max(1, Math.min(MOST, highestHz / first)));
        for (int n = 1; n < partials.peaks.length; n++) {
            Peak nearest = partials.near(n, all, resolutionHz);
            if (nearest != null) {
                partials.peaks[n] = nearest;
                partials.fit(resolutionHz, 1);
                if (Math.abs(Math.log(partials.fundamentalHz / first)) > OFF_SHARE) {
                    partials.fundamentalHz = first;
                    partials.stiffness = 0;
                }
            }
        }
        partials.fit(resolutionHz, ROUNDS);
        return partials;
    }

    private @Nullable Peak near(int n, List<Peak> all, double resolutionHz) {
        double expected = partialHz(n);
        double within =
                Math.min(fundamentalHz * OTHERS_SHARE, Math.max(resolutionHz * BLUR_BINS, expected * FALSE_SHARE));
        Peak loudest = null;
        for (Peak peak : all) {
            boolean near = Math.abs(peak.hertz() - expected) <= within;
            if (near && (loudest == null || peak.amplitude() > loudest.amplitude())) {
                loudest = peak;
            }
        }
        return loudest;
    }

    private double partialHz(int n) {
        return n * fundamentalHz * Math.sqrt(1 + stiffness * n * n);
    }

    private List<Integer> numbers() {
        List<Integer> numbers = new ArrayList<>();
        for (int n = 1; n < peaks.length; n++) {
            if (peaks[n] != null) {
                numbers.add(n);
            }
        }
        return numbers;
    }

    private void fit(double resolutionHz, int rounds) {
        List<Integer> numbers = numbers();
        int count = numbers.size();
        if (count == 0) {
            return;
        }
        double[] squares = new double[count];
        double[] values = new double[count];
        double[] weights = new double[count];
        double scale = 0;
        for (int i = 0; i < count; i++) {
            int n = numbers.get(i);
            Peak peak = peaks[n];
            double each = peak.hertz() / n;
            scale = scale == 0 ? each * each : scale;
            squares[i] = (double) n * n;
            values[i] = each * each / scale;
            weights[i] = weight(peak, resolutionHz);
        }
        double[] trust = new double[count];
        Arrays.fill(trust, 1);
        for (int round = 0; round < rounds; round++) {
            line(squares, values, weights, trust, scale);
            judge(squares, values, weights, trust, scale);
        }
    }

    /** A straight line, weighted; its slope held to what strings have. */
    private void line(double[] squares, double[] values, double[] weights, double[] trust, double scale) {
        double w = 0;
        double wx = 0;
        double wy = 0;
        double wxx = 0;
        double wxy = 0;
        for (int i = 0; i < squares.length; i++) {
            double weight = weights[i] * trust[i];
            w += weight;
            wx += weight * squares[i];
            wy += weight * values[i];
            wxx += weight * squares[i] * squares[i];
            wxy += weight * squares[i] * values[i];
        }
        wxx += 1 / (USUAL_STIFFNESS * USUAL_STIFFNESS);
        double slope = squares.length < 3 ? 0 : (w * wxy - wx * wy) / (w * wxx - wx * wx);
        slope = Math.max(0, Math.min(MOST_STIFFNESS, slope));
        double start = (wy - slope * wx) / w;
        fundamentalHz = Math.sqrt(start * scale);
        stiffness = slope / start;
    }

    /** What lies far off the line counts less from now on. */
    private void judge(double[] squares, double[] values, double[] weights, double[] trust, double scale) {
        double start = fundamentalHz * fundamentalHz / scale;
        double[] off = new double[squares.length];
        for (int i = 0; i < off.length; i++) {
            off[i] = Math.abs(values[i] / (start * (1 + stiffness * squares[i])) - 1) / 2;
        }
        double[] sorted = off.clone();
        Arrays.sort(sorted);
        double usual = Math.max(OFF_LINE, SPREAD_OF_MEDIAN * sorted[off.length / 2]);
        double sum = 0;
        double sumOfSquares = 0;
        double misses = 0;
        for (int i = 0; i < off.length; i++) {
            double far = off[i] / (FAR_OFF * usual);
            trust[i] = off.length < 3 ? 1 : far >= 1 ? 1e-6 : (1 - far * far) * (1 - far * far);
            double weight = weights[i] * trust[i];
            sum += weight;
            sumOfSquares += weight * weight;
            misses += weight * off[i] * off[i];
        }
        double independent = Math.max(0.5, sum * sum / sumOfSquares - 1);
        errorCents = Math.sqrt(misses / sum / independent) * CENTS_PER_SHARE;
    }

    /** How well the line is known, in cents. */
    double errorCents() {
        return errorCents;
    }

    /** How many were found. */
    int count() {
        return numbers().size();
    }

    double power() {
        return numbers().stream()
                .mapToDouble(n -> peaks[n].amplitude() * peaks[n].amplitude())
                .sum();
    }

    /** How the string rang; empty where its partials are too few for a line and what lies off it. */
    Optional<Ringing> ringing(double resolutionHz) {
        List<Integer> numbers = numbers();
        if (numbers.size() < Ringing.PARTIALS.low()) {
            return Optional.empty();
        }
        double weights = 0;
        double misses = 0;
        for (int n : numbers) {
            Peak peak = requireNonNull(peaks[n]);
            double off = peak.hertz() / partialHz(n) - 1;
            double weight = weight(peak, resolutionHz);
            weights += weight;
            misses += weight * off * off;
        }
        double free = (double) numbers.size() / (numbers.size() - 2);
        double scatterCents = Math.sqrt(misses / weights * free) * CENTS_PER_SHARE;
        return Optional.of(
                new Ringing(Ringing.STIFFNESS.clamp(stiffness), Ringing.SCATTER.clamp(scatterCents), numbers.size()));
    }

    /** What a partial is worth: how well its peak is found, and how far partials of a real string lie off the line anyway. */
    private static double weight(Peak peak, double resolutionHz) {
        double found = resolutionHz * FOUND_BINS / Math.max(1, peak.overFloor()) / peak.hertz();
        return 1 / (found * found + OFF_LINE * OFF_LINE);
    }

    double fundamentalHz() {
        return fundamentalHz;
    }

    /** How many could be found, up to three: a high string has no more. */
    int enough() {
        return Math.min(3, peaks.length - 1);
    }

    /**
     * How well they explain what sounds: how much of it they are, and how few are missing up to the highest. An octave too low half of
     * them are missing, an octave too high half of what sounds is left over.
     *
     * @param all every peak
     * @return 0 to 1
     */
    double score(List<Peak> all) {
        Set<Peak> own = new HashSet<>();
        double found = 0;
        double possible = 0;
        List<Integer> numbers = numbers();
        int highest = numbers.isEmpty() ? 0 : Math.max(enough(), numbers.get(numbers.size() - 1));
        for (int n = 1; n <= highest; n++) {
            double weight = 1 / Math.sqrt(n);
            possible += weight;
            if (peaks[n] != null) {
                found += weight;
                own.add(peaks[n]);
            }
        }
        double everything = all.stream().mapToDouble(Peak::amplitude).sum();
        double ours = own.stream().mapToDouble(Peak::amplitude).sum();
        return everything == 0 || possible == 0 ? 0 : ours / everything * (1 - WHOLE + WHOLE * found / possible);
    }

    /**
     * The lowest partial, where all of them together are strongest: that moves smoothly with what sounds, as the single peaks do not when
     * they tremble.
     */
    double pitchHz(Spectrum spectrum) {
        List<Integer> numbers = numbers();
        int highest = numbers.get(numbers.size() - 1);
        double wide = Math.min(0.02, 0.9 * spectrum.resolutionHz() / fundamentalHz / highest + 6e-4);
        double at = fundamentalHz;
        for (int round = 0; round < 3; round++) {
            at = strongest(spectrum, numbers, at, wide / 8);
            wide /= 3;
        }
        return at * Math.sqrt(1 + stiffness);
    }

    /**
     * The lowest partial, where the middle of all of them together lies: the mean of what sounds round each, weighted by its power (mean
     * shift; Cheng, 1995). Over a stretch that holds several beats of players together, or swings of vibrato, that is one pitch where a peak
     * would be any of several.
     *
     * @param spectrum of a long stretch
     * @param spreadCents how far its short stretches lie apart: the further, the wider is looked round each partial
     */
    double middleHz(Spectrum spectrum, double spreadCents) {
        double windowHz = NARROWEST_BINS * spectrum.resolutionHz();
        double spread = Math.min(WIDEST_SHARE, WAVERS * spreadCents / CENTS_PER_SHARE);
        // What was not found among them sounds faintly, and counts as little; left out, it would be missing all at
        // once.
        int highest = numbers().get(numbers().size() - 1);
        double[] trust = new double[highest + 1];
        Arrays.fill(trust, 1);
        double at = fundamentalHz;
        double byHz = at;
        for (int round = 0; round < MIDDLE_ROUNDS && Math.abs(byHz) > at * STANDS_SHARE; round++) {
            double[] weights = new double[highest + 1];
            double[] offHz = new double[highest + 1];
            double trusted = 0;
            double sum = 0;
            for (int n = 1; n <= highest; n++) {
                double times = n * Math.sqrt(1 + stiffness * n * n);
                double wideHz = Math.hypot(windowHz, spread * times * at);
                Spectrum.Round near = spectrum.round(times * at, wideHz, NEIGHBOURS_SHARE * at);
                weights[n] = near.power() * Math.pow(times / wideHz, 2);
                offHz[n] = near.offHz() / times;
                trusted += trust[n] * weights[n];
                sum += trust[n] * weights[n] * offHz[n];
            }
            byHz = trusted == 0 ? 0 : sum / trusted;
            at += byHz;
            if (highest > 2) {
                trust(trust, weights, offHz, byHz);
            }
        }
        return at * Math.sqrt(1 + stiffness);
    }

    /**
     * A partial beside which something else sounds is drawn to it: the further from the middle of all, set against what is usual among
     * them, the less it counts from now on, and never nothing (Cauchy's weights).
     */
    private static void trust(double[] trust, double[] weights, double[] offHz, double middleHz) {
        double[] farHz =
                Arrays.stream(offHz).map(off -> Math.abs(off - middleHz)).toArray();
        double usualHz = Math.max(LEAST_FAR_HZ, usual(weights, farHz));
        for (int n = 1; n < trust.length; n++) {
            double far = farHz[n] / (USUALLY_FAR * usualHz);
            trust[n] = 1 / (1 + far * far);
        }
    }

    /** So far lies half of them, by weight, or less. */
    private static double usual(double[] weights, double[] farHz) {
        int[] byFar = IntStream.range(1, weights.length)
                .boxed()
                .sorted(Comparator.comparingDouble(n -> farHz[n]))
                .mapToInt(Integer::intValue)
                .toArray();
        double left = Arrays.stream(weights).sum() / 2;
        int i = 0;
        while (i < byFar.length - 1 && left > weights[byFar[i]]) {
            left -= weights[byFar[i]];
            i++;
        }
        return farHz[byFar[i]];
    }

    private double strongest(Spectrum spectrum, List<Integer> numbers, double middle, double step) {
        double[] power = new double[17];
        int best = 0;
        for (int i = 0; i < power.length; i++) {
            double tried = middle * (1 + (i - 8) * step);
            for (int n : numbers) {
                double amplitude = spectrum.at(n * tried * Math.sqrt(1 + stiffness * n * n));
                power[i] += amplitude * amplitude;
            }
            best = power[i] > power[best] ? i : best;
        }
        double off = 0;
        if (best > 0 && best < power.length - 1) {
            double bends = power[best - 1] - 2 * power[best] + power[best + 1];
            off = bends == 0 ? 0 : (power[best - 1] - power[best + 1]) / (2 * bends);
        }
        return middle * (1 + (best - 8 + off) * step);
    }
}
