package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;

/**
 * The plan of a change, complete in itself: it can be kept and followed later without anything else.
 *
 * @param kind what kind of work it is
 * @param setUp the instrument as it was when the plan was made
 * @param order the strings to change, in the order of the work
 * @param tensionsBeforeN tension of every string with the instrument fully strung before the work, in N; what loads are
 *     measured against
 * @param tensionsAtStartN tension of every string as the work begins, in N; less where a string is broken or the bridge
 *     is down
 * @param tensionsAfterN tension of every string at pitch after the work, in N
 * @param bands where the bands of the post's load lie
 * @param steps the steps in order
 * @param owed steps that are left out on purpose and have to be made up for later
 * @param refusals why the plan must not be carried out; empty when it may be
 */
public record ChangePlan(
        PlanKind kind,
        SetUp setUp,
        List<Position> order,
        Map<Position, Double> tensionsBeforeN,
        Map<Position, Double> tensionsAtStartN,
        Map<Position, Double> tensionsAfterN,
        LoadBands bands,
        List<Step> steps,
        List<StepKind> owed,
        List<Finding> refusals) {

    /** Copies the collections. */
    public ChangePlan {
        requireFinite("tensionsAfterN", tensionsAfterN);
        requireFinite("tensionsBeforeN", tensionsBeforeN);
        if (tensionsAtStartN != null) {
            requireFinite("tensionsAtStartN", tensionsAtStartN);
        }
        kind = kind == null ? PlanKind.CHANGE : kind;
        requireNonNull(setUp, "setUp");
        requireNonNull(bands, "bands");
        order = List.copyOf(order);
        tensionsBeforeN = Position.inOrder(tensionsBeforeN);
        tensionsAtStartN = Position.inOrder(tensionsAtStartN == null ? tensionsBeforeN : tensionsAtStartN);
        tensionsAfterN = Position.inOrder(tensionsAfterN);
        steps = List.copyOf(steps);
        owed = owed == null ? List.of() : List.copyOf(owed);
        refusals = List.copyOf(refusals);
    }

    /** {@return the same plan with other steps} */
    ChangePlan following(List<Step> otherSteps) {
        return new ChangePlan(
                kind,
                setUp,
                order,
                tensionsBeforeN,
                tensionsAtStartN,
                tensionsAfterN,
                bands,
                otherSteps,
                owed,
                refusals);
    }

    /** {@return the load of this instrument, measured against its state before the work} */
    public InstrumentLoad load() {
        return new InstrumentLoad(setUp, tensionsBeforeN);
    }

    /** {@return whether it must not be carried out} */
    public boolean refused() {
        return !refusals.isEmpty();
    }

    /** {@return the first step after which the post would be let go or the bass foot lift; empty unless refused} */
    public Optional<Step> refusedAt() {
        return refused() ? steps.stream().filter(step -> !step.holds()).findFirst() : Optional.empty();
    }

    /** {@return the minutes it usually takes} */
    public double minutes() {
        return minutesFrom(0);
    }

    /** {@return the minutes from that step to the end} */
    public double minutesFrom(int index) {
        if (index < 0) {
            throw new IllegalArgumentException("index must not be negative, but is " + index);
        }
        double minutes = 0;
        for (int i = index; i < steps.size(); i++) {
            minutes += steps.get(i).kind().minutes();
        }
        return minutes;
    }

    /** {@return the step after which the post is held least} */
    public Step thinnest() {
        return steps.stream()
                .min(Comparator.comparingDouble(step -> step.sharesAfter().treble()))
                .orElseThrow();
    }

    /** {@return the least share left on the treble foot} */
    public double leastTreble() {
        return thinnest().sharesAfter().treble();
    }

    /** {@return how many times a neighbour has to make way} */
    public long setAsides() {
        return steps.stream()
                .filter(step -> step.kind() == StepKind.SET_ASIDE_NEIGHBOUR)
                .count();
    }

    /** {@return how a string is wound by this plan; the usual way where it does not wind it} */
    public WindingChoice windingOf(Position position) {
        requireNonNull(position, "position");
        Lock lock = WindingChoice.USUAL.lock();
        Wall wall = WindingChoice.USUAL.wall();
        Way way = WindingChoice.USUAL.way();
        for (Step step : steps) {
            if (step.position() == position) {
                switch (step.kind()) {
                    case LOCK_STRAIGHT_TO_WALL -> lock = Lock.STRAIGHT_TO_WALL;
                    case LOCK_TWICE_THROUGH_HOLE -> lock = Lock.TWICE_THROUGH_HOLE;
                    case LOCK_ROUND_STANDING_PART -> lock = Lock.ROUND_STANDING_PART;
                    case WIND_TO_WALL -> wall = Wall.WOUND_TO_WALL;
                    case WIND_UNDER -> way = Way.UNDER;
                    default -> {}
                }
                if (step.figures().containsKey(StepFigure.WALL_GAP)) {
                    wall = Wall.WOUND_TO_WALL;
                }
            }
        }
        return new WindingChoice(lock, wall, way, WindingChoice.USUAL.side());
    }

    /** {@return everything that has to lie ready, in the order it is first used} */
    public Set<Material> kit() {
        Set<Material> kit = new LinkedHashSet<>();
        steps.forEach(step -> kit.addAll(step.materials()));
        return Collections.unmodifiableSet(kit);
    }
}
