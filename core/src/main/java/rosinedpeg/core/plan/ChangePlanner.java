package rosinedpeg.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;

/**
 * Lays out the steps of a change, following the tension of every string from step to step.
 *
 * <p>After each step the load on both feet of the bridge is worked out as a share of the fully strung load. A plan in
 * which the treble foot falls below its last band, or the bass foot is lifted, is refused, with the step and the share
 * as the reason. What a school leaves open, {@link OrderSearch} decides.
 */
public final class ChangePlanner {

    private static final Comparator<ChangePlan> HELD_BEST = Comparator.comparing(ChangePlan::refused)
            .thenComparing(Comparator.comparingDouble(ChangePlan::leastTreble).reversed())
            .thenComparingLong(ChangePlan::setAsides)
            .thenComparingDouble(ChangePlan::minutes);

    private ChangePlanner() {}

    /**
     * Plans a change.
     *
     * @param request what is to be changed, and how
     * @return the plan; a refused one still shows its steps, so that one can see where it fails
     */
    public static ChangePlan plan(ChangeRequest request) {
        StepList list = list(request);
        return plan(request, list, moves(request, list));
    }

    private static StepList list(ChangeRequest request) {
        return StepList.of(request.service() ? PlanKind.SERVICE : PlanKind.CHANGE, request);
    }

    private static List<OrderSearch.Move> moves(ChangeRequest request, StepList list) {
        return new OrderSearch(request, list.load(), list.before(), list.after()).search();
    }

    private static ChangePlan plan(ChangeRequest request, StepList list, List<OrderSearch.Move> moves) {
        StringSteps strings =
                new StringSteps(list, request.schools(), request.particulars().stuck());
        list.open(Material.NEW_STRING, Material.EYE_PROTECTION);
        List<Position> order = new ArrayList<>();
        for (OrderSearch.Move move : moves) {
            move.string()
                    .ifPresentOrElse(
                            position -> work(request, list, strings, order, move.kind(), position),
                            list::restTillTomorrow);
        }
        list.finish();
        return list.plan(order, laterOn(request));
    }

    private static void work(
            ChangeRequest request,
            StepList list,
            StringSteps strings,
            List<Position> order,
            OrderSearch.Kind kind,
            Position position) {
        switch (kind) {
            case SET_ASIDE -> strings.setAside(position);
            case RETURN ->
                strings.layBack(
                        position, order.contains(position) ? list.tensionAfterN(position) : position.in(list.before()));
            case OFF -> strings.takeOff(position, false, request.peg(position));
            case ON -> {
                if (request.broken().contains(position)) {
                    strings.takeOff(position, true, request.peg(position));
                }
                order.add(position);
                strings.putOn(position.in(request.replacements()), request.winding(position));
            }
            case NIGHT -> throw new IllegalArgumentException("a night has no string");
        }
    }

    /**
     * Synthetic strings draw a lot of length in before they hold: only then the pegs come to where the hand wants them. Gears are not
     * drawn for that.
     */
    private static List<StepKind> laterOn(ChangeRequest request) {
        boolean synthetic =
                request.replacements().values().stream().anyMatch(string -> string.core() == StringCore.SYNTHETIC);
        return synthetic && request.setUp().pegKind().holdsByFriction() ? List.of(StepKind.SET_PEG_ANGLES) : List.of();
    }

    /**
     * The same change by every school of how many strings are off and where to begin.
     *
     * @param request what is to be changed; its own choice of these two does not matter
     * @return a plan for each, the one that holds the post best first, refused ones last; schools that come to the same,
     *     as all do for a single string, are there once
     */
    public static Map<Schools, ChangePlan> compare(ChangeRequest request) {
        Map<Schools, ChangePlan> plans = new LinkedHashMap<>();
        // How many are off and where to begin decide the moves and nothing else: those that come to the same share a
        // plan.
        Map<List<OrderSearch.Move>, ChangePlan> byMoves = new HashMap<>();
        boolean several = request.replacements().size() > 1;
        for (Schools.Off off : Schools.Off.values()) {
            if (off == Schools.Off.ONE_AT_A_TIME || several && (off != Schools.Off.PAIR_BY_SIDE || hasPair(request))) {
                for (Schools.Begin begin :
                        several ? Schools.Begin.values() : new Schools.Begin[] {Schools.Begin.BEST_HELD}) {
                    Schools schools = request.schools().with(off, begin);
                    ChangeRequest theirs = request.by(schools);
                    StepList list = list(theirs);
                    plans.put(
                            schools, byMoves.computeIfAbsent(moves(theirs, list), moves -> plan(theirs, list, moves)));
                }
            }
        }
        return plans.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(HELD_BEST))
                .collect(Collectors.toMap(
                        Map.Entry::getKey, Map.Entry::getValue, (first, second) -> first, LinkedHashMap::new));
    }

    private static boolean hasPair(ChangeRequest request) {
        Set<Position> chosen = request.replacements().keySet();
        List<Position> positions = request.setUp().positions();
        int last = positions.size() - 1;
        return chosen.containsAll(positions.subList(0, 2)) || chosen.containsAll(positions.subList(last - 1, last + 1));
    }
}
