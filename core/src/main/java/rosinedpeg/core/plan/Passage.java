package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;

/**
 * A stretch of a plan in which hands stay with one string, or with the instrument as a whole. A long plan is read by these.
 *
 * @param string the string, empty for the whole instrument
 * @param steps its steps, in order, at least one
 */
public record Passage(Optional<Position> string, List<Step> steps) {

    /** A neighbour that makes way is part of the work on the string it makes way for. */
    private static final Set<StepKind> OF_NEIGHBOUR =
            EnumSet.of(StepKind.SET_ASIDE_NEIGHBOUR, StepKind.RETURN_NEIGHBOUR);

    /** Checks the parts and copies the steps. */
    public Passage {
        requireNonNull(string, "string");
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("steps is empty; it must have at least one");
        }
    }

    /** {@return the passages of a plan, in order; together they have each of its steps once} */
    public static List<Passage> of(ChangePlan plan) {
        requireNonNull(plan, "plan");
        List<Passage> passages = new ArrayList<>();
        @Nullable Position hands = null;
        List<Step> stretch = new ArrayList<>();
        for (Step step : plan.steps()) {
            @Nullable Position at = string(plan, step, hands);
            if (at != hands && !stretch.isEmpty()) {
                passages.add(new Passage(Optional.ofNullable(hands), stretch));
                stretch = new ArrayList<>();
            }
            hands = at;
            stretch.add(step);
        }
        if (!stretch.isEmpty()) {
            passages.add(new Passage(Optional.ofNullable(hands), stretch));
        }
        return List.copyOf(passages);
    }

    /** The string a step is part of the work on; {@code before} is that of the step before it. */
    private static @Nullable Position string(ChangePlan plan, Step step, @Nullable Position before) {
        List<Step> steps = plan.steps();
        if (step.kind() == StepKind.SET_ASIDE_NEIGHBOUR) {
            return steps.subList(step.index(), steps.size()).stream()
                    .filter(later -> !OF_NEIGHBOUR.contains(later.kind()) && later.position() != null)
                    .map(Step::position)
                    .findFirst()
                    .orElse(before);
        }
        boolean laidBack = step.kind() == StepKind.RETURN_NEIGHBOUR
                || step.index() > 0
                        && step.kind() == StepKind.CHECK_BRIDGE
                        && steps.get(step.index() - 1).kind() == StepKind.RETURN_NEIGHBOUR;
        // One small thing in between, such as a tube that is seated, does not begin a passage of its own.
        boolean inPassing = step.position() != null
                && step.position() != before
                && step.index() + 1 < steps.size()
                && steps.get(step.index() + 1).position() != step.position();
        return laidBack || inPassing ? before : step.position();
    }

    /** {@return its first step} */
    public Step first() {
        return steps.get(0);
    }

    /** {@return its last step} */
    public Step last() {
        return steps.get(steps.size() - 1);
    }

    /** {@return the step that leaves least on the treble foot} */
    public Step thinnest() {
        return steps.stream()
                .min(Comparator.comparingDouble(step -> step.sharesAfter().treble()))
                .orElseThrow();
    }

    /** {@return how long it usually takes, in minutes} */
    public double minutes() {
        return steps.stream().mapToDouble(step -> step.kind().minutes()).sum();
    }
}
