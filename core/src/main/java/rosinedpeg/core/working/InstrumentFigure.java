package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgePlace;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.winding.WindingPlan;

/** The figures of an instrument and of its strings. */
public enum InstrumentFigure implements Workable<InstrumentGrounds> {
    /** Share of the whole load on the treble foot, beside the post. */
    TREBLE_SHARE(Unit.SHARE, in -> in.shares().treble()),
    BASS_SHARE(Unit.SHARE, in -> in.shares().bass()),
    /** What presses the top beside the post, with every string at pitch. */
    TREBLE_LOAD(Unit.NEWTON, in -> in.load().fullyStrung().trebleN()),
    LEAN(Unit.DEGREE, in -> Lean.of(in.setUp()).degrees()),
    /** Where the push of the strings meets the foot, from its tailpiece-side edge. */
    THRUST_AT(Unit.MILLIMETRE, in -> Thrust.of(in.setUp(), Lean.of(in.setUp())).atMm()),
    THRUST_MARGIN(Unit.RATIO, in -> Thrust.of(in.setUp(), Lean.of(in.setUp())).margin()),
    /** Gap at a bridge that is to stand a hair backwards. */
    GAP_TO_AIM_FOR(Unit.MILLIMETRE, in -> Lean.hairBackwardsGapMm(in.setUp())),
    BRIDGE_OFF_ITS_LINE(Unit.MILLIMETRE, in -> BridgePlace.of(in.setUp()).offItsLineMm()),
    BRIDGE_TWIST(Unit.DEGREE, in -> BridgePlace.of(in.setUp()).twistDeg(in.setUp())),
    /** To what share of its tension a string is raised in this round. */
    TENSION_SHARE(Unit.SHARE, InstrumentGrounds::raisedTo),
    /** What that sounds, from its pitch. */
    BELOW_PITCH(Unit.CENT, in -> Cents.ofTensionFraction(in.raisedTo()).value()),
    TENSION(Unit.NEWTON, in -> in.setUp().tensionN(in.theString())),
    STRETCH(Unit.MILLIMETRE, in -> elasticity(in).stretchMm()),
    CENTS_PER_PEG_DEGREE(
            Unit.CENT_PER_DEGREE,
            in -> elasticity(in)
                    .centsPerPegDegree(
                            in.setUp().value(Quantity.SHAFT_DIAMETER),
                            in.theString().diameterMm())),
    /** Share of what it breaks at. */
    SHARE_OF_BREAKING(
            Unit.SHARE, in -> elasticity(in).tensionN() / in.theString().breakingTensionN()),
    DRAG_LEAN_DRY(Unit.DEGREE, in -> drag(in, in.stuck().dry().value())),
    DRAG_LEAN_GRAPHITED(Unit.DEGREE, in -> drag(in, in.stuck().graphited().value())),
    TURNS(Unit.TURN, in -> winding(in).turns().count()),
    FAR_SIDE_TURNS(Unit.TURN, in -> winding(in).farSideTurns()),
    /** Of a machine's crank, or of a geared peg's knob. */
    CRANK_TURNS(Unit.TURN, in -> winding(in).knobTurns()),
    HALF_TURNS(Unit.HALF_TURN, in -> winding(in).halfTurns()),
    /** Turns before the tail end is hung, where the peg end goes on first. */
    FIRST_PART_TURNS(Unit.TURN, in -> winding(in).beforeHangingTurns()),
    FIRST_PART_CRANK_TURNS(Unit.TURN, in -> knobTurns(in, winding(in).beforeHangingTurns())),
    FIRST_PART_HALF_TURNS(Unit.HALF_TURN, in -> 2 * knobTurns(in, winding(in).beforeHangingTurns())),
    /** Turns that are left for afterwards. */
    LAST_PART_TURNS(Unit.TURN, in -> winding(in).afterHangingTurns()),
    LAST_PART_CRANK_TURNS(Unit.TURN, in -> knobTurns(in, winding(in).afterHangingTurns())),
    LAST_PART_HALF_TURNS(Unit.HALF_TURN, in -> 2 * knobTurns(in, winding(in).afterHangingTurns())),
    TIP(Unit.MILLIMETRE, in -> winding(in).tipMm()),
    BEND(Unit.MILLIMETRE, in -> winding(in).bendMm()),
    WALL_GAP(Unit.MILLIMETRE, in -> winding(in).wallGapMm()),
    TRIM(Unit.MILLIMETRE, in -> winding(in).trimMm()),
    SIDE_ANGLE(Unit.DEGREE, in -> Math.abs(winding(in).sideAngleDeg())),
    /** How near the string comes to anything in the pegbox. */
    NEAREST(
            Unit.MILLIMETRE,
            in -> new StrungPegbox(in.setUp(), in.strings(), Map.of(in.place(), in.choice()))
                    .clearances(in.place())
                    .get(0)
                    .mm()),
    /** By how much more the strings would press the top with this one in place of what is on. */
    LOAD_RISE(
            Unit.SHARE,
            in -> FitCheck.of(in.setUp(), in.strings())
                    .loadRise(Map.of(in.place(), in.theString()))
                    .value()),
    /** The same of several strings: what is carried, against the whole. */
    LOAD_CHANGE(
            Unit.SHARE,
            in -> in.load().feet(in.carried()).totalN()
                            / in.load().fullyStrung().totalN()
                    - 1),
    /** Where its tail silk ends at pitch, from the ball. */
    TAIL_SILK(Unit.MILLIMETRE, in -> FitCheck.tailSilkMm(in.setUp(), in.theString())),
    /** Where its top silk begins at pitch, from the ball. */
    TOP_SILK(Unit.MILLIMETRE, in -> FitCheck.topSilkMm(in.setUp(), in.theString())),
    AFTERLENGTH_TARGET(Unit.MILLIMETRE, in -> Afterlength.of(in.setUp()).targetMm()),
    AFTERLENGTH_SOUNDS(Unit.CENT, in -> Afterlength.of(in.setUp()).interval().value()),
    OFF_TARGET(Unit.CENT, in -> Afterlength.of(in.setUp()).offTarget().value()),
    CORD_CHANGE(Unit.MILLIMETRE, in -> Afterlength.of(in.setUp()).cordChangeMm()),
    TUNER_CENTS_UP(Unit.CENT, in -> tuner(in).centsUp(elasticity(in))),
    TUNER_CENTS_DOWN(Unit.CENT, in -> tuner(in).centsDown(elasticity(in))),
    TUNER_CENTS_PER_TURN(Unit.CENT, in -> tuner(in).centsPerTurn(elasticity(in))),
    LEVER_AT_ITS_END(Unit.MILLIMETRE, in -> tuner(in).clearanceAtEndMm()),
    BRIDGE_GROOVE_DEPTH(
            Unit.SHARE, in -> Groove.ofBridge(in.setUp(), in.theString()).depthShare()),
    NUT_GROOVE_DEPTH(Unit.SHARE, in -> Groove.ofNut(in.setUp(), in.theString()).depthShare()),
    /** Height of a middle string over the line between its neighbours. */
    PROUD(Unit.MILLIMETRE, in -> BridgeCurve.of(in.setUp()).proudMm().get(middle(in))),
    BOWING_ANGLE(Unit.DEGREE, in -> BridgeCurve.of(in.setUp()).bowingAngleDeg().get(middle(in))),
    /** Of the circle through a middle string and its neighbours; without end when they are in one line. */
    RADIUS(Unit.MILLIMETRE, in -> BridgeCurve.of(in.setUp()).radiusMm().get(middle(in))),
    /** By how much the prouder middle groove is to be deepened. */
    EVENING(Unit.MILLIMETRE, in -> BridgeCurve.of(in.setUp()).evening().byMm());

