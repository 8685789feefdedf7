package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/**
 * What a recording of somebody who tunes tells of each string: how it was found, which is its first reading, and how it was left, which is its
 * last. What lies between is tuning.
 *
 * <p>Samples go in one stretch after the other. It keeps the readings and nothing of the sound; it belongs to one thread, as an {@link Ear} does.
 */
public final class RecordedTuning {

    private final Ear ear;
    private final HandsFree minds = new HandsFree(Optional.empty(), Map.of());
    private final Map<Position, Tuned> tuned = new EnumMap<>(Position.class);
    private double lastSeconds;

    /**
     * Begins with a recording.
     *
     * @param awaited the strings that are tuned
     * @param samplesPerSecond of the recording, 8000 to 48 000
     * @throws rosinedpeg.core.figure.OutOfRangeException when that is outside its range
     */
    public RecordedTuning(Awaited awaited, double samplesPerSecond) {
        ear = new Ear(awaited, samplesPerSecond);
    }

    /**
     * A string of a recording.
     *
     * @param foundAtSeconds when it was read first, from the beginning of the recording
     * @param found how far from its pitch it was then
     * @param leftAtSeconds when it was read last
     * @param left how far from its pitch it was then
     * @param readings how often it was read
     */
    public record Tuned(double foundAtSeconds, Cents found, double leftAtSeconds, Cents left, int readings) {

        /**
         * Checks the figures.
         *
         * @throws IllegalArgumentException when a time is no number, or it was never read
         */
        public Tuned {
            requireFinite("foundAtSeconds", foundAtSeconds);
            requireNonNull(found, "found");
            requireFinite("leftAtSeconds", leftAtSeconds);
            requireNonNull(left, "left");
            if (readings < 1) {
                throw new IllegalArgumentException("readings is " + readings + "; at least 1");
            }
        }

        /** {@return whether it was brought to its pitch: moved by more than counts as at pitch, and left at pitch or a little over} */
        public boolean retuned() {
            PitchJudgement judged = PitchJudgement.of(left.value());
            return Math.abs(left.value() - found.value()) > PitchJudgement.TOLERANCE_CENTS
                    && (judged == PitchJudgement.AT_PITCH || judged == PitchJudgement.A_LITTLE_OVER);
        }

        private Tuned andLeft(double atSeconds, Cents cents) {
            return new Tuned(foundAtSeconds, found, atSeconds, cents, readings + 1);
        }
    }

    /**
     * Takes the next samples.
     *
     * @param samples −1 to 1, up to {@link Ear#MOST_SAMPLES}
     * @throws IllegalArgumentException when there are too many, or one is no number
     */
    public void hear(double[] samples) {
        for (Hearing hearing : ear.hear(samples)) {
            lastSeconds = hearing.atSeconds();
            for (HandsFree.Notice notice : minds.take(hearing).notices()) {
                if (notice instanceof HandsFree.Notice.Read read) {
                    read(read);
                }
            }
        }
    }

    private void read(HandsFree.Notice.Read read) {
        Tuned before = tuned.get(read.string());
        tuned.put(
                read.string(),
                before == null
                        ? new Tuned(lastSeconds, read.cents(), lastSeconds, read.cents(), 1)
                        : before.andLeft(lastSeconds, read.cents()));
    }

    /** {@return the strings that were heard, as they were found and left} */
    public Map<Position, Tuned> strings() {
        return Map.copyOf(tuned);
    }
}
