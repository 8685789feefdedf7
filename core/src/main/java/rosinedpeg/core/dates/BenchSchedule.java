package rosinedpeg.core.dates;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.SortedMap;
import java.util.stream.Collectors;

/**
 * Many instruments against the minutes there are at one bench.
 *
 * <p>As many jobs as possible are done, each on one day of its window, and among such schedules early days are preferred.
 * Branch and bound: jobs are placed in order of their last day; a branch is given up when even a bench without days could
 * not do more. That bound is the number of jobs that Moore's rule (J. M. Moore, Management Science 15, 1968) brings in on
 * time when a job may be spread over days and begun at once. In most cases the first branch reaches the bound and nothing
 * has to be searched.
 *
 * @param days the day of each job that is done, in order of days
 * @param undone what cannot be done, and why
 * @param provenBest whether no schedule does more; false when the search was cut short
 */
public record BenchSchedule(Map<BenchJob, LocalDate> days, List<Undone> undone, boolean provenBest) {

    private static final int MOST_NODES = 100_000;

    /** Copies the collections. */
    public BenchSchedule {
        days = new LinkedHashMap<>(days);
        undone = List.copyOf(undone);
    }

    /**
     * Finds the schedule.
     *
     * @param jobs the jobs, each with a name of its own
     * @param minutesPerDay the minutes there are on each day the bench is open, 0 or more
     * @return the schedule
     * @throws IllegalArgumentException when two jobs have one name or a day has less than 0 minutes
     */
    public static BenchSchedule of(List<BenchJob> jobs, SortedMap<LocalDate, Integer> minutesPerDay) {
        if (jobs.stream().map(BenchJob::name).distinct().count() != jobs.size()) {
            throw new IllegalArgumentException("jobs are " + jobs + "; each must have a name of its own");
        }
        minutesPerDay.forEach((day, minutes) -> {
            if (minutes < 0) {
                throw new IllegalArgumentException(
                        "minutesPerDay has " + minutes + " min on " + day + "; it must be 0 min or more");
            }
        });
        return new Search(jobs, minutesPerDay).schedule();
    }

    /** {@return the minutes still free on a day} */
    public int freeMinutes(LocalDate day, int minutesOfDay) {
        return minutesOfDay
                - days.entrySet().stream()
                        .filter(entry -> entry.getValue().equals(day))
                        .mapToInt(entry -> entry.getKey().minutes())
                        .sum();
    }

    /**
     * A job that cannot be done.
     *
     * @param job the job
     * @param reason why not
     * @param minutesInWindow the minutes there are at the bench from its first to its last day
     * @param takenInWindow how many of them other jobs take
     */
    public record Undone(BenchJob job, Reason reason, int minutesInWindow, int takenInWindow) {}

    /** Why a job cannot be done. */
    public enum Reason {
        /** The bench is open on none of its days. */
        NO_OPEN_DAY,
        /** No single one of its days is long enough. */
        LONGER_THAN_ANY_DAY,
        /** Others that are due in those days fill the bench. */
        BENCH_FULL
    }

    /** The search itself; days and jobs by index. */
    private static final class Search {

        private static final int UNDONE = -1;

        private final List<BenchJob> jobs;
        private final List<LocalDate> openDays;
        private final int[] free;
        private final List<BenchJob> placeable;
        private final int[] placed;
        private int[] best;
        private int bestCount = -1;
        private int nodes;

        private Search(List<BenchJob> jobs, SortedMap<LocalDate, Integer> minutesPerDay) {
            this.jobs = jobs;
            this.openDays = List.copyOf(minutesPerDay.keySet());
            this.free =
                    minutesPerDay.values().stream().mapToInt(Integer::intValue).toArray();
            this.placeable = jobs.stream()
                    .filter(job -> longestDay(job) >= job.minutes())
                    .sorted(Comparator.comparing(BenchJob::latest)
                            .thenComparingInt(BenchJob::minutes)
                            .thenComparing(BenchJob::name))
                    .toList();
            this.placed = new int[placeable.size()];
            Arrays.fill(placed, UNDONE);
        }

