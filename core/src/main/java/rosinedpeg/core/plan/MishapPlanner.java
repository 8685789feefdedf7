package rosinedpeg.core.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.strings.Position;

/**
 * What to do when something goes wrong: steps that go in before the one in hand. They end with every string as the plan
 * expects it there, so that the work goes on as planned; after a fallen post nothing goes on.
 */
public final class MishapPlanner {

    /** A bridge that has walked is moved with this share of the tension on. */
    private static final double MOVED_AT = 0.6;

    /** A string that carries less than this share of its tension is off or set aside. */
    private static final double BEGUN = 0.5;

    /** How a string is put on, as far as the work on it has come. */
    private static final Set<StepKind> PUTS_ON = EnumSet.of(
            StepKind.FIT_FELT,
            StepKind.TRIM_TIP,
            StepKind.SLIDE_TUBE_ON,
            StepKind.TAKE_TUBE_OFF,
            StepKind.HANG_TAIL_END,
            StepKind.SET_BALL_UPRIGHT,
            StepKind.DRAW_BALL_INTO_CHANNEL,
            StepKind.LOCK_FAR_SIDE_THEN_CROSS,
            StepKind.LOCK_STRAIGHT_TO_WALL,
            StepKind.LOCK_TWICE_THROUGH_HOLE,
            StepKind.LOCK_ROUND_STANDING_PART,
            StepKind.WIND_TO_WALL,
            StepKind.WIND_LEAVING_GAP,
            StepKind.WIND_BY_CRANK,
            StepKind.WIND_UNDER,
            StepKind.PRESS_INTO_BENDS,
            StepKind.SEAT_IN_GROOVES);

    private static final Set<StepKind> AT_TAIL = EnumSet.of(
            StepKind.FIT_FELT,
            StepKind.TRIM_TIP,
            StepKind.SLIDE_TUBE_ON,
            StepKind.TAKE_TUBE_OFF,
            StepKind.HANG_TAIL_END,
            StepKind.SET_BALL_UPRIGHT,
            StepKind.DRAW_BALL_INTO_CHANNEL);

    private final ChangePlan plan;
    private final int reached;
    private final Map<Position, Double> expectedN;
    private final StepList list;

    private MishapPlanner(ChangePlan plan, int reached) {
        this.plan = plan;
        this.reached = reached;
        this.expectedN = reached == 0
                ? plan.tensionsAtStartN()
                : plan.steps().get(reached - 1).tensionsAfterN();
        boolean backwards =
                plan.steps().stream().anyMatch(step -> step.figures().containsKey(StepFigure.GAP_TO_AIM_FOR));
        this.list = new StepList(
                plan.kind(),
                plan.setUp(),
                Particulars.USUAL.within(plan.bands()),
                standing(backwards ? Schools.Stance.HAIR_BACKWARDS : Schools.Stance.SQUARE),
                plan.tensionsBeforeN(),
                plan.tensionsAfterN());
        expectedN.forEach(list::setTensionN);
    }

    private static Schools.Bridge standing(Schools.Stance stance) {
        return new Schools.Bridge(stance, Schools.USUAL.bridge().raising(), Schools.Evening.LEFT_ALONE);
    }

    /**
     * Puts in what has to be done now.
     *
     * @param plan the plan that is being followed
     * @param reached the index of the step in hand, within the plan
     * @param mishap what went wrong
     * @param times how often the same has gone wrong in this run already, 0 or more; what did not help is not tried again
     * @return the plan from now on; its steps before the one in hand are the same
     */
    public static ChangePlan amended(ChangePlan plan, int reached, Mishap mishap, int times) {
        MishapPlanner planner = new MishapPlanner(plan, reached);
        List<Step> rest = planner.cure(mishap, times);
        List<Step> cure = new ArrayList<>(planner.list.steps());
        // A cure that ends with a look at the bridge does not need the one that was coming.
        if (!rest.isEmpty()
                && !cure.isEmpty()
                && rest.get(0).kind() == StepKind.CHECK_BRIDGE
                && cure.get(cure.size() - 1).kind() == StepKind.CHECK_BRIDGE) {
            cure.remove(cure.size() - 1);
        }
        List<Step> steps = new ArrayList<>(plan.steps().subList(0, reached));
        cure.forEach(step -> steps.add(step.at(steps.size())));
        rest.forEach(step -> steps.add(step.at(steps.size())));
        return plan.following(steps);
    }

    /**
     * What each string carries the moment it has gone wrong.
     *
     * @param mishap what went wrong
     * @param tensionsN what they carried before, in N; changed
     */
    public static void strike(Mishap mishap, Map<Position, Double> tensionsN) {
        switch (mishap.kind()) {
            case STRING_BROKE, TIP_PULLED_OUT -> tensionsN.put(mishap.position(), 0.0);
            case BRIDGE_DOWN -> tensionsN.replaceAll((position, tensionN) -> 0.0);
            default -> {}
        }
    }

