package rosinedpeg.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;

/**
 * What one way of working comes to for a change.
 *
 * @param off how many strings are off at a time
 * @param begins the schools of where to begin that lead to this order
 * @param plan the plan they lead to
 * @param mine whether the chosen schools are among them
 * @param best whether it holds the post best of all with so many strings off at a time
 */
record Compared(Schools.Off off, List<Schools.Begin> begins, ChangePlan plan, boolean mine, boolean best) {

    /** Schools that take the strings in the same order come to the same and are shown once. */
    static List<Compared> of(Map<Schools, ChangePlan> plans, Schools chosen) {
        List<Compared> all = new ArrayList<>();
        plans.forEach((schools, plan) -> {
            boolean mine = schools.equals(chosen);
            int same = indexOf(all, schools.order().off(), plan.order());
            if (same < 0) {
                boolean best = all.stream()
                        .noneMatch(there -> there.off() == schools.order().off());
                all.add(new Compared(
                        schools.order().off(), List.of(schools.order().begin()), plan, mine, best));
            } else {
                Compared there = all.get(same);
                List<Schools.Begin> begins = new ArrayList<>(there.begins());
                begins.add(schools.order().begin());
                all.set(
                        same,
                        new Compared(
                                there.off(), List.copyOf(begins), there.plan(), mine || there.mine(), there.best()));
            }
        });
        return all;
    }

    /** {@return whether it is among the first to look at} */
    public boolean leading() {
        return mine || best;
    }

    private static int indexOf(List<Compared> all, Schools.Off off, List<Position> order) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).off() == off && all.get(i).plan().order().equals(order)) {
                return i;
            }
        }
        return -1;
    }
}