    private final Formula<InstrumentGrounds> formula;

    InstrumentFigure(Unit unit, ToDoubleFunction<InstrumentGrounds> from) {
        this.formula = new Formula<>(unit, from);
    }

    @Override
    public Formula<InstrumentGrounds> formula() {
        return formula;
    }

    /**
     * The same figure of a step.
     *
     * @param step which kind of step
     * @param figure which of its figures
     * @return the figure that can be asked
     */
    public static InstrumentFigure of(StepKind step, StepFigure figure) {
        boolean first = requireNonNull(step, "step") == StepKind.WIND_FIRST_PART;
        return switch (figure) {
            case TURNS -> TURNS;
            case FAR_SIDE_TURNS -> FAR_SIDE_TURNS;
            case HALF_TURNS -> HALF_TURNS;
            case CRANK_TURNS -> CRANK_TURNS;
            case PART_TURNS -> first ? FIRST_PART_TURNS : LAST_PART_TURNS;
            case PART_HALF_TURNS -> first ? FIRST_PART_HALF_TURNS : LAST_PART_HALF_TURNS;
            case PART_CRANK_TURNS -> first ? FIRST_PART_CRANK_TURNS : LAST_PART_CRANK_TURNS;
            case WALL_GAP -> WALL_GAP;
            case SIDE_ANGLE -> SIDE_ANGLE;
            case TRIM -> TRIM;
            case BEND -> BEND;
            case TIP -> TIP;
            case TENSION -> TENSION;
            case STRETCH -> STRETCH;
            case CENTS_PER_PEG_DEGREE -> CENTS_PER_PEG_DEGREE;
            case DRAG_LEAN_GRAPHITED -> DRAG_LEAN_GRAPHITED;
            case DRAG_LEAN_DRY -> DRAG_LEAN_DRY;
            case GAP_TO_AIM_FOR -> GAP_TO_AIM_FOR;
            case SHARE_OF_BREAKING -> SHARE_OF_BREAKING;
            case TENSION_SHARE -> TENSION_SHARE;
            case BELOW_PITCH -> BELOW_PITCH;
            case AFTERLENGTH_TARGET -> AFTERLENGTH_TARGET;
            case CORD_CHANGE -> CORD_CHANGE;
        };
    }

