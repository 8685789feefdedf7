package rosinedpeg.core.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;

/**
 * Works out where a run stands from its plan and its ledger.
 *
 * <p>Events are taken by their number, in order; a number that comes twice counts once. Events that were taken back do
 * not count. A step event counts only if its step is the one that is due, so that a second press of the same button is
 * without effect. Graphite that was skipped is asked for again before the string gains tension; skipped a second time,
 * it stays owed. What has to be done about something that went wrong goes into the plan before the step in hand.
 */
public final class BenchLedger {

    private ChangePlan plan;
    private final InstrumentLoad load;
    private final Map<Position, Double> tensionsN;
    private final Map<Position, Double> pitchCents = new EnumMap<>(Position.class);
    private final Map<Position, Long> pitchSequences = new EnumMap<>(Position.class);
    private final Set<Integer> owed = new LinkedHashSet<>();
    private final Set<Integer> askedTwice = new HashSet<>();
    private final List<Mishap> mishaps = new ArrayList<>();
    private int reached;
    private int askedAgain = -1;
    private Map<Position, Double> thinnestN;
    private final List<BridgeLook> looks = new ArrayList<>();
    private boolean ended;
    private long lastStepSequence;

    private BenchLedger(ChangePlan plan) {
        this.plan = plan;
        this.load = plan.load();
        this.tensionsN = new EnumMap<>(plan.tensionsAtStartN());
        this.thinnestN = plan.tensionsAtStartN();
    }

    /**
     * Folds a ledger.
     *
     * @param plan the plan that is being followed
     * @param events everything that was recorded, in any order
     * @return where the run stands
     */
    public static BenchState fold(ChangePlan plan, Collection<? extends BenchEvent> events) {
        TreeMap<Long, BenchEvent> ledger = new TreeMap<>();
        events.forEach(event -> ledger.putIfAbsent(event.sequence(), event));
        Set<Long> undone = new HashSet<>();
        for (BenchEvent event : ledger.values()) {
            if (event instanceof BenchEvent.Undone taken) {
                undone.add(taken.undone());
            }
        }
        BenchLedger fold = new BenchLedger(plan);
        ledger.values().stream()
                .filter(event -> !undone.contains(event.sequence()))
                .forEach(fold::take);
        return fold.state(ledger.isEmpty() ? 0 : ledger.lastKey());
    }

    private void take(BenchEvent event) {
        if (ended || reached == plan.steps().size()) {
            return;
        }
        if (event instanceof BenchEvent.StepDone done) {
            done(done);
        } else if (event instanceof BenchEvent.StepSkipped skipped) {
            skipped(skipped);
        } else if (event instanceof BenchEvent.PitchRead read) {
            pitchRead(read);
        } else if (event instanceof BenchEvent.GapRead read) {
            gapRead(read);
        } else if (event instanceof BenchEvent.WentWrong wrong) {
            wentWrong(wrong);
        } else if (event instanceof BenchEvent.Ended) {
            ended = state(0).allStringsOn();
        }
        if (shares().treble() < load.shares(thinnestN).treble()) {
            thinnestN = Map.copyOf(tensionsN);
        }
    }

    private void wentWrong(BenchEvent.WentWrong wrong) {
        Mishap mishap = wrong.mishap();
        if (mishap.string().filter(string -> !tensionsN.containsKey(string)).isPresent()) {
            return;
        }
        // What was told before an earlier event was taken back may ask for more steps than are to come.
        plan = wrong.told()
                .filter(told -> told.then() <= plan.steps().size() - reached)
                .orElseGet(() -> state(0).told(mishap))
                .in(plan, reached);
        MishapPlanner.strike(mishap, tensionsN);
        pitchCents.keySet().removeIf(position -> position.in(tensionsN) == 0);
        mishaps.add(mishap);
        lastStepSequence = wrong.sequence();
        askAgain();
    }

    private void done(BenchEvent.StepDone done) {
        if (state(0).heldByBridge()) {
            return;
        }
        if (done.step() == askedAgain) {
            owed.remove(done.step());
            askedTwice.add(done.step());
        } else if (askedAgain < 0 && done.step() == reached) {
            carryOut(plan.steps().get(reached));
            reached++;
        } else {
            return;
        }
        lastStepSequence = done.sequence();
        askAgain();
    }

