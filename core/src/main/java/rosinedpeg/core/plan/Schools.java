package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.Set;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.HoleSide;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;

/**
 * The choices on which good hands differ.
 *
 * @param order which string when
 * @param atPeg how the new string is put on its peg
 * @param treatment what pegs are treated with
 * @param bass what the bass has more than the others
 * @param bridge how the bridge stands and is loaded
 * @param oldStrings what becomes of the old string
 */
public record Schools(Order order, AtPeg atPeg, Treatment treatment, Bass bass, Bridge bridge, OldStrings oldStrings) {

    /**
     * Which string when.
     *
     * @param off how many strings are off at a time
     * @param begin where to begin
     */
    public record Order(Off off, Begin begin) {

        /** Checks that both are chosen. */
        public Order {
            requireNonNull(off, "off");
            requireNonNull(begin, "begin");
        }
    }

    /**
     * How the new string is put on its peg.
     *
     * @param firstEnd which of its ends goes on first
     * @param lock how the tip is held
     * @param wall what the winding does at the pegbox wall
     */
    public record AtPeg(FirstEnd firstEnd, Lock lock, AtWall wall) {

        /** Checks that all are chosen. */
        public AtPeg {
            requireNonNull(firstEnd, "firstEnd");
            requireNonNull(lock, "lock");
            requireNonNull(wall, "wall");
        }
    }

    /**
     * What the bass has more than the others.
     *
     * @param lowestWay which way its lowest string goes round its shaft
     * @param spareTip what becomes of a spare tip
     * @param felts whether a string gets a felt washer on its ball
     */
    public record Bass(Way lowestWay, SpareTip spareTip, Felts felts) {

        /** Checks that all are chosen. */
        public Bass {
            requireNonNull(lowestWay, "lowestWay");
            requireNonNull(spareTip, "spareTip");
            requireNonNull(felts, "felts");
        }
    }

    /**
     * How the bridge stands and is loaded.
     *
     * @param stance how it is to stand
     * @param raising how slack strings are brought up together
     * @param evening whether tensions on both sides of it are evened out; left alone when nothing is said
     */
    public record Bridge(Stance stance, Raising raising, Evening evening) {

        /** Checks what has to be chosen. */
        public Bridge {
            requireNonNull(stance, "stance");
            requireNonNull(raising, "raising");
            evening = evening == null ? Evening.LEFT_ALONE : evening;
        }
    }

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

    /** What the winding does at the pegbox wall. */
    public enum AtWall {
        /** Up to it where a tapered peg slips; elsewhere a small gap. */
        BY_ITS_PEG,
        /** The last turn leans on it and pushes a slipping peg in. */
        WOUND_TO_WALL,
        /** On a well-fitted peg the wall's pressure would wear the hole; gears it would only rub. */
        SMALL_GAP;

        private Wall of(PegKind pegs, PegCondition peg) {
            Wall wanted = switch (this) {
                case BY_ITS_PEG -> peg == PegCondition.SLIPS ? Wall.WOUND_TO_WALL : Wall.SMALL_GAP;
                case WOUND_TO_WALL -> Wall.WOUND_TO_WALL;
                case SMALL_GAP -> Wall.SMALL_GAP;
            };
            return wanted.on(pegs);
        }
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

    /** Whether a string's tension on both sides of the bridge is evened out once it is in tune. */
    public enum Evening {
        LEFT_ALONE,
        /** Each string but I is lifted a hair out of its groove and let settle; it goes flat and is tuned again. */
        LIFTED_A_HAIR
    }

    /** What becomes of the old string. */
    public enum OldStrings {
        KEPT,
        NOT_KEPT
    }

