package rosinedpeg.core.usual;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;

/**
 * What a string is made of, before it is cut for an instrument.
 *
 * @param core what is inside
 * @param winding what is wound round it
 * @param tensionN its tension at pitch, 10 to 450 N
 * @param diameterMm 0.15 to 4 mm
 * @param axialStiffnessN EA, what would stretch it to double its length, 500 to 80 000 N
 */
public record StringMake(StringCore core, Winding winding, double tensionN, double diameterMm, double axialStiffnessN) {

    /** How far the thickness follows the pitch; a heavier winding does the rest. */
    private static final double THICKNESS_BY_PITCH = -2.0 / 3;
    /** A string is another, lower one from so much of the frequency on. */
    private static final double LOWER = 0.9;

    /**
     * Checks every part.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range
     */
    public StringMake {
        requireNonNull(core, "core");
        requireNonNull(winding, "winding");
        StringSpec.TENSION.require("tensionN", tensionN);
        StringSpec.DIAMETER.require("diameterMm", diameterMm);
        StringSpec.AXIAL_STIFFNESS.require("axialStiffnessN", axialStiffnessN);
    }

    /** The same place with another core; a string of one steel wire stays what it is. */
    StringMake withCore(StringCore other) {
        if (core == other || core == StringCore.PLAIN_STEEL) {
            return this;
        }
        Nature from = nature(core);
        Nature to = nature(other);
        return new StringMake(
                other,
                winding,
                tensionN * to.tension / from.tension,
                diameterMm * to.thickness / from.thickness,
                axialStiffnessN * to.stiffness / from.stiffness);
    }

    /** The same for a vibrating length that is so many times as long. */
    StringMake forLength(double times) {
        return new StringMake(core, winding, tensionN * times, diameterMm / Math.sqrt(times), axialStiffnessN);
    }

    /** The same for a frequency that is so many times as high. */
    StringMake forFrequency(double times) {
        // Steel all through is not heavy enough for a string far below the others: it would have to be thicker still.
        Winding heavier = winding == Winding.STEEL && times < LOWER ? Winding.TUNGSTEN : winding;
        return new StringMake(
                core, heavier, tensionN, diameterMm * Math.pow(times, THICKNESS_BY_PITCH), axialStiffnessN);
    }

    /** At pitch a plastic core is stretched by some 3.3 %, steel ropes by some 1.2 %; gut gives way more easily than plastic. */
    private static Nature nature(StringCore core) {
        return switch (core) {
            case SYNTHETIC -> new Nature(1, 1, 1);
            case GUT -> new Nature(0.7, 1.05, 0.94);
            case ROPE_STEEL, PLAIN_STEEL -> new Nature(2.75, 0.88, 1);
        };
    }

    /**
     * What a core makes of a string, against one of plastic at the same place.
     *
     * @param stiffness how it resists stretching
     * @param thickness of the whole string
     * @param tension it is strung to
     */
    private record Nature(double stiffness, double thickness, double tension) {}
}
