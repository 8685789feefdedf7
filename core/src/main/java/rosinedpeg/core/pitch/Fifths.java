package rosinedpeg.core.pitch;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How wide the steps between open strings are tuned. Two strings a fifth apart share a tone, the third partial of the lower and the second
 * of the upper; where they are not quite alike, it beats as often a second as they differ in Hz. The same holds for the fourths of a
 * double bass, with the fourth and the third.
 */
public enum Fifths {
    /** As a piano has them: seven semitones, 2 cents narrow; they beat slowly. */
    TEMPERED,
    /** Three to two, without beats, as players tune by ear. */
    PURE;

    private static final int FIFTH = 7;
    private static final int FOURTH = 5;
    private static final int OCTAVE = 12;
    private static final int A = 69;

    /**
     * What open strings sound. The string that is an A is tuned to the reference, or where there is none the highest by equal steps from it;
     * the others follow from it, one after the other.
     *
     * @param open the strings, the highest first, at least one
     * @param a the reference
     * @return Hz for each, in the same order
     */
    public List<Double> hertz(List<Pitch> open, ReferenceA a) {
        requireNonNull(a, "a");
        int from = Math.max(
                0,
                open.stream()
                        .map(pitch -> Math.floorMod(pitch.midi() - A, OCTAVE) == 0)
                        .toList()
                        .indexOf(true));
        List<Double> hertz = new ArrayList<>(Collections.nCopies(open.size(), 0.0));
        hertz.set(from, open.get(from).frequencyHz(a));
        for (int i = from - 1; i >= 0; i--) {
            hertz.set(i, hertz.get(i + 1) * step(open.get(i + 1), open.get(i)));
        }
        for (int i = from + 1; i < open.size(); i++) {
            hertz.set(i, hertz.get(i - 1) / step(open.get(i), open.get(i - 1)));
        }
        return List.copyOf(hertz);
    }

    private double step(Pitch low, Pitch high) {
        int semitones = high.midi() - low.midi();
        int partial = sharedPartial(semitones);
        return this == TEMPERED || partial == 0 ? Math.pow(2, semitones / (double) OCTAVE) : partial / (partial - 1.0);
    }

    /** The partial of the lower string that the upper one shares with the one below: 3 of a fifth, 4 of a fourth, 0 of anything else. */
    private static int sharedPartial(int semitones) {
        return semitones == FIFTH ? 3 : semitones == FOURTH ? 4 : 0;
    }

    /**
     * How often two strings beat.
     *
     * @param low the lower string's note
     * @param lowHz what it sounds, in Hz
     * @param high the upper string's note
     * @param highHz what it sounds, in Hz
     * @return beats a second, 0 for a pure interval; empty where the two are neither a fifth nor a fourth apart
     */
    public static OptionalDouble beatsPerSecond(Pitch low, double lowHz, Pitch high, double highHz) {
        requireFinite("lowHz", lowHz);
        requireFinite("highHz", highHz);
        int partial = sharedPartial(high.midi() - low.midi());
        return partial == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.abs(partial * lowHz - (partial - 1) * highHz));
    }
}