        private int longestDay(BenchJob job) {
            int longest = -1;
            for (int day = 0; day < openDays.size(); day++) {
                if (job.mayBeOn(openDays.get(day))) {
                    longest = Math.max(longest, free[day]);
                }
            }
            return longest;
        }

        private BenchSchedule schedule() {
            int bound = bound(0);
            place(0, 0, bound);
            for (int i = 0; i < best.length; i++) {
                placed[i] = best[i];
                if (best[i] != UNDONE) {
                    free[best[i]] -= placeable.get(i).minutes();
                }
            }
            moveEarlier();
            boolean proven = bestCount == bound || nodes < MOST_NODES;
            return new BenchSchedule(days(), undone(), proven);
        }

        /** Depth first; the earliest day with room is tried first, leaving the job undone last. */
        private void place(int index, int done, int whole) {
            if (done + placeable.size() - index <= bestCount || bestCount == whole || nodes++ >= MOST_NODES) {
                return;
            }
            if (index == placeable.size()) {
                bestCount = done;
                best = placed.clone();
                return;
            }
            if (bestCount >= 0 && done + bound(index) <= bestCount) {
                return;
            }
            BenchJob job = placeable.get(index);
            for (int day = 0; day < openDays.size(); day++) {
                if (free[day] >= job.minutes() && job.mayBeOn(openDays.get(day))) {
                    placed[index] = day;
                    free[day] -= job.minutes();
                    place(index + 1, done + 1, whole);
                    free[day] += job.minutes();
                    placed[index] = UNDONE;
                }
            }
            place(index + 1, done, whole);
        }

        /** {@return the most of the jobs from an index on that could be done if they might be spread over days} */
        private int bound(int index) {
            PriorityQueue<Integer> kept = new PriorityQueue<>(Comparator.reverseOrder());
            int minutes = 0;
            int day = 0;
            int capacity = 0;
            for (int i = index; i < placeable.size(); i++) {
                BenchJob job = placeable.get(i);
                while (day < openDays.size() && !openDays.get(day).isAfter(job.latest())) {
                    capacity += free[day++];
                }
                kept.add(job.minutes());
                minutes += job.minutes();
                if (minutes > capacity) {
                    minutes -= kept.remove();
                }
            }
            return kept.size();
        }

        private void moveEarlier() {
            for (int i = 0; i < placeable.size(); i++) {
                BenchJob job = placeable.get(i);
                for (int day = 0; day < placed[i]; day++) {
                    if (free[day] >= job.minutes() && job.mayBeOn(openDays.get(day))) {
                        free[placed[i]] += job.minutes();
                        free[day] -= job.minutes();
                        placed[i] = day;
                    }
                }
            }
        }

        private Map<BenchJob, LocalDate> days() {
            Map<BenchJob, LocalDate> days = new LinkedHashMap<>();
            for (int day = 0; day < openDays.size(); day++) {
                for (int i = 0; i < placed.length; i++) {
                    if (placed[i] == day) {
                        days.put(placeable.get(i), openDays.get(day));
                    }
                }
            }
            return days;
        }

        private List<Undone> undone() {
            List<BenchJob> done = new ArrayList<>();
            for (int i = 0; i < placed.length; i++) {
                if (placed[i] != UNDONE) {
                    done.add(placeable.get(i));
                }
            }
            return jobs.stream()
                    .filter(job -> !done.contains(job))
                    .map(this::why)
                    .collect(Collectors.toList());
        }

        private Undone why(BenchJob job) {
            int freeInWindow = 0;
            int taken = 0;
            boolean open = false;
            for (int day = 0; day < openDays.size(); day++) {
                if (job.mayBeOn(openDays.get(day))) {
                    open = true;
                    freeInWindow += free[day];
                    for (int i = 0; i < placed.length; i++) {
                        taken += placed[i] == day ? placeable.get(i).minutes() : 0;
                    }
                }
            }
            Reason reason = !open
                    ? Reason.NO_OPEN_DAY
                    : placeable.contains(job) ? Reason.BENCH_FULL : Reason.LONGER_THAN_ANY_DAY;
            return new Undone(job, reason, freeInWindow + taken, taken);
        }
    }
}
