package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.setup.Family;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;

/**
 * The choices on which good hands differ.
 *
 * @param off how many strings are off at a time
 * @param begin where to begin
 * @param firstEnd which end of the new string goes on first
 * @param lock how the tip is held at the peg
 * @param wall what the winding does at the pegbox wall
 * @param treatment what pegs are treated with
 * @param lowestWay which way the lowest string of a bass goes round its shaft
 * @param spareTip what becomes of a bass string's spare tip
 * @param felts whether a bass string gets a felt washer on its ball
 * @param stance how the bridge is to stand
 * @param raising how slack strings are brought up together
 * @param oldStrings what becomes of the old string
 */
public record Schools(
        Off off,
        Begin begin,
        FirstEnd firstEnd,
        Lock lock,
        Wall wall,
        Treatment treatment,
        Way lowestWay,
        SpareTip spareTip,
        Felts felts,
        Stance stance,
        Raising raising,
        OldStrings oldStrings) {

    /** How many strings are off at a time. */
    public enum Off {
        ONE_AT_A_TIME,
        /** Inner string of a side off, then the outer one; outer on, then the inner one. */
        PAIR_BY_SIDE,
        /** As one at a time, with a day between. */
        ONE_A_DAY,
        /** Every chosen string comes off before the first new one goes on. */
        TOGETHER
    }

    /** Where to begin. */
    public enum Begin {
        INNER_FIRST,
        TOP_DOWN,
        BOTTOM_UP,
        /** The low strings before the high ones, of each side the inner string first. */
        BASS_SIDE_FIRST,
        /** The order, of all there are, that keeps the least load on the post highest. */
        BEST_HELD
    }

    /** Which end of the new string goes on first. */
    public enum FirstEnd {
        PEG_FIRST,
        TAIL_FIRST
    }

    /** What pegs are treated with. */
    public enum Treatment {
        COMPOUND,
        PASTE_AND_DROPS,
        SOAP_AND_CHALK
    }

    /** What becomes of a bass string's spare tip. */
    public enum SpareTip {
        /** Bent sharply and cut to length outside the pegbox, before it is fitted. */
        TRIMMED_BEFORE_FITTING,
        /** Left long and wrapped round the standing part. */
        WRAPPED
    }

    /** Whether a bass string gets a felt washer on its ball. */
    public enum Felts {
        FITTED,
        LEFT_OFF
    }

    /** How the bridge is to stand; tuning only ever pulls it forwards. */
    public enum Stance {
        /** Back face square to the top. */
        SQUARE,
        HAIR_BACKWARDS
    }

    /** How slack strings are brought up together. */
    public enum Raising {
        /** All of them, in small equal rounds. */
        EQUAL_ROUNDS,
        INNER_PAIR_FIRST,
        /** The outer pair first, to pin the bridge. */
        OUTER_PAIR_FIRST
    }

    /** What becomes of the old string. */
    public enum OldStrings {
        KEPT,
        NOT_KEPT
    }

    /** The usual choices for violin, viola and cello. */
    public static final Schools USUAL = new Schools(
            Off.ONE_AT_A_TIME,
            Begin.INNER_FIRST,
            FirstEnd.PEG_FIRST,
            Lock.FAR_SIDE_THEN_CROSS,
            Wall.SMALL_GAP,
            Treatment.COMPOUND,
            Way.OVER_THE_TOP,
            SpareTip.TRIMMED_BEFORE_FITTING,
            Felts.FITTED,
            Stance.SQUARE,
            Raising.EQUAL_ROUNDS,
            OldStrings.KEPT);

    /** Checks that every choice is made. */
    public Schools {
        requireNonNull(off, "off");
        requireNonNull(begin, "begin");
        requireNonNull(firstEnd, "firstEnd");
        requireNonNull(lock, "lock");
        requireNonNull(wall, "wall");
        requireNonNull(treatment, "treatment");
        requireNonNull(lowestWay, "lowestWay");
        requireNonNull(spareTip, "spareTip");
        requireNonNull(felts, "felts");
        requireNonNull(stance, "stance");
        requireNonNull(raising, "raising");
        requireNonNull(oldStrings, "oldStrings");
    }

    /** {@return the usual choices for a family: a bass is changed pair by side} */
    public static Schools usual(Family family) {
        return family == Family.BASS ? USUAL.with(Off.PAIR_BY_SIDE, Begin.BASS_SIDE_FIRST) : USUAL;
    }

    /** {@return the same choices, but so many off at a time and beginning there} */
    public Schools with(Off otherOff, Begin otherBegin) {
        return new Schools(
                otherOff,
                otherBegin,
                firstEnd,
                lock,
                wall,
                treatment,
                lowestWay,
                spareTip,
                felts,
                stance,
                raising,
                oldStrings);
    }

    /** {@return the same choices, but winding so} */
    public Schools with(FirstEnd otherFirstEnd, Lock otherLock, Wall otherWall) {
        return new Schools(
                off,
                begin,
                otherFirstEnd,
                otherLock,
                otherWall,
                treatment,
                lowestWay,
                spareTip,
                felts,
                stance,
                raising,
                oldStrings);
    }

    /** {@return the same choices, but treating pegs so} */
    public Schools with(Treatment otherTreatment) {
        return new Schools(
                off,
                begin,
                firstEnd,
                lock,
                wall,
                otherTreatment,
                lowestWay,
                spareTip,
                felts,
                stance,
                raising,
                oldStrings);
    }

    /** {@return the same choices for what the bass has more than the others} */
    public Schools with(Way otherLowestWay, SpareTip otherSpareTip, Felts otherFelts) {
        return new Schools(
                off,
                begin,
                firstEnd,
                lock,
                wall,
                treatment,
                otherLowestWay,
                otherSpareTip,
                otherFelts,
                stance,
                raising,
                oldStrings);
    }

    /** {@return the same choices, but standing the bridge and raising slack strings so} */
    public Schools with(Stance otherStance, Raising otherRaising) {
        return new Schools(
                off,
                begin,
                firstEnd,
                lock,
                wall,
                treatment,
                lowestWay,
                spareTip,
                felts,
                otherStance,
                otherRaising,
                oldStrings);
    }

    /** {@return the same choices, but with the old strings so} */
    public Schools with(OldStrings otherOldStrings) {
        return new Schools(
                off,
                begin,
                firstEnd,
                lock,
                wall,
                treatment,
                lowestWay,
                spareTip,
                felts,
                stance,
                raising,
                otherOldStrings);
    }

    /** {@return how strings are wound by these choices; {@code lowestOfBass} for the lowest string of a bass} */
    public WindingChoice winding(boolean lowestOfBass) {
        return new WindingChoice(lock, wall, lowestOfBass ? lowestWay : Way.OVER_THE_TOP, HoleSide.KNOB_SIDE);
    }

    /** {@return what suits a peg at the wall: only a slipping one is wound up to it, on a fitting one it wears the hole} */
    public static Wall wallFor(PegCondition peg) {
        return peg == PegCondition.SLIPS ? Wall.WOUND_TO_WALL : Wall.SMALL_GAP;
    }
}
