package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Particulars;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.usual.UsualString;

/**
 * How long work usually takes, before there is a plan for the very instrument: by the plan for one of the usual size of its family
 * with usual measurements and strings. What this bench takes of that is {@link rosinedpeg.core.pace.LearnedPace}.
 */
public final class UsualMinutes {

    /** The minutes it takes to put back into a case what was used of its kit; a default of our own. */
    public static final double RESTOCKING = 5;

    /** The minutes it takes to fetch an instrument, open its case and put it away again; a default of our own. */
    public static final double FETCHING = 2;

    private static final Map<Change, Double> KNOWN = new ConcurrentHashMap<>();

    private UsualMinutes() {}

    private record Change(Family family, Set<Position> strings, Schools schools) {}

    /**
     * A change of strings.
     *
     * @param family on which family
     * @param strings which strings, at least one; a fifth counts as the fourth
     * @param schools how somebody works
     * @return the minutes, fetching included
     * @throws IllegalArgumentException when there are no strings
     */
    public static double ofStrings(Family family, Set<Position> strings, Schools schools) {
        requireNonNull(family, "family");
        requireNonNull(schools, "schools");
        if (strings.isEmpty()) {
            throw new IllegalArgumentException("strings is empty; at least one must be changed");
        }
        return FETCHING
                + KNOWN.computeIfAbsent(new Change(family, Set.copyOf(strings), schools), UsualMinutes::planned);
    }

    private static double planned(Change change) {
        SetUp setUp = usual(change.family());
        Map<Position, StringSpec> set = usual(setUp);
        Set<Position> known = EnumSet.noneOf(Position.class);
        change.strings().forEach(position -> known.add(set.containsKey(position) ? position : Position.IV));
        Map<Position, StringSpec> replacements = new EnumMap<>(set);
        replacements.keySet().retainAll(known);
        ChangeRequest request = ChangeRequest.usual(setUp, set, replacements).by(change.schools());
        return ChangePlanner.plan(request).minutes() * change.strings().size() / known.size();
    }

    /** The first of its sizes is the usual one. */
    private static SetUp usual(Family family) {
        return SetUp.unmeasured(Size.of(family).get(0));
    }

    private static Map<Position, StringSpec> usual(SetUp setUp) {
        Map<Position, StringSpec> set = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> set.put(position, UsualString.of(setUp, position)));
        return set;
    }

    /**
     * Pegs are treated, the strings stay.
     *
     * @param family on which family
     * @return the minutes, fetching included
     */
    public static double ofPegService(Family family) {
        SetUp setUp = usual(family);
        return FETCHING
                + new RepairPlanner(setUp, usual(setUp), Schools.usual(family), Particulars.USUAL)
                        .pegService(setUp.positions().stream()
                                .collect(Collectors.toMap(Function.identity(), position -> PegCondition.FITS)))
                        .minutes();
    }

    /** {@return the minutes a step that was left out takes on so many strings, at least one, fetching included} */
    public static double ofStep(StepKind step, int strings) {
        return FETCHING + step.minutes() * Math.max(1, strings);
    }

    /** {@return the minutes it takes to look at a bridge after a change, fetching included} */
    public static double ofBridge() {
        return ofStep(StepKind.CHECK_BRIDGE, 1);
    }
}