    private List<Step> toCome() {
        return plan.steps().subList(reached, plan.steps().size());
    }

    /**
     * What is left of the plan when a string has to stay as it is. One that is off leaves the post with less than was
     * planned for: then no other string is begun, and those that were begun go back on.
     */
    private List<Step> without(Position stays) {
        Set<Position> still = EnumSet.of(stays);
        if (expectedN.get(stays) == 0) {
            expectedN.forEach((position, tensionN) -> {
                if (tensionN >= BEGUN * plan.tensionsBeforeN().get(position)) {
                    still.add(position);
                }
            });
        }
        StepList left = new StepList(
                plan.kind(),
                plan.setUp(),
                Particulars.USUAL.within(plan.bands()),
                standing(Schools.Stance.SQUARE),
                plan.tensionsBeforeN(),
                plan.tensionsAfterN());
        for (Step step : toCome()) {
            if (step.position() == null || !still.contains(step.position())) {
                step.tensionsAfterN()
                        .forEach((position, tensionN) -> left.setTensionN(
                                position, still.contains(position) ? expectedN.get(position) : tensionN));
                List<Caution> cautions = new ArrayList<>(step.cautions());
                cautions.remove(Caution.POST_THIN);
                left.add(step.kind(), step.position(), step.materials(), cautions, step.figures());
            }
        }
        return left.steps();
    }

