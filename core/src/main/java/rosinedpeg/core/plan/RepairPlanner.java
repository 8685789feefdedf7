package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.bridge.BridgeEasing;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tailpiece.Afterlength;

/**
 * Plans for work that is not a plain change: one string on stage, the bridge down, another tailpiece, graphite or peg
 * treatment on a strung instrument.
 */
public final class RepairPlanner {

    private final SetUp setUp;
    private final Map<Position, StringSpec> strings;
    private final Schools schools;
    private final Particulars particulars;

    /**
     * Takes an instrument as it is strung.
     *
     * @param setUp the instrument
     * @param strings the strings on it, one for every position
     * @param schools the choices of the work
     * @param particulars what is particular to the instrument
     * @throws IllegalArgumentException when a position has no string
     */
    public RepairPlanner(SetUp setUp, Map<Position, StringSpec> strings, Schools schools, Particulars particulars) {
        requireNonNull(particulars, "particulars");
        requireNonNull(schools, "schools");
        if (!strings.keySet().containsAll(setUp.positions())) {
            throw new IllegalArgumentException(
                    "strings are at " + strings.keySet() + "; there must be one at each of " + setUp.positions());
        }
        this.setUp = setUp;
        this.strings = Map.copyOf(strings);
        this.schools = schools;
        this.particulars = particulars;
    }

    private StepList list(PlanKind kind) {
        Map<Position, Double> tensionsN = setUp.tensionsN(strings);
        return new StepList(kind, setUp, particulars, schools.bridge(), tensionsN, tensionsN);
    }

    /**
     * One string, now: old out, new on by the shortest honest path. Cleaning, peg and graphite are owed.
     *
     * @param request the change of a single string
     * @return the plan
     * @throws IllegalArgumentException when the request is for more than one string
     */
    public static ChangePlan emergency(ChangeRequest request) {
        if (request.replacements().size() != 1) {
            throw new IllegalArgumentException("replacements are for "
                    + request.replacements().keySet() + "; an emergency must be for one string");
        }
        Position position = request.replacements().keySet().iterator().next();
        SetUp setUp = request.setUp();
        StepList list = StepList.of(PlanKind.EMERGENCY, request);
        boolean broken = request.broken().contains(position);
        // On stage both ends go on as they come to hand: tail first keeps the string from springing about.
        Schools schools = request.schools()
                .with(
                        Schools.FirstEnd.TAIL_FIRST,
                        request.schools().atPeg().lock(),
                        request.schools().atPeg().wall())
                .with(request.schools().bass().lowestWay(), Schools.SpareTip.WRAPPED, Schools.Felts.LEFT_OFF);
        StringSteps steps = new StringSteps(list, schools, request.particulars().stuck());
        Set<Position> over = request.over(position);
        steps.setAsideDuring(over, () -> {
            steps.remove(position, broken);
            steps.putOn(position.in(request.replacements()), request.winding(position));
        });
        list.add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        list.settleGuard();
        list.add(StepKind.RECORD, null);
        StepKind pegStep = setUp.pegKind().holdsByFriction() ? StepKind.CLEAN_PEG : StepKind.LOOK_AT_GEARS;
        return list.plan(List.of(position), List.of(StepKind.WIPE_FINGERBOARD, pegStep, StepKind.GRAPHITE));
    }

    /**
     * The bridge has fallen. If the post stands it is stood up again and the strings are raised in rounds.
     *
     * @return the plan, a recorded repair
     */
    public ChangePlan bridgeDown() {
        StepList list = list(PlanKind.BRIDGE_DOWN);
        setUp.positions().forEach(list::slackAtStart);
        list.layFlat();
        list.lookForPost();
        list.letAllDown();
        list.add(StepKind.WASH_HANDS, null);
        setUp.positions().forEach(list::graphite);
        standAndRaise(list);
        list.finish();
        return list.plan(List.of(), List.of());
    }

    private void standAndRaise(StepList list) {
        list.add(StepKind.SLIDE_BRIDGE_UNDER, null, List.of(), List.of(Caution.BRIDGE));
        list.add(StepKind.STAND_BRIDGE, null, List.of(Material.RIGHT_ANGLE_CARD), List.of(Caution.BRIDGE));
        Map<Position, Double> outer = new EnumMap<>(list.after());
        outer.keySet().removeIf(position -> !setUp.isOuter(position));
        Map<Position, Double> inner = new EnumMap<>(list.after());
        inner.keySet().removeIf(setUp::isOuter);
        for (double share : TuningRounds.FROM_SLACK) {
            switch (schools.bridge().raising()) {
                case EQUAL_ROUNDS -> list.raise(StepKind.RAISE_ALL, list.after(), share);
                case INNER_PAIR_FIRST -> {
                    list.raise(StepKind.RAISE_INNER_PAIR, inner, share);
                    list.raise(StepKind.RAISE_OUTER_PAIR, outer, share);
                }
                case OUTER_PAIR_FIRST -> {
                    list.raise(StepKind.RAISE_OUTER_PAIR, outer, share);
                    list.raise(StepKind.RAISE_INNER_PAIR, inner, share);
                }
            }
            list.checkBridge(null);
        }
    }