    /** The usual choices for violin, viola and cello. */
    public static final Schools USUAL = new Schools(
            new Order(Off.ONE_AT_A_TIME, Begin.INNER_FIRST),
            new AtPeg(FirstEnd.PEG_FIRST, Lock.FAR_SIDE_THEN_CROSS, AtWall.BY_ITS_PEG),
            Treatment.COMPOUND,
            new Bass(Way.OVER_THE_TOP, SpareTip.TRIMMED_BEFORE_FITTING, Felts.FITTED),
            new Bridge(Stance.SQUARE, Raising.EQUAL_ROUNDS, Evening.LEFT_ALONE),
            OldStrings.KEPT);

    /** Checks that every choice is made. */
    public Schools {
        requireNonNull(order, "order");
        requireNonNull(atPeg, "atPeg");
        requireNonNull(treatment, "treatment");
        requireNonNull(bass, "bass");
        requireNonNull(bridge, "bridge");
        requireNonNull(oldStrings, "oldStrings");
    }

    /** {@return the usual choices for a family: a bass is changed pair by side} */
    public static Schools usual(Family family) {
        requireNonNull(family, "family");
        return family == Family.BASS ? USUAL.with(Off.PAIR_BY_SIDE, Begin.BASS_SIDE_FIRST) : USUAL;
    }

    /** {@return everything that is chosen} */
    public Set<Enum<?>> choices() {
        return Set.of(
                order.off(),
                order.begin(),
                atPeg.firstEnd(),
                atPeg.lock(),
                atPeg.wall(),
                treatment,
                bass.lowestWay(),
                bass.spareTip(),
                bass.felts(),
                bridge.stance(),
                bridge.raising(),
                bridge.evening(),
                oldStrings);
    }

    /** {@return the same choices, but so many off at a time and beginning there} */
    public Schools with(Off off, Begin begin) {
        return new Schools(new Order(off, begin), atPeg, treatment, bass, bridge, oldStrings);
    }

    /** {@return the same choices, but winding so} */
    public Schools with(FirstEnd firstEnd, Lock lock, AtWall wall) {
        return new Schools(order, new AtPeg(firstEnd, lock, wall), treatment, bass, bridge, oldStrings);
    }

    /** {@return the same choices, but treating pegs so} */
    public Schools with(Treatment other) {
        return new Schools(order, atPeg, other, bass, bridge, oldStrings);
    }

    /** {@return the same choices, but those that only pegs which hold by friction leave are another's} */
    public Schools withFrictionOf(Schools another) {
        requireNonNull(another, "another");
        return with(atPeg.firstEnd(), atPeg.lock(), another.atPeg().wall()).with(another.treatment());
    }

    /** {@return the same choices for what the bass has more than the others} */
    public Schools with(Way lowestWay, SpareTip spareTip, Felts felts) {
        return new Schools(order, atPeg, treatment, new Bass(lowestWay, spareTip, felts), bridge, oldStrings);
    }

    /** {@return the same choices, but standing the bridge and raising slack strings so} */
    public Schools with(Stance stance, Raising raising) {
        return new Schools(order, atPeg, treatment, bass, new Bridge(stance, raising, bridge.evening()), oldStrings);
    }

    /** {@return the same choices, but evening tensions out so} */
    public Schools with(Evening evening) {
        return new Schools(
                order, atPeg, treatment, bass, new Bridge(bridge.stance(), bridge.raising(), evening), oldStrings);
    }

    /** {@return the same choices, but with the old strings so} */
    public Schools with(OldStrings other) {
        return new Schools(order, atPeg, treatment, bass, bridge, other);
    }

    /**
     * How a string is wound by these choices.
     *
     * @param setUp the instrument's
     * @param position the string
     * @param peg how its peg behaves
     * @return lock, wall and way round the shaft; only the lowest string of a bass may go under it
     */
    WindingChoice winding(SetUp setUp, Position position, PegCondition peg) {
        boolean lowestOfBass = setUp.family() == Family.BASS && setUp.isLowest(position);
        return new WindingChoice(
                atPeg.lock(),
                atPeg.wall().of(setUp.pegKind(), peg),
                lowestOfBass ? bass.lowestWay() : Way.OVER_THE_TOP,
                HoleSide.KNOB_SIDE);
    }
}
