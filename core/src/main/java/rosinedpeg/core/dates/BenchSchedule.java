package rosinedpeg.core.dates;

import static java.util.Objects.requireNonNull;

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
 * A first schedule puts each job, in order of last days, where it fits tightest, and is improved by moving jobs between days
 * to make room for one more. If it does as many as a bound allows, it is the best there is; otherwise branch and bound goes on
 * from there. The bound is the lesser of two: what Moore's rule (J. M. Moore, Management Science 15, 1968) brings in on time
 * when a job may be spread over days and begun at once, and what is left when in every run of days the jobs that have no
 * other days and find no room there are taken away.
 *
 * @param days the day of each job that is done, in order of days
 * @param undone what cannot be done, and why
 * @param provenBest whether no schedule does more; false when the search was cut short
 */
public record BenchSchedule(Map<BenchJob, LocalDate> days, List<Undone> undone, boolean provenBest) {

    private static final int MOST_NODES = 100_000;
    /** How many jobs may be moved to make room for one. */
    private static final int MOST_MOVES = 3;

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
        requireNonNull(day, "day");
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
    public record Undone(BenchJob job, Reason reason, int minutesInWindow, int takenInWindow) {
        /** Checks the parts. */
        public Undone {
            requireNonNull(job, "job");
            requireNonNull(reason, "reason");
        }
    }

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
            this.best = placed.clone();
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
            int bound = Math.min(bound(0), placeable.size() - surelyUndone());
            placeTightest();
            improve();
            bestCount = (int) Arrays.stream(placed).filter(day -> day != UNDONE).count();
            best = placed.clone();
            if (bestCount < bound) {
                takeAllOff();
                place(0, 0, bound);
                takeAllOff();
                for (int i = 0; i < best.length; i++) {
                    if (best[i] != UNDONE) {
                        put(i, best[i]);
                    }
                }
            }
            moveEarlier();
            boolean proven = bestCount == bound || nodes < MOST_NODES;
            return new BenchSchedule(days(), undone(), proven);
        }

        private void put(int job, int day) {
            if (placed[job] != UNDONE) {
                free[placed[job]] += placeable.get(job).minutes();
            }
            placed[job] = day;
            if (day != UNDONE) {
                free[day] -= placeable.get(job).minutes();
            }
        }

        private void takeAllOff() {
            for (int job = 0; job < placed.length; job++) {
                put(job, UNDONE);
            }
        }

        private boolean mayBeOn(int job, int day) {
            return placeable.get(job).mayBeOn(openDays.get(day));
        }

        private int minutes(int job) {
            return placeable.get(job).minutes();
        }

        private void placeTightest() {
            for (int job = 0; job < placed.length; job++) {
                makeRoom(job, 0);
            }
        }

        /** Undone jobs are brought in, short ones first, or take the place of a longer one, as long as that helps. */
        private void improve() {
            boolean helped = true;
            while (helped) {
                helped = false;
                List<Integer> undone = new ArrayList<>();
                for (int job = 0; job < placed.length; job++) {
                    if (placed[job] == UNDONE) {
                        undone.add(job);
                    }
                }
                undone.sort(Comparator.comparingInt(this::minutes));
                for (int job : undone) {
                    helped |= makeRoom(job, MOST_MOVES) || replaceALonger(job);
                }
            }
        }

        /** {@return whether a job found room, others being moved to make it, one after the other up to so many} */
        private boolean makeRoom(int job, int moves) {
            int tightest = UNDONE;
            for (int day = 0; day < free.length; day++) {
                boolean fits = free[day] >= minutes(job) && mayBeOn(job, day);
                if (fits && (tightest == UNDONE || free[day] < free[tightest])) {
                    tightest = day;
                }
            }
            if (tightest != UNDONE) {
                put(job, tightest);
                return true;
            }
            if (moves == 0) {
                return false;
            }
            for (int day = 0; day < free.length; day++) {
                if (mayBeOn(job, day)) {
                    for (int other = 0; other < placed.length; other++) {
                        if (placed[other] == day && free[day] + minutes(other) >= minutes(job)) {
                            put(other, UNDONE);
                            put(job, day);
                            if (makeRoom(other, moves - 1)) {
                                return true;
                            }
                            put(job, UNDONE);
                            put(other, day);
                        }
                    }
                }
            }
            return false;
        }

        private boolean replaceALonger(int job) {
            for (int other = 0; other < placed.length; other++) {
                int day = placed[other];
                if (day != UNDONE
                        && minutes(other) > minutes(job)
                        && mayBeOn(job, day)
                        && free[day] + minutes(other) >= minutes(job)) {
                    put(other, UNDONE);
                    put(job, day);
                    return true;
                }
            }
            return false;
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

        /**
         * {@return how many jobs cannot be done whatever one does}. In any run of days some of the jobs that have no other
         * days must stay undone when even the shortest of them need more minutes than there are; runs that do not overlap
         * add up, and the most they add up to is found day by day.
         */
        private int surelyUndone() {
            int[] upTo = new int[openDays.size() + 1];
            for (int end = 1; end < upTo.length; end++) {
                upTo[end] = upTo[end - 1];
                for (int start = 0; start < end; start++) {
                    upTo[end] = Math.max(upTo[end], upTo[start] + undoneWithin(start, end));
                }
            }
            return upTo[openDays.size()];
        }

        /** {@return how many of the jobs that may only be on days from {@code start} to before {@code end} find no room} */
        private int undoneWithin(int start, int end) {
            int capacity = Arrays.stream(free, start, end).sum();
            int[] within = placeable.stream()
                    .filter(job -> job.earliest().isAfter(start == 0 ? LocalDate.MIN : openDays.get(start - 1))
                            && job.latest().isBefore(end == openDays.size() ? LocalDate.MAX : openDays.get(end)))
                    .mapToInt(BenchJob::minutes)
                    .sorted()
                    .toArray();
            int done = 0;
            while (done < within.length && within[done] <= capacity) {
                capacity -= within[done++];
            }
            return within.length - done;
        }

        private void moveEarlier() {
            for (int job = 0; job < placed.length; job++) {
                for (int day = 0; day < placed[job]; day++) {
                    if (free[day] >= minutes(job) && mayBeOn(job, day)) {
                        put(job, day);
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
