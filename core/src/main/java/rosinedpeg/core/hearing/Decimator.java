package rosinedpeg.core.hearing;

/**
 * Takes every so-manyth sample, once everything too high for that has been filtered out: the partials that tell a string's pitch lie below
 * 5 kHz, and a quarter of the samples is a quarter of the work. The filter is a sinc with a Blackman window.
 */
final class Decimator {

    private static final double ENOUGH_PER_SECOND = 10_500;
    private static final int LOBES = 12;
    private static final double PASSES = 0.45;

    private final int factor;
    private final double[] taps;
    private final double[] last;
    private long taken;

    Decimator(double samplesPerSecond) {
        factor = Math.max(1, (int) (samplesPerSecond / ENOUGH_PER_SECOND));
        int half = factor == 1 ? 0 : LOBES * factor;
        taps = new double[2 * half + 1];
        last = new double[taps.length];
        double cut = PASSES / factor;
        double sum = 0;
        for (int i = -half; i <= half; i++) {
            double sinc = i == 0 ? 2 * cut : Math.sin(2 * Math.PI * cut * i) / (Math.PI * i);
            double turn = Math.PI * i / (half + 1);
            taps[i + half] = sinc * (0.42 + 0.5 * Math.cos(turn) + 0.08 * Math.cos(2 * turn));
            sum += taps[i + half];
        }
        for (int i = 0; i < taps.length; i++) {
            taps[i] /= sum;
        }
    }

    int factor() {
        return factor;
    }

    /** Takes a sample; true when that makes a new value. */
    boolean take(double sample) {
        last[(int) (taken % last.length)] = sample;
        taken++;
        return taken % factor == 0;
    }

    double value() {
        double value = 0;
        int at = (int) ((taken - 1) % last.length);
        int tap = 0;
        for (int i = at; i >= 0; i--) {
            value += taps[tap++] * last[i];
        }
        for (int i = last.length - 1; i > at; i--) {
            value += taps[tap++] * last[i];
        }
        return value;
    }
}
