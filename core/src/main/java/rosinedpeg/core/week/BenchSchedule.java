package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;
import static java.util.stream.Collectors.summingInt;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What the bench does when: each job on one day of its window and with one person, no minute used twice, pinned jobs where they are
 * pinned.
 *
 * @param places where each job stands that is done, in order of days and people
 * @param undone what cannot be done, and what would make it possible; in the order of the jobs
 * @param worth how much is done, by what jobs are worth
 * @param most no schedule does more than that, by the same measure
 */
public record BenchSchedule(Map<BenchJob, Place> places, List<Undone> undone, int worth, int most) {

    /** Copies the collections. */
    public BenchSchedule {
        places = Collections.unmodifiableMap(new LinkedHashMap<>(places));
        undone = List.copyOf(undone);
    }

    /** {@return whether no schedule does more; false where the search ended before it was sure} */
    public boolean provenBest() {
        return worth >= most;
    }

    /** {@return where each job stands that is done, by its name} */
    public Map<String, Place> byName() {
        Map<String, Place> byName = new HashMap<>();
        places.forEach((job, place) -> byName.put(job.name(), place));
        return Collections.unmodifiableMap(byName);
    }

    /** {@return the minutes that are taken of somebody's day} */
    public int takenMinutes(Place place) {
        requireNonNull(place, "place");
        return places.entrySet().stream()
                .filter(entry -> entry.getValue().equals(place))
                .mapToInt(entry -> entry.getKey().minutesOf(place.person()).orElseThrow())
                .sum();
    }

    /**
     * The same schedule for jobs of which something else is known that changes nothing about it.
     *
     * @param now for each of its jobs the one that stands for it from now on
     * @return the schedule with those
     */
    public BenchSchedule of(Map<BenchJob, BenchJob> now) {
        requireNonNull(now, "now");
        Map<BenchJob, Place> places = new LinkedHashMap<>();
        this.places.forEach((job, place) -> places.put(now.getOrDefault(job, job), place));
        return new BenchSchedule(
                places,
                undone.stream()
                        .map(one -> new Undone(
                                now.getOrDefault(one.job(), one.job()),
                                one.reason(),
                                one.minutesInWindow(),
                                one.takenInWindow(),
                                one.more(),
                                one.sooner(),
                                one.later()))
                        .toList(),
                worth,
                most);
    }

    /** Why a job cannot be done. */
    public enum Reason {
        /** Nobody who can do it is at the bench on any of its days. */
        NO_OPEN_DAY,
        /** None of its days is long enough. */
        LONGER_THAN_ANY_DAY,
        /** Other jobs fill the bench on its days. */
        BENCH_FULL,
        /** It is pinned to a day on which it cannot be done. */
        PINNED_OUT_OF_REACH,
        /** What is pinned to that place already leaves too little time for it. */
        PINNED_TOO_FULL
    }

    /**
     * A job that cannot be done.
     *
     * @param job the job
     * @param reason why not
     * @param minutesInWindow the minutes there are at the bench on its days
     * @param takenInWindow how many of them other jobs take
     * @param more the fewest minutes that would make it possible with everything else where it is; empty where its pin is out of reach
     * @param sooner the nearest place before its first day that has room for it, if there is one
     * @param later the nearest place after its last day that has room for it, if there is one
     */
    public record Undone(
            BenchJob job,
            Reason reason,
            int minutesInWindow,
            int takenInWindow,
            Optional<MoreTime> more,
            Optional<Place> sooner,
            Optional<Place> later) {

        /** Checks the parts. */
        public Undone {
            requireNonNull(job, "job");
            requireNonNull(reason, "reason");
            requireNonNull(more, "more");
            requireNonNull(sooner, "sooner");
            requireNonNull(later, "later");
        }

        /** {@return how many days sooner its strings would have to be there for the nearest place before} */
        public Optional<Integer> daysSooner() {
            return sooner.map(place -> (int) ChronoUnit.DAYS.between(place.day(), job.earliest()));
        }

        /** {@return how many days less it would have to settle for the nearest place after} */
        public Optional<Integer> daysLater() {
            return later.map(place -> (int) ChronoUnit.DAYS.between(job.latest(), place.day()));
        }
    }

    /**
     * More time at the bench.
     *
     * @param place whose, and when
     * @param minutes how many minutes more
     */
    public record MoreTime(Place place, int minutes) {

        /** Checks that it is there. */
        public MoreTime {
            requireNonNull(place, "place");
        }
    }

