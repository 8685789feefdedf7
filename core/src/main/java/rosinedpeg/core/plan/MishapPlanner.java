package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bridge.BridgeEasing;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.strings.Position;

/**
 * What to do when something goes wrong: steps that go in before the one in hand. They end with every string as the plan
 * expects it there, so that the work goes on as planned; after a fallen post nothing goes on.
 */
public final class MishapPlanner {

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
            StepKind.WIND_FIRST_PART,
            StepKind.WIND_TO_WALL,
            StepKind.WIND_LEAVING_GAP,
            StepKind.WIND_BY_CRANK,
            StepKind.WIND_UNDER,
            StepKind.SEAT_IN_GROOVES,
            StepKind.PRESS_INTO_BENDS,
            StepKind.CLOSE_UP_TURNS);

    /** How a string that was on is taken off. */
    private static final Set<StepKind> REMOVES = EnumSet.of(
            StepKind.BACK_OUT_FINE_TUNER,
            StepKind.LET_DOWN,
            StepKind.FREE_TAIL_END,
            StepKind.COIL_OLD_STRING,
            StepKind.CUT_UP_OLD_STRING);

    /** Of these, what is left out while the string stays hung at its tail; it is wound in one go then. */
    private static final Set<StepKind> BEFORE_HUNG = EnumSet.of(
            StepKind.WIND_FIRST_PART,
            StepKind.FIT_FELT,
            StepKind.TRIM_TIP,
            StepKind.SLIDE_TUBE_ON,
            StepKind.TAKE_TUBE_OFF,
            StepKind.HANG_TAIL_END,
            StepKind.SET_BALL_UPRIGHT,
            StepKind.DRAW_BALL_INTO_CHANNEL);

    /** What was seen of the load before something went wrong is said anew after it. */
    private static final Set<Caution> OF_LOAD =
            EnumSet.of(Caution.POST_THIN, Caution.POST_UNHELD, Caution.BASS_FOOT_THIN, Caution.BASS_FOOT_UNHELD);

    private final ChangePlan plan;
    private final int reached;
    private final Optional<Lean> lean;
    private final Map<Position, Double> expectedN;
    private final StepList list;
    /** What comes after the cure: what was to come, unless the cure says otherwise. */
    private List<Step> rest;

    private MishapPlanner(ChangePlan plan, int reached, Optional<Lean> lean) {
        this.plan = plan;
        this.reached = reached;
        this.lean = lean;
        this.expectedN = reached == 0
                ? plan.tensionsAtStartN()
                : plan.steps().get(reached - 1).tensionsAfterN();
        boolean backwards =
                plan.steps().stream().anyMatch(step -> step.figures().containsKey(StepFigure.GAP_TO_AIM_FOR));
        this.list = stepsFrom(expectedN, backwards ? Schools.Stance.HAIR_BACKWARDS : Schools.Stance.SQUARE);
        this.rest = toCome();
        list.tested(plan.steps().subList(0, reached));
    }

    /** {@return no steps yet, of a plan like this one, with the strings carrying so much} */
    private StepList stepsFrom(Map<Position, Double> carriedN, Schools.Stance stance) {
        StepList steps = new StepList(
                plan.kind(),
                plan.setUp(),
                Particulars.USUAL.within(plan.bands()),
                standing(stance),
                plan.tensionsBeforeN(),
                plan.tensionsAfterN());
        carriedN.forEach(steps::setTensionN);
        return steps;
    }

    /** Writes a step down again; what was seen of the load before is seen anew. */
    private static void again(Step step, Map<StepFigure, Figure> figures, StepList to) {
        List<Caution> cautions = new ArrayList<>(step.cautions());
        cautions.removeAll(OF_LOAD);
        to.add(step.kind(), step.position(), step.materials(), cautions, figures);
    }

    private static Schools.Bridge standing(Schools.Stance stance) {
        return new Schools.Bridge(stance, Schools.USUAL.bridge().raising(), Schools.Evening.LEFT_ALONE);
    }

    /**
     * What has to be done now.
     *
     * @param plan the plan that is being followed
     * @param reached the index of the step in hand, within the plan
     * @param mishap what went wrong
     * @param times how often the same has gone wrong in this run already, 0 or more; what did not help is not tried again
     * @param lean how the bridge leaned when it was last read, empty when nobody read it
     * @return what goes into the plan before the step in hand
     */
    public static Amendment amendment(ChangePlan plan, int reached, Mishap mishap, int times, Optional<Lean> lean) {
        if (reached < 0 || reached >= plan.steps().size()) {
            throw new IllegalArgumentException("reached is " + reached + "; it must be from 0 to "
                    + (plan.steps().size() - 1));
        }
        requireNonNull(lean, "lean");
        MishapPlanner planner = new MishapPlanner(plan, reached, lean);
        List<Step> rest = planner.answer(mishap, times);
        List<Step> now = new ArrayList<>(planner.list.steps());
        // A cure that ends with a look at the bridge does not need the one that was coming.
        if (!rest.isEmpty()
                && !now.isEmpty()
                && rest.get(0).kind() == StepKind.CHECK_BRIDGE
                && now.get(now.size() - 1).kind() == StepKind.CHECK_BRIDGE) {
            now.remove(now.size() - 1);
        }
        now.addAll(rest);
        return Amendment.between(planner.toCome(), now);
    }

    /**
     * What each string carries the moment it has gone wrong.
     *
     * @param mishap what went wrong
     * @param tensionsN what they carried before, in N; changed
     */
    public static void strike(Mishap mishap, Map<Position, Double> tensionsN) {
        requireFinite("tensionsN", tensionsN);
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
        Map<Position, Double> carriedN = list.tensionsN();
        Set<Position> still = EnumSet.of(stays);
        if (stays.in(carriedN) == 0) {
            carriedN.forEach((position, tensionN) -> {
                if (tensionN >= BEGUN * position.in(plan.tensionsBeforeN())) {
                    still.add(position);
                }
            });
        }
        StepList left = stepsFrom(carriedN, Schools.Stance.SQUARE);
        left.tested(plan.steps().subList(0, reached));
        left.tested(list.steps());
        for (Step step : toCome()) {
            if (step.position() == null || !still.contains(step.position())) {
                if (step.kind().turnsEveryPeg()) {
                    left.testMachines();
                }
                Map<Position, Double> thenN = new EnumMap<>(step.tensionsAfterN());
                still.forEach(position -> thenN.put(position, carriedN.get(position)));
                boolean holds = thenN.values().stream().anyMatch(tensionN -> tensionN > 0);
                if (!holds && !left.slack()) {
                    lieFlat(left);
                } else if (holds && left.slack() && !did(kind -> kind == StepKind.LOOK_FOR_POST, left)) {
                    left.lookForPost();
                }
                thenN.forEach(left::setTensionN);
                again(step, step.figures(), left);
            }
        }
        return left.steps();
    }

    /**
     * How a mishap is answered: what to do the first times, and what becomes of the work once that did not help.
     *
     * @param tries how often the cure is tried before it is a repairer's
     * @param cure writes the steps for the n-th time, from 0; the work goes on as planned after them
     * @param referral writes the last steps here, and says what of the plan is left
     */
    private record Remedy(int tries, IntConsumer cure, Supplier<List<Step>> referral) {}

    /** Cure and referral of every mishap; one that is added here does not compile without both. */
    // A mishap of a string names it, and the others do not ask for one.
    @SuppressWarnings("NullAway")
    private Remedy remedy(Mishap mishap) {
        Position position = mishap.position();
        boolean friction = plan.setUp().pegKind().holdsByFriction();
        return switch (mishap.kind()) {
            // Twice at one place is a fault of the instrument: a third string would break there too.
            case STRING_BROKE ->
                new Remedy(1, time -> replace(position), () -> {
                    takeOutRemains(position);
                    return leave(position);
                });
            case TIP_PULLED_OUT, TURNS_CROSSED ->
                new Remedy(2, time -> rewind(position, false), () -> {
                    letDown(position);
                    return leave(position);
                });
            case PEG_SLIPS -> new Remedy(friction ? 2 : 1, time -> pegSlips(position, time), () -> leave(position));
            case PEG_STUCK -> new Remedy(1, time -> freePeg(position), () -> leave(position));
            case BRIDGE_LEANING -> new Remedy(2, time -> ease(false), this::leaveAtPartTension);
            case BRIDGE_LEANING_BACKWARDS -> new Remedy(2, time -> ease(true), this::leaveAtPartTension);
            case BRIDGE_WALKED -> new Remedy(2, time -> moveBridge(), this::leaveAtPartTension);
            case BRIDGE_DOWN -> new Remedy(1, time -> standBridge(), this::leaveSlack);
            case POST_RATTLES -> new Remedy(0, time -> {}, this::leaveSlack);
            case GROOVE_SNAGS ->
                new Remedy(1, time -> aside(position, () -> list.graphite(position)), () -> leave(position));
            case WRONG_STRING ->
                new Remedy(
                        2,
                        time -> {
                            letDown(position);
                            list.add(StepKind.FREE_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
                            putOn(position, true);
                        },
                        () -> leave(position));
            case BALL_JAMMED ->
                new Remedy(
                        1,
                        time -> aside(position, () -> list.add(StepKind.SET_BALL_UPRIGHT, position)),
                        () -> leave(position));
            case TUNER_AT_ITS_END ->
                new Remedy(
                        1,
                        time -> {
                            if (position.in(plan.setUp().tailEnds()).hasFineTuner()) {
                                list.add(StepKind.BACK_OUT_FINE_TUNER, position);
                            }
                            bringBackUp(position);
                        },
                        () -> leave(position));
            // Whoever cuts a hand twice, or has to stop for the third time, hands the work over.
            case CUT_FINGER ->
                new Remedy(1, time -> list.add(StepKind.TEND_CUT, null), () -> {
                    list.add(StepKind.TEND_CUT, null);
                    return handOver();
                });
            case MUST_STOP -> new Remedy(2, time -> list.add(StepKind.MAKE_SAFE, null), this::handOver);
        };
    }

    /** {@return whether a mishap ends in a repairer's hands when it has happened so often before} */
    public static boolean refers(ChangePlan plan, Mishap mishap, int times) {
        return times
                >= new MishapPlanner(plan, 0, Optional.empty()).remedy(mishap).tries();
    }

    /** Writes the steps; says what of the plan comes after them. */
    private List<Step> answer(Mishap mishap, int times) {
        Remedy remedy = remedy(mishap);
        if (list.slack()) {
            layFlat();
        }
        if (times >= remedy.tries()) {
            return remedy.referral().get();
        }
        remedy.cure().accept(times);
        return rest;
    }

    /** One string stays as it is; the others come to their end. */
    private List<Step> leave(Position position) {
        list.add(StepKind.LEAVE_TO_REPAIRER, position);
        return without(position);
    }

    /** A bridge that does not stay where it was put: what keeps the post, no more, and nothing is raised. */
    private List<Step> leaveAtPartTension() {
        list.letDownTo(BridgeEasing.PART_TENSION);
        list.add(StepKind.LEAVE_TO_REPAIRER, null, List.of(), List.of(Caution.BRIDGE));
        return List.of();
    }

    /** Post or bridge down for good: all tension stays off. */
    private List<Step> leaveSlack() {
        layFlat();
        list.letAllDown();
        list.add(StepKind.LEAVE_TO_REPAIRER, null);
        return List.of();
    }

    /** The work as planned stands; somebody else may do it. */
    private List<Step> handOver() {
        list.add(StepKind.MAKE_SAFE, null);
        list.add(StepKind.LEAVE_TO_REPAIRER, null);
        return toCome();
    }

    private void replace(Position position) {
        Optional<List<Step>> withoutOld = oldIsOn(position) ? withoutOld(position) : Optional.empty();
        takeOutRemains(position);
        if (withoutOld.isPresent()) {
            rest = withoutOld.get();
            return;
        }
        list.graphite(position);
        putOn(position, true);
    }

    /** {@return whether a string that was to be changed is still the one that was on before} */
    private boolean oldIsOn(Position position) {
        return toCome().stream().anyMatch(step -> step.kind() == StepKind.LET_DOWN && step.position() == position);
    }

    /**
     * What is left of the plan when a string breaks that was to come off anyway: its new one goes on as soon as no other is in hand, and
     * nobody lets down or takes off what is not there.
     *
     * @return that; empty where the post would have too little meanwhile, so that it has to be replaced at once
     */
    private Optional<List<Step>> withoutOld(Position broken) {
        Map<Position, Double> nowN = list.tensionsN();
        nowN.put(broken, 0.0);
        StepList left = stepsFrom(nowN, Schools.Stance.SQUARE);
        left.tested(plan.steps().subList(0, reached));
        for (Step step : brokenFirst(broken)) {
            // The order is another one now: what comes first is tried first.
            if (step.kind() == StepKind.TEST_MACHINE_DIRECTION) {
                continue;
            }
            if (step.kind().turnsEveryPeg()) {
                left.testMachines();
            } else if (step.kind().turnsItsPeg() && step.position() != null) {
                left.testMachine(step.position());
            }
            Map<Position, Double> beforeN = step.index() == 0
                    ? plan.tensionsAtStartN()
                    : plan.steps().get(step.index() - 1).tensionsAfterN();
            step.tensionsAfterN().forEach((position, tensionN) -> {
                if (!tensionN.equals(position.in(beforeN))) {
                    left.setTensionN(position, tensionN);
                }
            });
            if (plan.bands().of(plan.load().shares(left.tensionsN()).treble()) == LoadBand.UNHELD) {
                return Optional.empty();
            }
            again(step, step.figures(), left);
        }
        return left.tensionsN().equals(plan.steps().get(plan.steps().size() - 1).tensionsAfterN())
                ? Optional.of(left.steps())
                : Optional.empty();
    }

    /** {@return the steps to come with those of a broken string before those of strings that are not begun, and without its removal} */
    private List<Step> brokenFirst(Position broken) {
        List<Step> own = new ArrayList<>();
        List<Step> others = new ArrayList<>();
        boolean inHand = list.tensionsN().entrySet().stream()
                .anyMatch(at -> at.getKey() != broken
                        && at.getValue() < BEGUN * at.getKey().in(plan.tensionsBeforeN()));
        int where = -1;
        @Nullable Position worked = null;
        for (Passage passage : Passage.of(plan)) {
            for (Step step : passage.steps()) {
                if (step.index() < reached) {
                    worked = passage.string().orElse(worked);
                    continue;
                }
                boolean ofBroken = passage.string().filter(broken::equals).isPresent();
                boolean begins = passage.string().isPresent()
                        && !(inHand && passage.string().get() == worked);
                if (where < 0 && begins) {
                    where = others.size();
                }
                if (!ofBroken) {
                    others.add(step);
                } else if (!(REMOVES.contains(step.kind()) && step.position() == broken && !putOn(own, broken))) {
                    own.add(step);
                }
            }
        }
        List<Step> rest = new ArrayList<>(others);
        rest.addAll(Math.max(where, 0), own);
        return rest;
    }

    private static boolean putOn(List<Step> steps, Position position) {
        return steps.stream()
                .anyMatch(step -> step.position() == position && step.kind().beginsWithString());
    }

    private void takeOutRemains(Position position) {
        layFlatWithout(position);
        list.setTensionN(position, 0);
        if (position.in(plan.setUp().tailEnds()).hasFineTuner()) {
            list.add(StepKind.BACK_OUT_FINE_TUNER, position);
        }
        list.add(
                StepKind.TAKE_OUT_REMAINS,
                position,
                List.of(Material.TWEEZERS),
                List.of(Caution.SHARP_ENDS, Caution.CUTTER));
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

    private void freePeg(Position position) {
        if (plan.setUp().pegKind().holdsByFriction()) {
            list.add(StepKind.FREE_PEG, position, List.of(Material.LINT_FREE_CLOTH), List.of(Caution.PEG));
        } else {
            list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
        }
    }

    private void pegSlips(Position position, int times) {
        if (times > 0) {
            rewind(position, true);
        } else if (plan.setUp().pegKind().holdsByFriction()) {
            list.add(StepKind.PUSH_PEG_IN, position, List.of(), List.of(Caution.PEG));
            bringBackUp(position);
        } else {
            list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
            bringBackUp(position);
        }
    }

    private void letDown(Position position) {
        if (list.tensionN(position) > 0) {
            layFlatWithout(position);
            list.testMachine(position);
            list.setTensionN(position, 0);
            list.add(StepKind.LET_DOWN_AT_PEG, position, List.of(), List.of(Caution.EYES, Caution.SHARP_ENDS));
        }
    }

    /** The steps that had put the string on so far; for one that this plan does not put on, in a few words. */
    private void putOn(Position position, boolean withTail) {
        List<Step> done = plan.steps().subList(0, reached).stream()
                .filter(step -> step.position() == position && PUTS_ON.contains(step.kind()))
                .filter(step -> withTail || !BEFORE_HUNG.contains(step.kind()))
                .toList();
        boolean wound = done.stream().anyMatch(step -> step.kind() == StepKind.SEAT_IN_GROOVES);
        if (wound || position.in(expectedN) == 0) {
            Set<StepKind> again = EnumSet.noneOf(StepKind.class);
            done.stream().filter(step -> again.add(step.kind())).forEach(step -> putOnAgain(step, withTail));
        } else {
            if (withTail) {
                list.add(StepKind.HANG_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
            }
            list.testMachine(position);
            list.add(StepKind.REWIND, position, List.of(), list.winding());
            list.add(StepKind.SEAT_IN_GROOVES, position);
            list.add(StepKind.CLOSE_UP_TURNS, position);
        }
        bringBackUp(position);
    }

    private void putOnAgain(Step step, boolean withTail) {
        if (step.kind().turnsItsPeg() && step.position() != null) {
            list.testMachine(step.position());
        }
        again(step, withTail ? step.figures() : inOneGo(step.figures()), list);
    }

    /** A string that stays hung at its tail is wound in one go. */
    private static Map<StepFigure, Figure> inOneGo(Map<StepFigure, Figure> figures) {
        Map<StepFigure, Figure> whole = new EnumMap<>(StepFigure.class);
        whole.putAll(figures);
        whole.keySet()
                .removeAll(Set.of(StepFigure.PART_TURNS, StepFigure.PART_HALF_TURNS, StepFigure.PART_CRANK_TURNS));
        return whole;
    }

    private void bringBackUp(Position position) {
        if (position.in(expectedN) > 0) {
            list.testMachine(position);
            if (list.unheld()) {
                list.lookForPost();
            }
            list.setTensionN(position, position.in(expectedN));
            list.add(
                    StepKind.BRING_BACK_UP,
                    position,
                    List.of(Material.TUNER, Material.EYE_PROTECTION),
                    List.of(Caution.EYES, Caution.BRIDGE));
            list.checkBridge(null);
        }
    }

    private void aside(Position position, Runnable work) {
        double expected = position.in(expectedN);
        if (expected == 0) {
            work.run();
            return;
        }
        list.testMachine(position);
        list.setTensionN(position, InstrumentLoad.SET_ASIDE * expected);
        list.add(StepKind.SET_ASIDE_NEIGHBOUR, position);
        work.run();
        list.setTensionN(position, expected);
        list.add(StepKind.RETURN_NEIGHBOUR, position, List.of(Material.TUNER), List.of(Caution.EYES));
        list.checkBridge(position);
    }

    private void ease(boolean backwards) {
        list.easeBridge(BridgeEasing.of(plan.setUp(), backwards, lean.filter(read -> read.degrees() < 0 == backwards)));
    }

    private void moveBridge() {
        list.letDownTo(BridgeEasing.PART_TENSION);
        list.add(
                StepKind.MOVE_BRIDGE_BACK,
                null,
                List.of(Material.RULER),
                List.of(Caution.BRIDGE, Caution.NO_WEIGHT_ON_SOUND_HOLES));
        raise(1);
    }

    private void standBridge() {
        layFlat();
        list.letAllDown();
        list.lookForPost();
        list.add(StepKind.SLIDE_BRIDGE_UNDER, null, List.of(), List.of(Caution.BRIDGE));
        list.add(StepKind.STAND_BRIDGE, null, List.of(Material.RIGHT_ANGLE_CARD), List.of(Caution.BRIDGE));
        TuningRounds.FROM_SLACK.forEach(this::raise);
    }

    /** The last string that carries anything is about to be slack. */
    private void layFlatWithout(Position position) {
        if (list.tensionsN().entrySet().stream().allMatch(at -> at.getKey() == position || at.getValue() == 0)) {
            lieFlat();
        }
    }

    /** Nothing holds the post now. */
    private void layFlat() {
        plan.setUp().positions().forEach(position -> list.setTensionN(position, 0));
        lieFlat();
    }

    private void lieFlat() {
        lieFlat(list);
    }

    /** What lies on its back already is not moved. */
    private void lieFlat(StepList written) {
        if (!did(kind -> kind == StepKind.LAY_FLAT || kind == StepKind.LAY_ON_BACK_AND_BLOCK, written)) {
            written.layFlat();
        }
    }

    /** {@return whether such a step was done in this run, or comes before what is written next} */
    private boolean did(Predicate<StepKind> kind, StepList written) {
        return Stream.of(plan.steps().subList(0, reached), list.steps(), written.steps())
                .flatMap(List::stream)
                .map(Step::kind)
                .anyMatch(kind);
    }

    private void raise(double share) {
        list.raise(StepKind.RAISE_ALL, expectedN, share);
        list.checkBridge(null);
    }
}
