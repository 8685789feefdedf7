package rosinedpeg.core.bench;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.plan.Amendment;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.strings.Position;

/**
 * Where a run stands, as its ledger tells.
 *
 * @param plan the plan that is being followed, with what went into it because something went wrong
 * @param reached the index of the first step not yet done; the number of steps when all are
 * @param askedAgain the index of a step that was skipped and has to be settled before tension, or −1
 * @param owed steps that were left out
 * @param tensionsN present tension of every string, in N
 * @param shares load left on the feet
 * @param thinnestN tension of every string, in N, when the load on the treble foot was the least so far
 * @param pitchCents the latest pitch reading of each string since it was last let down
 * @param pitchSequences the number of the event that each of those readings came with
 * @param looks the readings of the bridge's gap, in order
 * @param mishaps what went wrong so far, in order
 * @param ended whether the run was ended before its last step
 * @param lastSequence the number of the last event, 0 before the first
 * @param lastStepSequence the number of the last step event that stands, 0 when there is none
 */
public record BenchState(
        ChangePlan plan,
        int reached,
        int askedAgain,
        List<Integer> owed,
        Map<Position, Double> tensionsN,
        LoadShares shares,
        Map<Position, Double> thinnestN,
        Map<Position, Double> pitchCents,
        Map<Position, Long> pitchSequences,
        List<BridgeLook> looks,
        List<Mishap> mishaps,
        boolean ended,
        long lastSequence,
        long lastStepSequence) {
    private static final Set<StepKind> COMES_OFF = Set.of(StepKind.LET_DOWN, StepKind.TAKE_OUT_REMAINS);

    /** Checks the parts and copies the collections. */
    public BenchState {
        requireNonNull(plan, "plan");
        requireNonNull(shares, "shares");
        requireFinite("tensionsN", tensionsN);
        requireFinite("thinnestN", thinnestN);
        requireFinite("pitchCents", pitchCents);
        owed = List.copyOf(owed);
        tensionsN = Position.inOrder(tensionsN);
        thinnestN = Position.inOrder(thinnestN);
        pitchCents = Position.inOrder(pitchCents);
        pitchSequences = Position.inOrder(pitchSequences);
        looks = List.copyOf(looks);
        mishaps = List.copyOf(mishaps);
    }

    /** {@return the least treble-foot share so far} */
    public double thinnest() {
        return plan.load().shares(thinnestN).treble();
    }

    /** {@return the latest gap reading of the bridge in mm, none before the first} */
    public @Nullable Double gapMm() {
        return looks.isEmpty() ? null : looks.get(looks.size() - 1).gapMm();
    }

    /** {@return the step that is to be done now; empty when the run is over} */
    public Optional<Step> now() {
        if (over()) {
            return Optional.empty();
        }
        return Optional.of(plan.steps().get(askedAgain >= 0 ? askedAgain : reached));
    }

    /** {@return whether every step is done} */
    public boolean finished() {
        return reached == plan.steps().size();
    }

    /** {@return whether nothing more can be recorded} */
    public boolean over() {
        return ended || finished();
    }

    /** {@return what the load means for the post} */
    public LoadBand band() {
        return plan.bands().of(shares.treble());
    }

    /** {@return what the load on the bass foot means} */
    public LoadBand bassBand() {
        return shares.bassBand();
    }

    /** {@return where the push of the strings runs, by the latest gap reading} */
    public Optional<Thrust> thrust() {
        return lean().map(lean -> Thrust.of(plan.setUp(), lean));
    }

    /** {@return how the bridge leans, by the latest gap reading} */
    public Optional<Lean> lean() {
        return Optional.ofNullable(gapMm())
                .map(gap -> Lean.fromGap(gap, plan.setUp().value(Quantity.BRIDGE_HEIGHT)));
    }

    /** {@return how the bridge leans as far as anybody knows: by the latest reading, else as measured before this run} */
    public Optional<Lean> knownLean() {
        return lean().or(this::leanBefore);
    }

    /** {@return how the bridge leaned when it was measured before this run, if it was} */
    public Optional<Lean> leanBefore() {
        return Lean.measured(plan.setUp());
    }

    /** {@return where the push of the strings ran then} */
    public Optional<Thrust> thrustBefore() {
        return leanBefore().map(lean -> Thrust.of(plan.setUp(), lean));
    }

    /** {@return whether the bridge leans so far that the run stands still until it is straightened} */
    public boolean heldByBridge() {
        return now().filter(this::heldByBridgeAt).isPresent();
    }

    /**
     * Whether the run stands still at a step, because the bridge leans so far that no string may be raised.
     *
     * @param step a step of the plan
     * @return by the latest gap reading; before the first, as long as nobody has moved the bridge, by what was measured
     *     before the run
     */
    public boolean heldByBridgeAt(Step step) {
        boolean raising = step.kind() != StepKind.GRAPHITE && !step.readings().isEmpty();
        boolean moved = plan.steps().stream().limit(reached).map(Step::kind).anyMatch(StepKind::movesBridge);
        return raising
                && thrust().or(() -> moved ? Optional.empty() : thrustBefore())
                        .filter(thrust -> thrust.band().stopsTuning())
                        .isPresent();
    }

    /** {@return whether every string carries tension, so that the run may be ended} */
    public boolean allStringsOn() {
        return plan.setUp().positions().stream().allMatch(position -> tensionsN.getOrDefault(position, 0.0) > 0);
    }

    /** {@return whether it is this step that is in hand, and nothing holds it up} */
    public boolean mayBeDone(int step) {
        return isInHand(step) && !heldByBridge();
    }

    /** {@return whether it is this step that is in hand, and may be left out, or left owed where it was left out before} */
    public boolean mayBeSkipped(int step) {
        return isInHand(step) && now().orElseThrow().kind().mayBeSkipped();
    }

    private boolean isInHand(int step) {
        return now().filter(now -> now.index() == step).isPresent();
    }

    /** {@return whether a pitch of this string can be read now: it has tension, or comes up in the step that is due} */
    public boolean canSound(Position position) {
        requireNonNull(position, "position");
        return !over() && BenchLedger.canSound(position, plan, plan.steps().get(reached), tensionsN);
    }

    /** {@return the number of the event that going back takes back} */
    public OptionalLong canGoBackTo() {
        return lastStepSequence == 0 || over() ? OptionalLong.empty() : OptionalLong.of(lastStepSequence);
    }

    /** {@return the strings that were taken off and have not come back, so that their place is empty} */
    public List<Position> missing() {
        return plan.setUp().positions().stream()
                .filter(position -> tensionsN.getOrDefault(position, 0.0) == 0)
                .filter(position -> plan.steps().stream()
                        .limit(reached)
                        .filter(step -> step.position() == position)
                        .map(Step::kind)
                        .filter(kind -> COMES_OFF.contains(kind) || kind == StepKind.SEAT_IN_GROOVES)
                        .reduce((earlier, later) -> later)
                        .map(COMES_OFF::contains)
                        .orElse(false))
                .toList();
    }

    /** {@return the strings that have been changed so far and are still on, in the order of the work} */
    public List<Position> changed() {
        List<Position> missing = missing();
        return plan.steps().stream()
                .limit(reached)
                .filter(step -> step.kind() == StepKind.BRING_UP)
                .map(Step::position)
                .filter(position -> !missing.contains(position))
                .toList();
    }

    /** {@return what has to be done now that something went wrong; nothing more than planned with a string it does not have} */
    public Amendment told(Mishap mishap) {
        boolean missing =
                mishap.string().filter(string -> !tensionsN.containsKey(string)).isPresent();
        return missing
                ? new Amendment(List.of(), plan.steps().size() - reached)
                : MishapPlanner.amendment(plan, reached, mishap, Collections.frequency(mishaps, mishap), knownLean());
    }
}
