package rosinedpeg.core.hearing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import org.jspecify.annotations.Nullable;

/**
 * How much of each frequency is in a stretch of sound, and which of them stand out as peaks. The stretch is weighted with a Hann window and
 * lengthened with zeros to at least twice its length, so that a parabola through the logarithms of three neighbours finds a peak to some
 * thousandths of a bin (Smith and Serra, 1987).
 */
final class Spectrum {

    /** A peak stands so much over the middle of what is round it: of noise alone one bin in 60 000 does. */
    private static final double OVER_FLOOR = 4;
    /** And is no less than so much of the loudest. */
    private static final double LEAST = 1e-3;
    /** What was there before a string was plucked belongs to the room unless it has grown by so much. */
    private static final double GROWN = 1.8;
    /** The middle is taken of so many bins, zeros not counted. */
    private static final double BINS_ROUND = 60;
    /** The side lobes of a Hann window: the first is 31 dB down, 2.5 bins away; beyond it they fall with the cube. */
    private static final double LOBE = 0.05;

    private static final double BELL_ENDS = 3;
    private static final double LENGTHENED = 2;
    private static final double LOBE_BINS = 2.5;
    private static final double MAIN_LOBE_BINS = 1.5;
    private static final double LOBES_END_BINS = 60;

    private final double[] amplitudes;
    private final double hertzPerBin;
    private final double zeros;

    /**
     * A frequency that stands out.
     *
     * @param hertz which
     * @param amplitude how strong
     * @param overFloor how strong against what is round it
     */
    record Peak(double hertz, double amplitude, double overFloor) {}

    private Spectrum(double[] amplitudes, double hertzPerBin, double zeros) {
        this.amplitudes = amplitudes;
        this.hertzPerBin = hertzPerBin;
        this.zeros = zeros;
    }

    static Spectrum of(double[] values, double valuesPerSecond) {
        int count = values.length;
        int length = 2 * Integer.highestOneBit((int) Math.ceil(LENGTHENED * count) - 1);
        double[] window = hann(count);
        double weights = 0;
        double sum = 0;
        for (int i = 0; i < count; i++) {
            weights += window[i];
            sum += window[i] * values[i];
        }
        double[][] data = new double[2][length / 2];
        for (int i = 0; i < count; i++) {
            data[i % 2][i / 2] = (values[i] - sum / weights) * window[i];
        }
        FastFourierTransformer.transformInPlace(data, DftNormalization.STANDARD, TransformType.FORWARD);
        return new Spectrum(amplitudes(data, 2 / weights), valuesPerSecond / length, (double) length / count);
    }

    /**
     * Parts the transforms of the even and of the odd values, which were transformed together as the real and the imaginary parts of half as
     * many: that takes half the time (Press and others, Numerical Recipes, 12.3).
     */
    private static double[] amplitudes(double[][] data, double scale) {
        int half = data[0].length;
        double[] amplitudes = new double[half];
        double step = Math.PI / half;
        for (int bin = 0; bin < half; bin++) {
            int other = bin == 0 ? 0 : half - bin;
            double evenRe = (data[0][bin] + data[0][other]) / 2;
            double evenIm = (data[1][bin] - data[1][other]) / 2;
            double oddRe = (data[1][bin] + data[1][other]) / 2;
            double oddIm = (data[0][other] - data[0][bin]) / 2;
            double cos = Math.cos(step * bin);
            double sin = Math.sin(step * bin);
            double re = evenRe + cos * oddRe + sin * oddIm;
            double im = evenIm + cos * oddIm - sin * oddRe;
            amplitudes[bin] = scale * Math.sqrt(re * re + im * im);
        }
        return amplitudes;
    }

    /** Each cosine follows from the two before it. */
    private static double[] hann(int count) {
        double step = 2 * Math.PI / count;
        double turn = 2 * Math.cos(step);
        double before = Math.cos(-step / 2);
        double now = Math.cos(step / 2);
        double[] window = new double[count];
        for (int i = 0; i < count; i++) {
            window[i] = 0.5 - 0.5 * now;
            double next = turn * now - before;
            before = now;
            now = next;
        }
        return window;
    }

    /** How wide a bin would be without zeros: what two frequencies have to lie apart, and more, to be told apart. */
    double resolutionHz() {
        return hertzPerBin * zeros;
    }

    /** What there is of a frequency, between bins too. */
    double at(double hertz) {
        double place = hertz / hertzPerBin;
        int bin = (int) Math.round(place);
        if (bin < 1 || bin >= amplitudes.length - 1) {
            return 0;
        }
        double low = log(bin - 1);
        double middle = log(bin);
        double high = log(bin + 1);
        double off = place - bin;
        return Math.exp(middle + off * (high - low) / 2 + off * off * (low - 2 * middle + high) / 2);
    }