    /**
     * The figure that a judgement rests on.
     *
     * @param judgement what was found
     * @return the figure; empty where something seen, felt or measured directly says it
     */
    public static Optional<InstrumentFigure> behind(FindingKind judgement) {
        return Optional.ofNullable(
                switch (judgement) {
                    case TAIL_SILK_ON_BRIDGE -> TAIL_SILK;
                    case TOP_SILK_ON_PLAYING_LENGTH -> TOP_SILK;
                    case TOO_FEW_TURNS, TOO_MANY_TURNS, FAR_TOO_MANY_TURNS, FITS -> TURNS;
                    case LOAD_RISE -> LOAD_RISE;
                    case BRIDGE_TO_EASE, BRIDGE_TO_STRAIGHTEN, BRIDGE_FALLING -> THRUST_MARGIN;
                    case BRIDGE_TWISTED -> BRIDGE_TWIST;
                    case BRIDGE_OFF_ITS_LINE -> BRIDGE_OFF_ITS_LINE;
                    case CURVE_UNEVEN -> EVENING;
                    case BRIDGE_GROOVE_SHALLOW, BRIDGE_GROOVE_DEEP, BRIDGE_GROOVE_TOO_DEEP -> BRIDGE_GROOVE_DEPTH;
                    case NUT_GROOVE_SHALLOW, NUT_GROOVE_DEEP, NUT_GROOVE_TOO_DEEP -> NUT_GROOVE_DEPTH;
                    case AFTERLENGTH_OFF -> OFF_TARGET;
                    case TUNER_LEVER_NEAR_TOP -> LEVER_AT_ITS_END;
                    case STRING_TOUCHES, STRING_TOUCHES_BOTH_WAYS -> NEAREST;
                    case WRONG_POSITION,
                            MADE_FOR_OTHER_SIZE,
                            END_MISMATCH,
                            TOO_THICK_FOR_SLOT,
                            TOO_THICK_FOR_GROOVE,
                            BRIDGE_TO_LOOK_AT,
                            BRIDGE_WRONG_WAY_ROUND,
                            BRIDGE_WARPED,
                            BRIDGE_OFF_CENTRE,
                            BRIDGE_GROOVE_PINCHES,
                            NUT_GROOVE_PINCHES,
                            GUARD_MISSING,
                            GUARD_TWICE,
                            TAILPIECE_HEAVY,
                            TAILPIECE_NEAR_TOP,
                            TUNER_RATTLES,
                            TUNER_AT_ITS_END,
                            PEG_CRACKED,
                            PEG_TAPER_MISMATCH,
                            PEG_WORN_IN,
                            PEG_SLIPS,
                            PEG_POLISHED,
                            PEG_STICKS,
                            GEARS_SLIP,
                            GEARS_STIFF,
                            COLLAR_RUNS_OUT,
                            STRING_TO_CHANGE_NOW,
                            STRING_DUE,
                            STRING_AGE_UNKNOWN,
                            ROSIN_TOO_OFTEN,
                            POST_LET_GO,
                            BASS_FOOT_LIFTS,
                            BRIDGE_DOWN,
                            BRIDGE_FOOT_OPEN,
                            BRIDGE_LEANS_TO_THE_EYE,
                            TUNER_SCREWED_IN,
                            TUNER_LEVER_ON_TOP,
                            STRING_MISSING,
                            POST_RATTLES,
                            POST_NOT_SEEN,
                            WOOD_CRACKED,
                            SEAM_OPEN,
                            FITTING_LOOSE,
                            BOW_DAMAGED,
                            BOW_HAIR_THIN -> null;
                });
    }

    private static Elasticity elasticity(InstrumentGrounds in) {
        return in.setUp().elasticity(in.theString());
    }

    private static WindingPlan winding(InstrumentGrounds in) {
        return WindingPlan.of(in.setUp(), in.theString(), in.choice());
    }

    private static double knobTurns(InstrumentGrounds in, double turns) {
        return winding(in).knobTurnsOf(turns);
    }

    private static FineTuner tuner(InstrumentGrounds in) {
        return FineTuner.of(in.setUp(), in.place());
    }

    private static double drag(InstrumentGrounds in, double stuckShare) {
        double allN = in.setUp().tensionsN(in.strings()).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        return Drag.ofRaising(in.setUp(), in.theString(), stuckShare, allN).degrees();
    }

    /** The points of the curve run from the lowest string to the highest. */
    private static int middle(InstrumentGrounds in) {
        Position position = in.place();
        if (in.setUp().isOuter(position)) {
            throw new IllegalArgumentException("string is " + position + "; this figure is a middle string's");
        }
        return in.setUp().positions().size() - 1 - position.number();
    }
}
