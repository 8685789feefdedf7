package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

/**
 * The choices on which good hands differ.
 *
 * @param off how many strings are off at a time
 * @param begin where to begin
 * @param firstEnd which end of the new string goes on first
 * @param lock how the tip is held at the peg
 * @param wall what the winding does at the pegbox wall
 * @param treatment what pegs are treated with
 * @param oldStrings what becomes of the old string
 */
public record Schools(
        Off off, Begin begin, FirstEnd firstEnd, Lock lock, Wall wall, Treatment treatment, OldStrings oldStrings) {

    /** How many strings are off at a time. */
    public enum Off {
        ONE_AT_A_TIME,
        /** Every chosen string comes off before the first new one goes on. */
        TOGETHER
    }

    /** Where to begin. */
    public enum Begin {
        INNER_FIRST,
        TOP_DOWN,
        BOTTOM_UP,
        /** The order, of all there are, that keeps the least load on the post highest. */
        BEST_HELD
    }

    /** Which end of the new string goes on first. */
    public enum FirstEnd {
        PEG_FIRST,
        TAIL_FIRST
    }

    /** How the tip is held at the peg. */
    public enum Lock {
        FAR_SIDE_THEN_CROSS,
        STRAIGHT_TO_WALL
    }

    /** What the winding does at the pegbox wall. */
    public enum Wall {
        WOUND_TO_WALL,
        SMALL_GAP
    }

    /** What pegs are treated with. */
    public enum Treatment {
        COMPOUND,
        PASTE_AND_DROPS,
        SOAP_AND_CHALK
    }

    /** What becomes of the old string. */
    public enum OldStrings {
        KEPT,
        NOT_KEPT
    }

    /** The usual choices for violin and viola. */
    public static final Schools USUAL = new Schools(
            Off.ONE_AT_A_TIME,
            Begin.INNER_FIRST,
            FirstEnd.PEG_FIRST,
            Lock.FAR_SIDE_THEN_CROSS,
            Wall.SMALL_GAP,
            Treatment.COMPOUND,
            OldStrings.KEPT);

    /** {@return the same choices, but so many off at a time and beginning there} */
    public Schools with(Off off, Begin begin) {
        return new Schools(off, begin, firstEnd, lock, wall, treatment, oldStrings);
    }

    /** Checks that every choice is made. */
    public Schools {
        requireNonNull(off, "off");
        requireNonNull(begin, "begin");
        requireNonNull(firstEnd, "firstEnd");
        requireNonNull(lock, "lock");
        requireNonNull(wall, "wall");
        requireNonNull(treatment, "treatment");
        requireNonNull(oldStrings, "oldStrings");
    }
}
