package rosinedpeg.web.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.drawing.Tool;
import rosinedpeg.web.kinds.StringKind;

/**
 * A plan as a page shows it: what it comes to, what it needs and every step.
 *
 * @param plan the plan
 * @param passages its steps, folded by string
 * @param laidOut how each thing it needs lies on the cloth
 * @param myKit what of that is in the kit of whoever looks
 * @param newStrings what it puts on, by where
 * @param track the load on the post from step to step
 * @param narrowTrack the same for a phone
 * @param here how long such work takes whoever looks, by the runs they led to their end; empty before the first
 */
record Course(
        ChangePlan plan,
        List<Passage> passages,
        Map<Material, Tool> laidOut,
        Set<Material> myKit,
        Map<Position, StringKind> newStrings,
        LoadTrack track,
        LoadTrack narrowTrack,
        Optional<Pace.Here> here) {

    static Course of(
            ChangePlan plan, Set<Material> myKit, Map<Position, StringKind> newStrings, Optional<Pace.Here> here) {
        return new Course(
                plan,
                Passage.of(plan),
                Tool.laidOut(plan.kit()),
                myKit,
                newStrings,
                LoadTrack.of(plan, -1, 680, 190),
                LoadTrack.of(plan, -1, 370, 170),
                here);
    }

    /** {@return the new strings in the order they are opened, with what each is; none where the work changes no string} */
    public List<Map.Entry<Position, StringKind>> packets() {
        return plan.order().stream()
                .filter(newStrings::containsKey)
                .map(position -> Map.entry(position, position.in(newStrings)))
                .toList();
    }
}
