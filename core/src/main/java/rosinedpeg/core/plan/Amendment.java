package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.List;

/**
 * What somebody who had a mishap was told to do: steps that go in before the one in hand, and how much of the plan comes after
 * them. It is kept with the mishap, so that a rule that changes later does not change what was done.
 *
 * @param steps what has to be done now, in the order of the work
 * @param then how many of the plan's last steps come after them, 0 or more; all that were to come where none is left out
 */
public record Amendment(List<Step> steps, int then) {

    /**
     * Copies the steps.
     *
     * @throws IllegalArgumentException when less than no step is to come
     */
    public Amendment {
        steps = List.copyOf(steps);
        if (then < 0) {
            throw new IllegalArgumentException("then is " + then + "; it must be 0 or more");
        }
    }

    /**
     * What makes one plan into another.
     *
     * @param toCome what was to come
     * @param instead what comes instead
     * @return the steps that go in, the last of both left alone where they are the same
     */
    static Amendment between(List<Step> toCome, List<Step> instead) {
        int same = 0;
        while (same < Math.min(toCome.size(), instead.size())
                && toCome.get(toCome.size() - 1 - same)
                        .at(0)
                        .equals(instead.get(instead.size() - 1 - same).at(0))) {
            same++;
        }
        return new Amendment(instead.subList(0, instead.size() - same), same);
    }

    /**
     * Puts it into a plan.
     *
     * @param plan the plan that was followed
     * @param reached the index of the step in hand, 0 to the number of its steps
     * @return the plan from now on; its steps before the one in hand are the same
     * @throws IllegalArgumentException when the plan has fewer steps to come than are to come after it
     */
    public ChangePlan in(ChangePlan plan, int reached) {
        requireNonNull(plan, "plan");
        int all = plan.steps().size();
        if (reached < 0 || reached + then > all) {
            throw new IllegalArgumentException(
                    "reached is " + reached + "; with " + then + " steps to come it must be from 0 to " + (all - then));
        }
        List<Step> amended = new ArrayList<>(plan.steps().subList(0, reached));
        steps.forEach(step -> amended.add(step.at(amended.size())));
        plan.steps().subList(all - then, all).forEach(step -> amended.add(step.at(amended.size())));
        return plan.following(amended);
    }
}
