package rosinedpeg.core.working;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.winding.WindingPlan;

/**
 * The figures of an instrument whose working can be asked. Each is worked out by the same method that shows it: there is no
 * second formula here.
 */
public enum Worked {
    /** Share of the whole load on the treble foot, beside the post. */
    TREBLE_SHARE(Unit.SHARE, in -> in.shares().treble()),
    BASS_SHARE(Unit.SHARE, in -> in.shares().bass()),
    /** What presses the top beside the post, with every string at pitch. */
    TREBLE_LOAD(Unit.NEWTON, in -> in.load().fullyStrung().trebleN()),
    LEAN(Unit.DEGREE, in -> Lean.of(in.setUp()).degrees()),
    /** Where the push of the strings meets the foot, from its tailpiece-side edge. */
    THRUST_AT(Unit.MILLIMETRE, in -> Thrust.of(in.setUp(), Lean.of(in.setUp())).atMm()),
    THRUST_MARGIN(Unit.RATIO, in -> Thrust.of(in.setUp(), Lean.of(in.setUp())).margin()),
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
    RADIUS(Unit.MILLIMETRE, in -> BridgeCurve.of(in.setUp()).radiusMm().get(middle(in)));

    private final Unit unit;
    private final ToDoubleFunction<Inputs> value;

    Worked(Unit unit, ToDoubleFunction<Inputs> value) {
        this.unit = unit;
        this.value = value;
    }

    /** {@return its unit} */
    public Unit unit() {
        return unit;
    }

    /** {@return the same figure of a step, where its working can be asked; they go by one name} */
    public static Optional<Worked> of(StepFigure figure) {
        return Arrays.stream(values())
                .filter(worked -> worked.name().equals(figure.name()))
                .findFirst();
    }

    /**
     * Works it out.
     *
     * @param inputs what it rests on
     * @return the figure's value, in its unit
     * @throws IllegalArgumentException when the figure is one string's and none is asked about
     */
    public double value(Inputs inputs) {
        return value.applyAsDouble(inputs);
    }

    private static Elasticity elasticity(Inputs in) {
        return in.setUp().elasticity(in.theString());
    }

    private static WindingPlan winding(Inputs in) {
        return WindingPlan.of(in.setUp(), in.theString(), in.choice());
    }

    private static FineTuner tuner(Inputs in) {
        return FineTuner.of(in.setUp(), in.place());
    }

    private static double drag(Inputs in, double stuckShare) {
        double allN = in.setUp().tensionsN(in.strings()).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
        return Drag.ofRaising(in.setUp(), in.theString(), stuckShare, allN).degrees();
    }

    /** The points of the curve run from the lowest string to the highest. */
    private static int middle(Inputs in) {
        Position position = in.place();
        if (in.setUp().isOuter(position)) {
            throw new IllegalArgumentException("string is " + position + "; this figure is a middle string's");
        }
        return in.setUp().positions().size() - 1 - position.number();
    }
}
