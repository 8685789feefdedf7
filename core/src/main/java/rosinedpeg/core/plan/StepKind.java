package rosinedpeg.core.plan;

import static rosinedpeg.core.setup.Place.BRIDGE;
import static rosinedpeg.core.setup.Place.FINGERBOARD;
import static rosinedpeg.core.setup.Place.NUT;
import static rosinedpeg.core.setup.Place.PEG;
import static rosinedpeg.core.setup.Place.TAIL;
import static rosinedpeg.core.setup.Place.WHOLE;

import java.util.Set;
import rosinedpeg.core.setup.Place;

/** A kind of step, in about the order of the work, with its place and the minutes it usually takes. */
public enum StepKind {
    LOOK_OVER(WHOLE, 2),
    /** A look through the treble sound hole: does the post stand? */
    LOOK_FOR_POST(BRIDGE, 1),
    TUNE_AND_STRAIGHTEN(BRIDGE, 2, Reading.GAP, Reading.PITCH),
    LAY_OUT_KIT(WHOLE, 2),
    /** Sweat and grease shorten a new string's life, and keep graphite off the wood. */
    WASH_HANDS(WHOLE, 0.5),
    REST_INSTRUMENT(WHOLE, 1),
    LAY_ON_BACK(WHOLE, 1.5),
    LAY_ON_BACK_AND_BLOCK(WHOLE, 2),
    /** Before all tension comes off: a post that no string holds falls when the instrument is tipped. */
    LAY_FLAT(WHOLE, 1),
    MARK_BRIDGE(BRIDGE, 1),

    BACK_OUT_FINE_TUNER(TAIL, 0.5),
    SET_ASIDE_NEIGHBOUR(NUT, 1),
    /** A quarter turn, watching the string: many machines turn the other way to a screw. Without a string, all of them. */
    TEST_MACHINE_DIRECTION(PEG, 0.5),
    LET_DOWN(PEG, 1),
    FREE_TAIL_END(TAIL, 0.5),
    TAKE_OUT_REMAINS(PEG, 2),
    COIL_OLD_STRING(WHOLE, 0.5),
    CUT_UP_OLD_STRING(WHOLE, 0.5),
    WIPE_FINGERBOARD(FINGERBOARD, 1),
    /** Its screw through its whole travel and wiped, while its string is off. */
    SERVICE_FINE_TUNER(TAIL, 1.5),
    TREAT_PEG(PEG, 2),
    CLEAN_PEG(PEG, 1.5),
    /** Geared pegs and machine heads take no compound. */
    LOOK_AT_GEARS(PEG, 0.5),
    GRAPHITE(BRIDGE, 1, Reading.GAP),
    FIT_FELT(TAIL, 0.5),
    TRIM_TIP(PEG, 1.5),
    /** A steel I cuts into the bridge without. */
    SLIDE_TUBE_ON(BRIDGE, 0.5),
    /** A parchment over the groove does the job; never both. */
    TAKE_TUBE_OFF(BRIDGE, 0.5),
    HANG_TAIL_END(TAIL, 0.5),
    /** A cello's ball that jams under the tuner's arm makes the tuner dead. */
    SET_BALL_UPRIGHT(TAIL, 0.5),
    /** A bass string's ball that is not drawn up into its channel can fly out. */
    DRAW_BALL_INTO_CHANNEL(TAIL, 0.5),
    LOCK_FAR_SIDE_THEN_CROSS(PEG, 1),
    LOCK_STRAIGHT_TO_WALL(PEG, 1),
    LOCK_TWICE_THROUGH_HOLE(PEG, 2),
    LOCK_ROUND_STANDING_PART(PEG, 2),
    /** Where the peg end goes on first: as far as the tail end can still be hung. */
    WIND_FIRST_PART(PEG, 1.5),
    WIND_TO_WALL(PEG, 2),
    WIND_LEAVING_GAP(PEG, 2),
    WIND_BY_CRANK(PEG, 3),
    WIND_UNDER(PEG, 3),
    SEAT_IN_GROOVES(NUT, 1),
    PRESS_INTO_BENDS(BRIDGE, 1),
    /** While the string is still low, turns that stand apart are pushed together with a finger. */
    CLOSE_UP_TURNS(PEG, 0.5),
    BRING_UP(PEG, 2, Reading.PITCH),
    CHECK_BRIDGE(BRIDGE, 1, Reading.GAP),
    RETURN_NEIGHBOUR(NUT, 1, Reading.PITCH),
    REST_TILL_TOMORROW(WHOLE, 1),

    /** One string off its peg, still hung at its tail. */
    LET_DOWN_AT_PEG(PEG, 1),
    REWIND(PEG, 2),
    BRING_BACK_UP(PEG, 2, Reading.PITCH),

    LET_ALL_DOWN(WHOLE, 4),
    UNHOOK_IN_ORDER(TAIL, 2),
    /** In a loop, so that they stay wound and in their order. */
    TIE_STRINGS(WHOLE, 1),
    CHANGE_TAILPIECE(TAIL, 10),
    SET_TAIL_CORD(TAIL, 5),
    HOOK_BACK(TAIL, 3),
    /** A string on the wrong side of its neighbour is the usual mistake. */
    CHECK_STRING_PLACES(NUT, 1),
    SLIDE_BRIDGE_UNDER(BRIDGE, 2),
    STAND_BRIDGE(BRIDGE, 2),
    RAISE_ALL(PEG, 3, Reading.PITCH),
    RAISE_INNER_PAIR(PEG, 2, Reading.PITCH),
    RAISE_OUTER_PAIR(PEG, 2, Reading.PITCH),
    /** Towards the tailpiece: tuning has pulled its top forwards. */
    EASE_BRIDGE_BACK(BRIDGE, 2, Reading.GAP),
    /** Towards the fingerboard. */
    EASE_BRIDGE_FORWARDS(BRIDGE, 2, Reading.GAP),