    /**
     * Another tailpiece, or other fine tuners. All tension comes off, the recorded exception to the rule.
     *
     * @return the plan, with the cord set so that the afterlength is a sixth of the vibrating length
     */
    public ChangePlan tailpieceChange() {
        StepList list = list(PlanKind.TAILPIECE_CHANGE);
        list.add(StepKind.LOOK_OVER, null, Material.GOOD_LIGHT);
        list.add(StepKind.LAY_OUT_KIT, null, List.of(Material.TAILPIECE, Material.EYE_PROTECTION), List.of());
        list.layFlat();
        list.add(StepKind.MARK_BRIDGE, null, Material.SOFT_PENCIL);
        list.letAllDown();
        list.add(StepKind.UNHOOK_IN_ORDER, null, List.of(), List.of(Caution.BALL_ON_VARNISH));
        list.add(StepKind.TIE_STRINGS, null, Material.TIE);
        list.add(StepKind.CHANGE_TAILPIECE, null, List.of(Material.TAILPIECE), List.of());
        Afterlength afterlength = Afterlength.of(setUp);
        list.add(
                StepKind.SET_TAIL_CORD,
                null,
                List.of(Material.RULER),
                List.of(),
                Map.of(
                        StepFigure.AFTERLENGTH_TARGET,
                        Figure.workedOut(
                                afterlength.targetMm(),
                                Unit.MILLIMETRE,
                                setUp.weakestOrigin(Quantity.VIBRATING_LENGTH)),
                        StepFigure.CORD_CHANGE,
                        Figure.workedOut(
                                afterlength.cordChangeMm(),
                                Unit.MILLIMETRE,
                                setUp.weakestOrigin(Quantity.VIBRATING_LENGTH, Quantity.AFTERLENGTH))));
        list.add(StepKind.HOOK_BACK, null, List.of(), List.of(Caution.BALL_ON_VARNISH));
        list.add(StepKind.CHECK_STRING_PLACES, null);
        list.lookForPost();
        standAndRaise(list);
        list.finish();
        return list.plan(List.of(), List.of());
    }

    /**
     * Graphite on an instrument whose bridge is pulled forwards: each string is lifted aside, its grooves are done, and it
     * goes back; then the bridge is eased upright.
     *
     * @return the plan
     */
    public ChangePlan graphite() {
        StepList list = list(PlanKind.GRAPHITE);
        StringSteps steps = new StringSteps(list, schools, particulars.stuck());
        list.open();
        for (Position position : setUp.positions()) {
            steps.setAsideDuring(Set.of(position), () -> list.graphite(position));
        }
        list.easeBridge(BridgeEasing.of(setUp, Lean.measured(setUp)));
        list.finish();
        return list.plan(List.of(), List.of());
    }

    /**
     * Pegs drawn, cleaned and treated one by one, or gears looked at; the strings stay.
     *
     * @param pegs the pegs to see to, with how they behave, at least one
     * @return the plan
     * @throws IllegalArgumentException when no peg is named
     */
    public ChangePlan pegService(Map<Position, PegCondition> pegs) {
        if (pegs.isEmpty() || !setUp.positions().containsAll(pegs.keySet())) {
            throw new IllegalArgumentException(
                    "pegs are " + pegs.keySet() + "; they must be at least one of " + setUp.positions());
        }
        StepList list = list(PlanKind.PEG_SERVICE);
        StringSteps steps = new StringSteps(list, schools, particulars.stuck());
        Map<Position, Set<Position>> covering = ChangeRequest.covering(setUp, strings, schools);
        list.open();
        for (Position position : setUp.positions()) {
            if (pegs.containsKey(position) && !setUp.pegKind().holdsByFriction()) {
                steps.seeToGears(position);
            } else if (pegs.containsKey(position)) {
                steps.setAsideDuring(
                        position.in(covering),
                        () -> steps.servicePeg(
                                position.in(strings),
                                schools.winding(setUp, position, pegs.get(position)),
                                pegs.get(position)));
            }
        }
        list.finish();
        return list.plan(List.of(), List.of());
    }
}
