package rosinedpeg.core.pitch;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * The frequency of the A above middle C that everything is tuned to.
 *
 * @param hertz 392 to 466 Hz
 */
public record ReferenceA(double hertz) {

    /** What is allowed: from a whole tone below 440 Hz to a semitone above. */
    public static final Range RANGE = new Range(392, 466, Unit.HERTZ);

    /** 440 Hz. */
    public static final ReferenceA STANDARD = new ReferenceA(440);

    /**
     * Checks the frequency.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException outside 392 to 466 Hz
     */
    public ReferenceA {
        requireFinite("hertz", hertz);
        RANGE.require("referenceAHz", hertz);
    }
}