    private void skipped(BenchEvent.StepSkipped skipped) {
        if (skipped.step() == askedAgain) {
            askedTwice.add(skipped.step());
        } else if (askedAgain < 0
                && skipped.step() == reached
                && plan.steps().get(reached).kind().mayBeSkipped()) {
            owed.add(reached);
            reached++;
        } else {
            return;
        }
        lastStepSequence = skipped.sequence();
        askAgain();
    }

    /** Before a string gains tension, its skipped graphite is asked for once more. */
    private void askAgain() {
        askedAgain = -1;
        if (reached == plan.steps().size() || !plan.steps().get(reached).kind().raisesTension()) {
            return;
        }
        Position position = plan.steps().get(reached).position();
        for (int index : owed) {
            Step step = plan.steps().get(index);
            if (step.kind() == StepKind.GRAPHITE && step.position() == position && !askedTwice.contains(index)) {
                askedAgain = index;
                return;
            }
        }
    }

    private void carryOut(Step step) {
        Map<Position, Double> before = step.index() == 0
                ? plan.tensionsAtStartN()
                : plan.steps().get(step.index() - 1).tensionsAfterN();
        step.tensionsAfterN().forEach((position, tensionN) -> {
            boolean moves = !tensionN.equals(before.get(position));
            boolean falls = moves && tensionN < position.in(before);
            boolean roundOfAll = moves && step.position() == null;
            if (falls || roundOfAll) {
                pitchCents.remove(position);
            }
            if (moves && !pitchCents.containsKey(position)) {
                tensionsN.put(position, tensionN);
            }
        });
    }

    /** A gap that no standing bridge can show was misread; it says nothing. */
    private void gapRead(BenchEvent.GapRead read) {
        if (Lean.gapRange(plan.setUp().value(Quantity.BRIDGE_HEIGHT)).contains(read.gapMm())) {
            looks.add(new BridgeLook(reached, read.gapMm(), tensionsN, graphited()));
        }
    }

    /**
     * Whether a string can sound at a step: it has tension, or comes up in this very step.
     *
     * @param position the string
     * @param plan the plan
     * @param due the step that is due
     * @param tensionsN present tension of every string, in N
     * @return that; never of a string that the instrument does not have
     */
    static boolean canSound(Position position, ChangePlan plan, Step due, Map<Position, Double> tensionsN) {
        boolean beingRaised = due.kind().raisesTension() && (due.position() == null || due.position() == position);
        return plan.tensionsAfterN().containsKey(position)
                && (beingRaised || tensionsN.getOrDefault(position, 0.0) > 0);
    }

    private void pitchRead(BenchEvent.PitchRead read) {
        Position position = read.position();
        Step due = plan.steps().get(reached);
        if (!canSound(position, plan, due, tensionsN)) {
            return;
        }
        double target = position.in(plan.tensionsAfterN());
        boolean itsTurn = due.kind().raisesTension() && due.position() == position;
        boolean stillOld = plan.order().contains(position) && !itsTurn && !raised(position);
        double atPitchN = stillOld ? position.in(plan.tensionsBeforeN()) : target;
        pitchCents.put(position, read.cents());
        pitchSequences.put(position, read.sequence());
        tensionsN.put(position, atPitchN * new Cents(read.cents()).toTensionFraction());
    }

    private Set<Position> graphited() {
        return plan.steps().stream()
                .limit(reached)
                .filter(step -> step.kind() == StepKind.GRAPHITE && !owed.contains(step.index()))
                .map(Step::position)
                .collect(Collectors.toSet());
    }

    private boolean raised(Position position) {
        return plan.steps().stream()
                .limit(reached)
                .anyMatch(step -> step.kind() == StepKind.BRING_UP && step.position() == position);
    }

    private LoadShares shares() {
        return load.shares(tensionsN);
    }

    private BenchState state(long lastSequence) {
        return new BenchState(
                plan,
                reached,
                askedAgain,
                new ArrayList<>(owed),
                tensionsN,
                shares(),
                thinnestN,
                pitchCents,
                pitchSequences.entrySet().stream()
                        .filter(read -> pitchCents.containsKey(read.getKey()))
                        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
                looks,
                mishaps,
                ended,
                lastSequence,
                lastStepSequence);
    }
}