    /**
     * What lies round a frequency, the nearer the more of it.
     *
     * @param power how much
     * @param offHz how far its mean lies from there
     */
    record Round(double power, double offHz) {}

    /**
     * What lies round a frequency, weighted by a bell.
     *
     * @param hertz which
     * @param wideHz the standard deviation of the bell, which is left off after three
     * @param mostHz no further than this
     */
    Round round(double hertz, double wideHz, double mostHz) {
        double half = Math.min(BELL_ENDS * wideHz, mostHz);
        int from = (int) Math.max(1, Math.floor((hertz - half) / hertzPerBin));
        int to = (int) Math.min(amplitudes.length - 1, Math.ceil((hertz + half) / hertzPerBin));
        double power = 0;
        double sum = 0;
        for (int bin = from; bin <= to; bin++) {
            double off = bin * hertzPerBin - hertz;
            double weight = amplitudes[bin] * amplitudes[bin] * Math.exp(-off * off / (2 * wideHz * wideHz));
            power += weight;
            sum += weight * off;
        }
        return new Round(power, power == 0 ? 0 : sum / power);
    }

    private double log(int bin) {
        return Math.log(amplitudes[bin] + 1e-15);
    }

    private double mostRound(double hertz) {
        int bin = (int) Math.round(hertz / hertzPerBin);
        int round = (int) Math.ceil(zeros);
        double most = 0;
        for (int k = Math.max(0, bin - round); k <= Math.min(amplitudes.length - 1, bin + round); k++) {
            most = Math.max(most, amplitudes[k]);
        }
        return most;
    }

    /**
     * The peaks.
     *
     * @param lowestHz from
     * @param highestHz to
     * @param before what sounded before; null where that is not known
     * @return them, the lowest first
     */
    List<Peak> peaks(double lowestHz, double highestHz, @Nullable Spectrum before) {
        double[] floor = floor();
        double loudest = Arrays.stream(amplitudes).max().orElse(0);
        List<Peak> found = new ArrayList<>();
        int last = Math.min(amplitudes.length - 2, (int) (highestHz / hertzPerBin));
        for (int bin = Math.max(1, (int) (lowestHz / hertzPerBin)); bin <= last; bin++) {
            double here = amplitudes[bin];
            boolean top = here > amplitudes[bin - 1] && here >= amplitudes[bin + 1];
            if (!top || here < LEAST * loudest) {
                continue;
            }
            double round = Math.max(floorAt(floor, bin), 1e-15);
            if (here < OVER_FLOOR * round) {
                continue;
            }
            double off = (log(bin - 1) - log(bin + 1)) / (2 * (log(bin - 1) - 2 * log(bin) + log(bin + 1)));
            double hertz = (bin + off) * hertzPerBin;
            if (before == null || here >= GROWN * before.mostRound(hertz)) {
                found.add(new Peak(hertz, here, here / round));
            }
        }
        return found.stream()
                .filter(peak -> found.stream().noneMatch(louder -> isLobe(peak, louder)))
                .toList();
    }

    /** Whether a peak is no more than what the window makes of a louder one. */
    private boolean isLobe(Peak peak, Peak louder) {
        double bins = Math.abs(louder.hertz() - peak.hertz()) / resolutionHz();
        if (louder.amplitude() <= peak.amplitude() || bins > LOBES_END_BINS) {
            return false;
        }
        double lobe = bins < MAIN_LOBE_BINS ? 0.5 : LOBE * Math.pow(LOBE_BINS / Math.max(bins, 2), 3);
        return peak.amplitude() < louder.amplitude() * lobe;
    }

    private int block() {
        return Math.max(1, (int) (BINS_ROUND * zeros));
    }

    private double[] floor() {
        int block = block();
        int every = (int) zeros;
        double[] floor = new double[Math.max(1, amplitudes.length / block)];
        double[] part = new double[(block + every - 1) / every];
        for (int i = 0; i < floor.length; i++) {
            int count = 0;
            // The zeros add nothing that is not in every other bin.
            for (int bin = i * block; bin < Math.min(amplitudes.length, (i + 1) * block); bin += every) {
                part[count++] = amplitudes[bin];
            }
            Arrays.sort(part, 0, count);
            floor[i] = part[count / 2];
        }
        return floor;
    }

    private double floorAt(double[] floor, int bin) {
        double at = Math.max(0, Math.min(floor.length - 1, (bin - block() / 2.0) / block()));
        int low = (int) at;
        int high = Math.min(floor.length - 1, low + 1);
        return floor[low] + (at - low) * (floor[high] - floor[low]);
    }
}
