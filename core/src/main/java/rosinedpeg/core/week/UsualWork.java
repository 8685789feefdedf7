package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.pace.FinishedWork;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Material;
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
 * How long work usually takes and what it takes for it, before there is a plan for the very instrument: by the plan for one of the
 * usual size of its family with usual measurements and strings. What this bench takes of the minutes is {@link
 * rosinedpeg.core.pace.LearnedPace}.
 *
 * @param minutes how long, the fetching of the instrument included
 * @param kit what is used
 */
public record UsualWork(double minutes, Set<Material> kit) {

    /** The minutes it takes to fetch an instrument, open its case and put it away again; a default of our own. */
    public static final double FETCHING = 2;

    /** To put back into a case what was used of its kit: 5 minutes and the fetching, a default of our own. */
    public static final UsualWork RESTOCKING = new UsualWork(FETCHING + 5, Set.of());

    /** To look an instrument over by eye and hand. */
    public static final UsualWork LOOKING_OVER = new UsualWork(FETCHING + LookOver.TWO_MINUTES / 60.0, Set.of());

    private static final Map<Change, UsualWork> KNOWN = new ConcurrentHashMap<>();
    private static final Map<Family, UsualWork> PEG_SERVICES = new ConcurrentHashMap<>();

    /**
     * Checks the minutes and copies the kit.
     *
     * @throws rosinedpeg.core.figure.OutOfRangeException when the minutes are outside {@link FinishedWork#USUAL}
     */
    public UsualWork {
        FinishedWork.USUAL.require("minutes", minutes);
        kit = Set.copyOf(kit);
    }

    private record Change(Family family, Set<Position> strings, Schools schools) {}

    /**
     * A change of strings.
     *
     * @param family on which family
     * @param strings which strings, at least one; a fifth counts as the fourth
     * @param schools how somebody works
     * @return what it takes
     * @throws IllegalArgumentException when there are no strings
     */
    public static UsualWork ofStrings(Family family, Set<Position> strings, Schools schools) {
        requireNonNull(family, "family");
        requireNonNull(schools, "schools");
        if (strings.isEmpty()) {
            throw new IllegalArgumentException("strings is empty; at least one must be changed");
        }
        return KNOWN.computeIfAbsent(new Change(family, Set.copyOf(strings), schools), UsualWork::planned);
    }

    private static UsualWork planned(Change change) {
        SetUp setUp = usual(change.family());
        Map<Position, StringSpec> set = usual(setUp);
        Set<Position> known = EnumSet.noneOf(Position.class);
        change.strings().forEach(position -> known.add(set.containsKey(position) ? position : Position.IV));
        Map<Position, StringSpec> replacements = new EnumMap<>(set);
        replacements.keySet().retainAll(known);
        return of(
                ChangePlanner.plan(ChangeRequest.usual(setUp, set, replacements).by(change.schools())),
                (double) change.strings().size() / known.size());
    }

    private static UsualWork of(ChangePlan plan, double times) {
        return new UsualWork(FETCHING + plan.minutes() * times, plan.kit());
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

    /** {@return what it takes to treat the pegs of one of a family, whose strings stay} */
    public static UsualWork ofPegService(Family family) {
        requireNonNull(family, "family");
        return PEG_SERVICES.computeIfAbsent(family, UsualWork::pegService);
    }

    private static UsualWork pegService(Family family) {
        SetUp setUp = usual(family);
        return of(
                new RepairPlanner(setUp, usual(setUp), Schools.usual(family), Particulars.USUAL)
                        .pegService(setUp.positions().stream()
                                .collect(Collectors.toMap(Function.identity(), position -> PegCondition.FITS))),
                1);
    }

    /** {@return what a step that was left out takes on so many strings, at least one} */
    public static UsualWork ofStep(StepKind step, int strings) {
        return new UsualWork(FETCHING + step.minutes() * Math.max(1, strings), Set.of());
    }

    /** {@return what it takes to look at a bridge after a change} */
    public static UsualWork ofBridge() {
        return ofStep(StepKind.CHECK_BRIDGE, 1);
    }
}
