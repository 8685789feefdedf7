package rosinedpeg.core.bench;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;

/**
 * What a run leaves to be made up for once it is over: what its plan left out on purpose, what was skipped, what the days
 * after ask for, and what was used up.
 *
 * @param work each kind of step that is owed, with the strings it concerns; none for the whole instrument
 * @param tubeOn whether a tube is on I now
 * @param used the strings that were used
 * @param materials what else there is less of in the case
 */
public record OwedAfter(
        Map<StepKind, List<Position>> work, boolean tubeOn, List<Position> used, List<Material> materials) {

    /** Copies the collections. */
    public OwedAfter {
        work = Collections.unmodifiableMap(new LinkedHashMap<>(work));
        used = List.copyOf(used);
        materials = List.copyOf(materials);
    }

    /** {@return what a run leaves} */
    public static OwedAfter of(BenchState state) {
        ChangePlan plan = state.plan();
        Map<StepKind, Set<Position>> work = new LinkedHashMap<>();
        if (!state.changed().isEmpty()) {
            plan.owed().forEach(kind -> work.put(kind, new TreeSet<>(state.changed())));
        }
        for (int index : state.owed()) {
            Step step = plan.steps().get(index);
            Set<Position> strings = work.computeIfAbsent(step.kind(), kind -> new TreeSet<>());
            if (step.position() != null) {
                strings.add(step.position());
            }
        }
        List<Step> done = plan.steps().stream()
                .limit(state.reached())
                .filter(step -> !state.owed().contains(step.index()))
                .toList();
        boolean tubeOn = done.stream().anyMatch(step -> step.kind() == StepKind.SLIDE_TUBE_ON);
        // The tube slides while the string settles, so it is looked at once more.
        if (tubeOn || done.stream().anyMatch(step -> step.kind() == StepKind.SEAT_TUBE)) {
            work.put(StepKind.SEAT_TUBE, Set.of(Position.I));
        }
        Set<Position> used = new TreeSet<>(state.changed());
        state.mishaps().stream()
                .filter(mishap -> mishap.kind() == Mishap.Kind.STRING_BROKE)
                .forEach(mishap -> used.add(mishap.position()));
        List<Material> materials = used.isEmpty()
                ? List.of()
                : done.stream()
                        .flatMap(step -> step.materials().stream())
                        .filter(Material::usedUp)
                        .distinct()
                        .toList();
        Map<StepKind, List<Position>> inOrder = new LinkedHashMap<>();
        work.forEach((kind, strings) -> inOrder.put(kind, List.copyOf(strings)));
        return new OwedAfter(inOrder, tubeOn, List.copyOf(used), materials);
    }
}