    /**
     * Puts a schedule together from where jobs stand.
     *
     * @param jobs all jobs
     * @param times the minutes there are
     * @param places where those stand that are done
     * @param most no schedule does more than that
     * @return it, with what cannot be done
     */
    static BenchSchedule of(List<BenchJob> jobs, List<BenchTime> times, Map<BenchJob, Place> places, int most) {
        Map<BenchJob, Place> inOrder = new LinkedHashMap<>();
        places.entrySet().stream()
                .sorted(Map.Entry.<BenchJob, Place>comparingByValue(
                                Comparator.comparing(Place::day).thenComparing(Place::person))
                        .thenComparing(entry -> entry.getKey().latest())
                        .thenComparing(entry -> entry.getKey().name()))
                .forEach(entry -> inOrder.put(entry.getKey(), entry.getValue()));
        Room room = new Room(times, places);
        List<Undone> undone = jobs.stream()
                .filter(job -> !places.containsKey(job))
                .map(room::why)
                .toList();
        int worth = places.keySet().stream().collect(summingInt(BenchJob::worth));
        return new BenchSchedule(inOrder, undone, worth, Math.max(worth, most));
    }

    /** What is left of the minutes. */
    private static final class Room {

        private final List<BenchTime> times;
        private final Map<Place, Integer> free = new HashMap<>();

        Room(List<BenchTime> times, Map<BenchJob, Place> places) {
            this.times = times.stream()
                    .sorted(Comparator.comparing(
                                    (BenchTime time) -> time.place().day())
                            .thenComparing(time -> time.place().person()))
                    .toList();
            times.forEach(time -> free.put(time.place(), time.minutes()));
            places.forEach((job, place) ->
                    free.merge(place, -job.minutesOf(place.person()).orElseThrow(), Integer::sum));
        }

        private int free(Place place) {
            return Math.max(0, free.getOrDefault(place, 0));
        }

        private Undone why(BenchJob job) {
            List<BenchTime> open = times.stream()
                    .filter(time -> job.mayBeOn(time.place().day())
                            && job.minutesOf(time.place().person()).isPresent()
                            && time.minutes() > 0)
                    .toList();
            int there = open.stream().mapToInt(BenchTime::minutes).sum();
            int left = open.stream().mapToInt(time -> free(time.place())).sum();
            return new Undone(
                    job,
                    reason(job, open),
                    there,
                    there - left,
                    more(job),
                    job.pinned().isPresent() ? Optional.empty() : roomBefore(job),
                    job.pinned().isPresent() ? Optional.empty() : roomAfter(job));
        }

        private static Reason reason(BenchJob job, List<BenchTime> open) {
            if (job.pinned().isPresent()) {
                Place place = job.pinned().get();
                return job.mayBeOn(place.day()) && job.minutesOf(place.person()).isPresent()
                        ? Reason.PINNED_TOO_FULL
                        : Reason.PINNED_OUT_OF_REACH;
            }
            if (open.isEmpty()) {
                return Reason.NO_OPEN_DAY;
            }
            boolean longEnough = open.stream()
                    .anyMatch(time -> time.minutes()
                            >= job.minutesOf(time.place().person()).orElseThrow());
            return longEnough ? Reason.BENCH_FULL : Reason.LONGER_THAN_ANY_DAY;
        }

        private Optional<MoreTime> more(BenchJob job) {
            return where(job)
                    .map(place ->
                            new MoreTime(place, job.minutesOf(place.person()).orElseThrow() - free(place)))
                    .filter(more -> free(more.place()) + more.minutes() <= BenchTime.MINUTES.high())
                    .min(Comparator.comparingInt(MoreTime::minutes)
                            .thenComparing(one -> one.place().day())
                            .thenComparing(one -> one.place().person()));
        }

        /** {@return where more time would help: on the days it may be done, whether the bench is open on them or not} */
        private static Stream<Place> where(BenchJob job) {
            if (job.pinned().isPresent()) {
                return job
                        .pinned()
                        .filter(place -> job.mayBeOn(place.day())
                                && job.minutesOf(place.person()).isPresent())
                        .stream();
            }
            List<Place> where = new ArrayList<>();
            for (LocalDate day = job.earliest(); !day.isAfter(job.latest()); day = day.plusDays(1)) {
                if (job.mayBeOn(day)) {
                    for (String person : job.minutes().keySet()) {
                        where.add(new Place(day, person));
                    }
                }
            }
            return where.stream();
        }

        private Optional<Place> roomBefore(BenchJob job) {
            return room(job)
                    .filter(place ->
                            place.day().isBefore(job.earliest()) && !place.day().isAfter(job.latest()))
                    .reduce((one, nearer) -> nearer.day().isAfter(one.day()) ? nearer : one);
        }

        private Optional<Place> roomAfter(BenchJob job) {
            return room(job)
                    .filter(place ->
                            place.day().isAfter(job.latest()) && !place.day().isBefore(job.earliest()))
                    .findFirst();
        }

        private Stream<Place> room(BenchJob job) {
            return times.stream()
                    .map(BenchTime::place)
                    .filter(place -> !job.notOn().contains(place.day())
                            && job.minutesOf(place.person())
                                    .filter(minutes -> minutes <= free(place))
                                    .isPresent());
        }
    }
}