    /** The first thing to do about a peg that slips. */
    PUSH_PEG_IN(PEG, 0.5),
    FREE_PEG(PEG, 3),
    LET_ALL_DOWN_A_LITTLE(WHOLE, 2),
    /** A bridge that has walked, with part of the tension still on. */
    MOVE_BRIDGE_BACK(BRIDGE, 2, Reading.GAP),
    /** Nothing more can be done about it here. */
    LEAVE_TO_REPAIRER(WHOLE, 1),
    TEND_CUT(WHOLE, 5),
    /** The work has to be left as it is, for now. */
    MAKE_SAFE(WHOLE, 2),

    TUNING_ROUND(PEG, 3, Reading.PITCH, Reading.GAP),
    /** It evens the tension on both sides of the bridge; risky on I. */
    LIFT_A_HAIR(BRIDGE, 1.5),
    LAST_BRIDGE_CHECK(BRIDGE, 1, Reading.GAP),
    CHECK_FINE_TUNERS(TAIL, 0.5),
    /** The tube has slid while the string moved. */
    SEAT_TUBE(BRIDGE, 0.5),
    LOOK_AT_PARCHMENT(BRIDGE, 0.5),
    CLEAN_BODY(WHOLE, 4),
    /** A day or two after a synthetic set, once the strings hold: pegs turned to where the hand finds them well. */
    SET_PEG_ANGLES(PEG, 5),
    RECORD(WHOLE, 1);

    private static final Set<StepKind> MAY_BE_SKIPPED = Set.of(
            WASH_HANDS,
            MARK_BRIDGE,
            WIPE_FINGERBOARD,
            SERVICE_FINE_TUNER,
            TREAT_PEG,
            CLEAN_PEG,
            LOOK_AT_GEARS,
            GRAPHITE,
            FIT_FELT,
            SLIDE_TUBE_ON,
            CLEAN_BODY);
    private static final Set<StepKind> WINDS = Set.of(
            LOCK_FAR_SIDE_THEN_CROSS,
            LOCK_STRAIGHT_TO_WALL,
            LOCK_TWICE_THROUGH_HOLE,
            LOCK_ROUND_STANDING_PART,
            WIND_FIRST_PART,
            WIND_TO_WALL,
            WIND_LEAVING_GAP,
            WIND_BY_CRANK,
            WIND_UNDER,
            CLOSE_UP_TURNS);
    /** A string that is put on goes through one of these before anything else is done with it. */
    private static final Set<StepKind> BEGINS_WITH_STRING = Set.of(
            HANG_TAIL_END,
            LOCK_FAR_SIDE_THEN_CROSS,
            LOCK_STRAIGHT_TO_WALL,
            LOCK_TWICE_THROUGH_HOLE,
            LOCK_ROUND_STANDING_PART);

    private static final Set<StepKind> MOVES_BRIDGE =
            Set.of(TUNE_AND_STRAIGHTEN, STAND_BRIDGE, EASE_BRIDGE_BACK, EASE_BRIDGE_FORWARDS, MOVE_BRIDGE_BACK);
    private static final Set<StepKind> RAISES_TENSION = Set.of(
            BRING_UP, RETURN_NEIGHBOUR, BRING_BACK_UP, RAISE_ALL, RAISE_INNER_PAIR, RAISE_OUTER_PAIR, TUNING_ROUND);

    private static final Set<StepKind> TURNS_ITS_PEG = Set.of(
            SET_ASIDE_NEIGHBOUR,
            LET_DOWN,
            LET_DOWN_AT_PEG,
            WIND_FIRST_PART,
            WIND_TO_WALL,
            WIND_LEAVING_GAP,
            WIND_BY_CRANK,
            WIND_UNDER,
            REWIND,
            BRING_UP,
            BRING_BACK_UP);
    private static final Set<StepKind> TURNS_EVERY_PEG =
            Set.of(LET_ALL_DOWN, LET_ALL_DOWN_A_LITTLE, RAISE_ALL, RAISE_INNER_PAIR, RAISE_OUTER_PAIR);

    private final Place place;
    private final double minutes;
    private final Set<Reading> readings;

    StepKind(Place place, double minutes, Reading... readings) {
        this.place = place;
        this.minutes = minutes;
        this.readings = Set.of(readings);
    }

    /** {@return where it happens} */
    public Place place() {
        return place;
    }

    /** {@return the minutes it usually takes} */
    public double minutes() {
        return minutes;
    }

    /** {@return what can be read at this step} */
    public Set<Reading> readings() {
        return readings;
    }

    /** {@return whether a string that goes on may be in hand for the first time} */
    public boolean beginsWithString() {
        return BEGINS_WITH_STRING.contains(this);
    }

    /** {@return whether the work can go on without it, leaving it owed} */
    public boolean mayBeSkipped() {
        return MAY_BE_SKIPPED.contains(this);
    }

    /** {@return whether a new string is locked or wound on its peg in it} */
    public boolean winds() {
        return WINDS.contains(this);
    }

    /** {@return whether the bridge is moved in it on purpose} */
    public boolean movesBridge() {
        return MOVES_BRIDGE.contains(this);
    }

    /** {@return whether the peg or machine of its string is turned in it} */
    public boolean turnsItsPeg() {
        return TURNS_ITS_PEG.contains(this);
    }

    /** {@return whether pegs or machines are turned in it one after the other, of all strings or of a pair} */
    public boolean turnsEveryPeg() {
        return TURNS_EVERY_PEG.contains(this);
    }

    /** {@return whether a string gains tension in it} */
    public boolean raisesTension() {
        return RAISES_TENSION.contains(this);
    }
}
