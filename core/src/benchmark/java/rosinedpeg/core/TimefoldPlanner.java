package rosinedpeg.core;

import ai.timefold.solver.core.api.domain.entity.PlanningEntity;
import ai.timefold.solver.core.api.domain.lookup.PlanningId;
import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.domain.variable.PlanningVariable;
import ai.timefold.solver.core.api.score.buildin.bendable.BendableScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintCollectors;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchPlanner;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;

/** The same question put to a solver from the registries, to be compared with our own. It has a time instead of a proof. */
final class TimefoldPlanner implements BenchPlanner {

    private final Duration time;

    TimefoldPlanner(Duration time) {
        this.time = time;
    }

    @Override
    public BenchSchedule plan(List<BenchJob> jobs, List<BenchTime> times) {
        SolverFactory<Bench> factory = SolverFactory.create(new SolverConfig()
                .withSolutionClass(Bench.class)
                .withEntityClasses(Standing.class)
                .withConstraintProviderClass(Rules.class)
                .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
                .withTerminationSpentLimit(time));
        List<Standing> standing = new ArrayList<>();
        for (BenchJob job : jobs) {
            List<BenchTime> possible = times.stream()
                    .filter(one -> job.mayBeOn(one.place().day())
                            && job.minutesOf(one.place().person())
                                    .filter(minutes -> minutes <= one.minutes())
                                    .isPresent()
                            && job.pinned().orElse(one.place()).equals(one.place()))
                    .toList();
            if (!possible.isEmpty()) {
                Standing one = new Standing(job, possible);
                one.time = possible.stream()
                        .filter(time -> job.before().filter(time.place()::equals).isPresent())
                        .findFirst()
                        .orElse(null);
                standing.add(one);
            }
        }
        Bench solved = factory.buildSolver().solve(new Bench(standing));
        Map<BenchJob, Place> places = new HashMap<>();
        solved.standing.stream().filter(one -> one.time != null).forEach(one -> places.put(one.job, one.time.place()));
        int most = jobs.stream().mapToInt(BenchJob::worth).sum();
        int worth = places.keySet().stream().mapToInt(BenchJob::worth).sum();
        return new BenchSchedule(places, List.of(), worth, most);
    }

    /** A job and where it stands. */
    @PlanningEntity
    public static class Standing {
        @PlanningId
        public String id;

        public BenchJob job;

        @ValueRangeProvider
        public List<BenchTime> possible;

        @PlanningVariable(allowsUnassigned = true)
        public BenchTime time;

        public Standing() {}

        Standing(BenchJob job, List<BenchTime> possible) {
            this.id = job.name();
            this.job = job;
            this.possible = possible;
        }

        int minutes() {
            return job.minutesOf(time.place().person()).orElseThrow();
        }
    }

    /** All of them. */
    @PlanningSolution
    public static class Bench {
        @PlanningEntityCollectionProperty
        public List<Standing> standing;

        @PlanningScore(bendableHardLevelsSize = 1, bendableSoftLevelsSize = 4)
        public BendableScore score;

        public Bench() {}

        Bench(List<Standing> standing) {
            this.standing = standing;
        }
    }

    /** What counts: room, then worth, promises, what stays, early days. */
    public static class Rules implements ConstraintProvider {
        private static BendableScore soft(int level) {
            return BendableScore.ofSoft(1, 4, level, 1);
        }

        @Override
        public Constraint[] defineConstraints(ConstraintFactory factory) {
            return new Constraint[] {
                factory.forEach(Standing.class)
                        .groupBy(one -> one.time, ConstraintCollectors.sum(Standing::minutes))
                        .filter((time, minutes) -> minutes > time.minutes())
                        .penalize(BendableScore.ofHard(1, 4, 0, 1), (time, minutes) -> minutes - time.minutes())
                        .asConstraint("room"),
                factory.forEachIncludingUnassigned(Standing.class)
                        .filter(one -> one.time == null && one.job.pinned().isPresent())
                        .penalize(BendableScore.ofHard(1, 4, 0, (int) BenchJob.MINUTES.high()))
                        .asConstraint("pins"),
                factory.forEach(Standing.class)
                        .reward(soft(0), one -> one.job.worth())
                        .asConstraint("worth"),
                factory.forEach(Standing.class)
                        .filter(one -> one.job
                                .promised()
                                .filter(one.time.place().day()::equals)
                                .isPresent())
                        .reward(soft(1))
                        .asConstraint("promised"),
                factory.forEach(Standing.class)
                        .filter(one -> one.job
                                .before()
                                .filter(one.time.place()::equals)
                                .isPresent())
                        .reward(soft(2))
                        .asConstraint("stays"),
                factory.forEach(Standing.class)
                        .penalize(
                                soft(3),
                                one -> (int) ChronoUnit.DAYS.between(
                                        one.job.earliest(), one.time.place().day()))
                        .asConstraint("early")
            };
        }
    }
}
