package rosinedpeg.core;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchPlanner;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.PricedMinutes;

/** Our planner beside a solver from the registries, on made-up shelves that are planned again after a pin. Prints; judges nothing. */
final class PlannerComparison {

    private static final int[] JOBS = {40, 80, 150, 300, 500};
    private static final double[] WANTED = {0.8, 1, 1.2, 1.5};

    private PlannerComparison() {}

    /** {@code args[0]} is how many shelves; each is of another size and fullness. */
    public static void main(String[] args) {
        int shelves = Integer.parseInt(args[0]);
        // The first use of anything is slow.
        plan(new PricedMinutes(), MadeUpShelf.of(0, 500, 1.2).plannedBefore());
        System.out.printf(
                "%5s %6s %6s | %8s %8s %6s %7s | %10s %6s | %10s %6s%n",
                "jobs", "wanted", "all", "ours", "at most", "moved", "ms", "1 s each", "moved", "10 s each", "moved");
        for (int i = 0; i < shelves; i++) {
            int jobs = JOBS[i % JOBS.length];
            double wanted = WANTED[i / JOBS.length % WANTED.length];
            MadeUpShelf shelf = MadeUpShelf.of(i + 1, jobs, wanted).plannedBefore();
            long begun = System.nanoTime();
            BenchSchedule ours = plan(new PricedMinutes(), shelf);
            double took = (System.nanoTime() - begun) / 1e6;
            BenchSchedule quick = plan(new TimefoldPlanner(Duration.ofSeconds(1)), shelf);
            BenchSchedule slow = plan(new TimefoldPlanner(Duration.ofSeconds(10)), shelf);
            System.out.printf(
                    "%5d %5.0f%% %6d | %8d %8d %6d %7.1f | %10d %6d | %10d %6d%n",
                    jobs,
                    wanted * 100,
                    shelf.jobs().stream().mapToInt(BenchJob::worth).sum(),
                    ours.worth(),
                    ours.most(),
                    moved(ours),
                    took,
                    quick.worth(),
                    moved(quick),
                    slow.worth(),
                    moved(slow));
        }
    }

    private static BenchSchedule plan(BenchPlanner planner, MadeUpShelf shelf) {
        List<BenchJob> jobs = shelf.withPin();
        return planner.plan(jobs, shelf.times());
    }

    private static long moved(BenchSchedule schedule) {
        return schedule.places().entrySet().stream()
                .filter(entry -> entry.getKey().before().isPresent()
                        && !entry.getKey().before().equals(Optional.of(entry.getValue())))
                .count();
    }
}
