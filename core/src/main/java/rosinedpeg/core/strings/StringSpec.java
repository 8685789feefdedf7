package rosinedpeg.core.strings;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Arrays;
import java.util.Set;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;

/**
 * A kind of string as its maker describes it. Tension holds at the design length and at the nominal pitch with A at
 * 440 Hz; {@link #tensionN} works it out for another instrument.
 *
 * @param position where it belongs
 * @param core what it is made of inside
 * @param winding what is wound round it
 * @param end how its tail end is finished
 * @param nominalPitch the pitch it is made for
 * @param designLengthMm the vibrating length it is made for, 180 to 1200 mm
 * @param tensionN tension at that length and pitch, 10 to 450 N
 * @param diameterMm 0.15 to 4 mm
 * @param axialStiffnessN EA, the force that would stretch it to double its length, 500 to 80 000 N
 * @param tailSilkEndMm from the ball to the end of the tail silk, 0 to 400 mm
 * @param topSilkStartMm from the ball to the start of the top silk, beyond the tail silk, to 2200 mm; the whole length where it has none
 * @param totalLengthMm from the ball to the tip, beyond the top silk's start, to 2200 mm
 * @param assumed which of these figures are only what is usual for such a string
 */
public record StringSpec(
        Position position,
        StringCore core,
        Winding winding,
        StringEnd end,
        Pitch nominalPitch,
        double designLengthMm,
        double tensionN,
        double diameterMm,
        double axialStiffnessN,
        double tailSilkEndMm,
        double topSilkStartMm,
        double totalLengthMm,
        Set<StringFigure> assumed) {

    /** Longest string that is taken, in mm from the ball to the tip. */
    public static final double LONGEST_MM = 2200;
    /** Allowed design lengths. */
    public static final Range DESIGN_LENGTH = new Range(180, 1200, Unit.MILLIMETRE);
    /** Allowed tensions. */
    public static final Range TENSION = new Range(10, 450, Unit.NEWTON);
    /** Allowed diameters. */
    public static final Range DIAMETER = new Range(0.15, 4, Unit.MILLIMETRE);
    /** Allowed lengths of the silk at the tail, from the ball. */
    public static final Range TAIL_SILK = new Range(0, 400, Unit.MILLIMETRE);
    /** Allowed axial stiffness. */
    public static final Range AXIAL_STIFFNESS = new Range(500, 80_000, Unit.NEWTON);

    /**
     * Checks every part.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when a figure is outside its range
     */
    public StringSpec {
        requireNonNull(position, "position");
        requireNonNull(core, "core");
        requireNonNull(winding, "winding");
        requireNonNull(end, "end");
        requireNonNull(nominalPitch, "nominalPitch");
        DESIGN_LENGTH.require("designLengthMm", designLengthMm);
        TENSION.require("tensionN", tensionN);
        DIAMETER.require("diameterMm", diameterMm);
        AXIAL_STIFFNESS.require("axialStiffnessN", axialStiffnessN);
        TAIL_SILK.require("tailSilkEndMm", tailSilkEndMm);
        new Range(tailSilkEndMm, LONGEST_MM, Unit.MILLIMETRE).require("topSilkStartMm", topSilkStartMm);
        new Range(topSilkStartMm, LONGEST_MM, Unit.MILLIMETRE).require("totalLengthMm", totalLengthMm);
        assumed = Set.copyOf(assumed);
    }

    /** {@return the same string, of which so many figures are only what is usual} */
    public StringSpec assuming(Set<StringFigure> figures) {
        return with(totalLengthMm, figures);
    }

    private StringSpec with(double totalMm, Set<StringFigure> usual) {
        // A string without silk has none when its tip is off either.
        return new StringSpec(
                position,
                core,
                winding,
                end,
                nominalPitch,
                designLengthMm,
                tensionN,
                diameterMm,
                axialStiffnessN,
                tailSilkEndMm,
                Math.min(topSilkStartMm, totalMm),
                totalMm,
                usual);
    }

    /** {@return where what rests on some of its figures comes from: measured as its maker gives them, or default} */
    public Origin origin(StringFigure... figures) {
        return Arrays.stream(figures).anyMatch(assumed::contains) ? Origin.DEFAULT : Origin.MEASURED;
    }

    /** {@return the most that can be cut off its end, in mm: down to its top silk, or where it has none, to its tail silk} */
    public double mostCutMm() {
        return totalLengthMm - (topSilkStartMm < totalLengthMm ? topSilkStartMm : tailSilkEndMm);
    }

    /**
     * The same string with its tip cut shorter.
     *
     * @param cutMm what is cut off, 0 mm to {@link #mostCutMm()}
     * @throws rosinedpeg.core.figure.OutOfRangeException when that would cut into the playing length
     */
    public StringSpec shortenedBy(double cutMm) {
        new Range(0, mostCutMm(), Unit.MILLIMETRE).require("cutMm", cutMm);
        return with(totalLengthMm - cutMm, assumed);
    }

    /** {@return mass per length in kg/m, from tension, length and pitch} */
    public double massPerLengthKgM() {
        return Tension.massPerLengthKgM(tensionN, designLengthMm, nominalPitch.frequencyHz(ReferenceA.STANDARD));
    }

    /**
     * The tension this string has on an instrument.
     *
     * @param vibratingLengthMm the instrument's vibrating length, above 0
     * @param pitch the pitch it is tuned to
     * @param a the reference A
     * @return tension in N
     */
    public double tensionN(double vibratingLengthMm, Pitch pitch, ReferenceA a) {
        return Tension.tensionN(massPerLengthKgM(), vibratingLengthMm, pitch.frequencyHz(a));
    }

    /** {@return the tension at which a sound string of this kind breaks, in N: {@code EA · breaking strain}, by Hooke's law} */
    public double breakingTensionN() {
        return axialStiffnessN * core.breakingStrain();
    }

    /**
     * How far above a tension it would break.
     *
     * @param presentTensionN above 0
     * @return cents; below 0 when it should have broken already
     * @throws IllegalArgumentException when the tension is not above 0
     */
    public double centsToBreaking(double presentTensionN) {
        requireFinite("presentTensionN", presentTensionN);
        return Cents.betweenTensions(presentTensionN, breakingTensionN()).value();
    }
}
