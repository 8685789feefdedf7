package rosinedpeg.core.winding;

import static java.util.Objects.requireNonNull;

import java.util.Arrays;
import java.util.List;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.StringSpec;

/** How the tip is held at the peg. */
public enum Lock {
    /** Turns on the far side of the hole, then across the tip to the knob's side. */
    FAR_SIDE_THEN_CROSS,
    /** Every turn on the knob's side, the tip held by their tightness. */
    STRAIGHT_TO_WALL,
    /** The tip goes through the hole, round the shaft and through once more: a knot. For the bass. */
    TWICE_THROUGH_HOLE,
    /** The tip is wrapped round the standing part of the string. For the bass. */
    ROUND_STANDING_PART;

    private static final int WRAPS = 3;
    private static final Range SHAFT = new Range(3, 30, Unit.MILLIMETRE);

    /** {@return the locks that a string of a family can have, the usual one first} */
    public static List<Lock> of(Family family) {
        requireNonNull(family, "family");
        return Arrays.stream(values())
                .filter(lock -> family == Family.BASS || !lock.forBassOnly())
                .toList();
    }

    /** {@return whether it is for thick strings on machine heads only} */
    public boolean forBassOnly() {
        return this == TWICE_THROUGH_HOLE || this == ROUND_STANDING_PART;
    }

    /**
     * How much of the string has to stand out beyond the hole.
     *
     * @param family which family
     * @param shaftDiameterMm of the shaft, 3 to 30 mm
     * @param stringDiameterMm of the string, 0.15 to 4 mm
     * @return mm: 4 on violin and viola, 6 on the cello, 12 on the bass; a second pass takes half a turn and the
     *     shaft's bore more, wraps three times the way round the string
     * @throws rosinedpeg.core.figure.OutOfRangeException when a diameter is outside its range
     */
    public double tipMm(Family family, double shaftDiameterMm, double stringDiameterMm) {
        SHAFT.require("shaftDiameterMm", shaftDiameterMm);
        StringSpec.DIAMETER.require("stringDiameterMm", stringDiameterMm);
        double plain = switch (family) {
            case VIOLIN, VIOLA -> 4;
            case CELLO -> 6;
            case BASS -> 12;
        };
        return switch (this) {
            case FAR_SIDE_THEN_CROSS, STRAIGHT_TO_WALL -> plain;
            case TWICE_THROUGH_HOLE -> plain + shaftDiameterMm + Math.PI * (shaftDiameterMm + stringDiameterMm) / 2;
            case ROUND_STANDING_PART -> plain + WRAPS * Math.PI * 2 * stringDiameterMm;
        };
    }
}