    /** Writes the steps; says what of the plan comes after them. */
    private List<Step> cure(Mishap mishap, int times) {
        Position position = mishap.position();
        switch (mishap.kind()) {
            case STRING_BROKE -> replace(position);
            case TIP_PULLED_OUT, TURNS_CROSSED -> rewind(position, false);
            case PEG_SLIPS -> pegSlips(position, times);
            case PEG_STUCK -> {
                if (times == 0 && plan.setUp().pegKind().holdsByFriction()) {
                    list.add(StepKind.FREE_PEG, position, List.of(Material.LINT_FREE_CLOTH), List.of(Caution.PEG));
                } else if (times == 0) {
                    list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
                } else {
                    list.add(StepKind.LEAVE_TO_REPAIRER, position);
                    return without(position);
                }
            }
            case BRIDGE_LEANING -> easeBack();
            case BRIDGE_WALKED -> moveBridge();
            case BRIDGE_DOWN -> standBridge();
            case POST_RATTLES -> {
                plan.setUp().positions().forEach(each -> list.setTensionN(each, 0));
                list.add(StepKind.LET_ALL_DOWN, null, List.of(), List.of(Caution.EYES, Caution.POST_UNHELD));
                list.add(StepKind.LEAVE_TO_REPAIRER, null, List.of(), List.of(Caution.POST_UNHELD));
                return List.of();
            }
            case GROOVE_SNAGS -> aside(position, () -> list.add(StepKind.GRAPHITE, position, Material.SOFT_PENCIL));
            case WRONG_STRING -> {
                letDown(position);
                list.add(StepKind.FREE_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
                putOn(position, true);
            }
            case BALL_JAMMED -> aside(position, () -> list.add(StepKind.SET_BALL_UPRIGHT, position));
            case TUNER_AT_ITS_END -> {
                list.add(StepKind.BACK_OUT_FINE_TUNER, position);
                bringBackUp(position);
            }
            case CUT_FINGER -> list.add(StepKind.TEND_CUT, null);
            case MUST_STOP -> list.add(StepKind.MAKE_SAFE, null);
        }
        return toCome();
    }

    private void replace(Position position) {
        list.setTensionN(position, 0);
        list.add(
                StepKind.TAKE_OUT_REMAINS,
                position,
                List.of(Material.TWEEZERS),
                List.of(Caution.SHARP_ENDS, Caution.CUTTER));
        list.add(StepKind.GRAPHITE, position, Material.SOFT_PENCIL);
        putOn(position, true);
    }

    private void rewind(Position position, boolean treated) {
        letDown(position);
        if (treated) {
            list.add(
                    StepKind.TREAT_PEG,
                    position,
                    List.of(Material.LINT_FREE_CLOTH, Material.PEG_COMPOUND),
                    List.of(Caution.PEG, Caution.NO_LUBRICANT));
        }
        putOn(position, false);
    }

    private void pegSlips(Position position, int times) {
        boolean friction = plan.setUp().pegKind().holdsByFriction();
        if (times == 0 && !friction) {
            list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
            bringBackUp(position);
        } else if (times == 0) {
            list.add(StepKind.PUSH_PEG_IN, position, List.of(), List.of(Caution.PEG));
            bringBackUp(position);
        } else if (times == 1 && friction) {
            rewind(position, true);
        } else {
            list.add(StepKind.LEAVE_TO_REPAIRER, position);
        }
    }

    private void letDown(Position position) {
        if (expectedN.get(position) > 0) {
            list.setTensionN(position, 0);
            list.add(StepKind.LET_DOWN_AT_PEG, position, List.of(), List.of(Caution.EYES, Caution.SHARP_ENDS));
        }
    }

    /** The steps that had put the string on so far; for one that this plan does not put on, in a few words. */
    private void putOn(Position position, boolean withTail) {
        List<Step> done = plan.steps().subList(0, reached).stream()
                .filter(step -> step.position() == position && PUTS_ON.contains(step.kind()))
                .filter(step -> withTail || !AT_TAIL.contains(step.kind()))
                .toList();
        boolean wound = done.stream().anyMatch(step -> step.kind() == StepKind.SEAT_IN_GROOVES);
        if (wound || expectedN.get(position) == 0) {
            Set<StepKind> again = EnumSet.noneOf(StepKind.class);
            done.stream()
                    .filter(step -> again.add(step.kind()))
                    .forEach(
                            step -> list.add(step.kind(), position, step.materials(), step.cautions(), step.figures()));
        } else {
            if (withTail) {
                list.add(StepKind.HANG_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
            }
            list.add(StepKind.REWIND, position, List.of(), List.of(Caution.ADULT_WINDS));
            list.add(StepKind.SEAT_IN_GROOVES, position);
        }
        bringBackUp(position);
    }

    private void bringBackUp(Position position) {
        if (expectedN.get(position) > 0) {
            list.setTensionN(position, expectedN.get(position));
            list.add(
                    StepKind.BRING_BACK_UP,
                    position,
                    List.of(Material.TUNER, Material.EYE_PROTECTION),
                    List.of(Caution.EYES, Caution.BRIDGE));
            checkBridge();
        }
    }

    private void aside(Position position, Runnable work) {
        double expected = expectedN.get(position);
        if (expected == 0) {
            work.run();
            return;
        }
        list.setTensionN(position, InstrumentLoad.SET_ASIDE * expected);
        list.add(StepKind.SET_ASIDE_NEIGHBOUR, position);
        work.run();
        list.setTensionN(position, expected);
        list.add(StepKind.RETURN_NEIGHBOUR, position, List.of(Material.TUNER), List.of(Caution.EYES));
    }

    private void checkBridge() {
        list.add(StepKind.CHECK_BRIDGE, null, List.of(Material.RIGHT_ANGLE_CARD), List.of(Caution.BRIDGE));
    }

    private void easeBack() {
        list.add(
                StepKind.EASE_BRIDGE_BACK,
                null,
                List.of(Material.RIGHT_ANGLE_CARD),
                List.of(Caution.BRIDGE, Caution.NO_WEIGHT_ON_SOUND_HOLES));
    }

    private void moveBridge() {
        all(MOVED_AT);
        list.add(StepKind.LET_ALL_DOWN_A_LITTLE, null, List.of(), List.of(Caution.EYES, Caution.BRIDGE));
        list.add(
                StepKind.MOVE_BRIDGE_BACK,
                null,
                List.of(Material.RULER),
                List.of(Caution.BRIDGE, Caution.NO_WEIGHT_ON_SOUND_HOLES));
        raise(1);
    }

    private void standBridge() {
        all(0);
        list.add(StepKind.LET_ALL_DOWN, null, List.of(), List.of(Caution.EYES));
        list.add(StepKind.LOOK_FOR_POST, null, Material.GOOD_LIGHT);
        list.add(StepKind.SLIDE_BRIDGE_UNDER, null, List.of(), List.of(Caution.BRIDGE));
        list.add(StepKind.STAND_BRIDGE, null, List.of(Material.RIGHT_ANGLE_CARD), List.of(Caution.BRIDGE));
        TuningRounds.FROM_SLACK.forEach(this::raise);
    }

    private void raise(double share) {
        all(share);
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        figures.put(StepFigure.TENSION_SHARE, Figure.byDefault(share, Unit.SHARE));
        figures.put(
                StepFigure.BELOW_PITCH,
                Figure.byDefault(Cents.ofTensionFraction(share).value(), Unit.CENT));
        list.add(
                StepKind.RAISE_ALL,
                null,
                List.of(Material.TUNER, Material.EYE_PROTECTION),
                List.of(Caution.EYES, Caution.BRIDGE),
                figures);
        checkBridge();
    }

    private void all(double share) {
        expectedN.forEach((position, tensionN) -> list.setTensionN(position, share * tensionN));
    }

    /** {@return whether a mishap ends in a repairer's hands when it has happened so often before} */
    public static boolean refers(ChangePlan plan, Mishap mishap, int times) {
        return switch (mishap.kind()) {
            case POST_RATTLES -> true;
            case PEG_STUCK -> times >= 1;
            case PEG_SLIPS -> times >= (plan.setUp().pegKind().holdsByFriction() ? 2 : 1);
            default -> false;
        };
    }
}
