package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchPlanner;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.BenchSchedule.Reason;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;
import rosinedpeg.core.week.PricedMinutes;

/** Many instruments, one bench. */
class BenchScheduleTest {

    private static final LocalDate MONDAY = LocalDate.of(2030, 5, 6);
    private static final String ANN = "Ann";
    private static final String BEN = "Ben";

    private final BenchPlanner planner = new PricedMinutes();

    private static BenchJob job(String name, int worth, int minutes, int earliest, int latest) {
        return new BenchJob(
                name,
                worth,
                Map.of(ANN, minutes),
                MONDAY.plusDays(earliest),
                MONDAY.plusDays(latest),
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static BenchJob promised(BenchJob job, int day) {
        return new BenchJob(
                job.name(),
                job.worth(),
                job.minutes(),
                job.earliest(),
                job.latest(),
                job.notOn(),
                job.pinned(),
                Optional.of(MONDAY.plusDays(day)),
                job.before());
    }

    private static Place on(int day) {
        return new Place(MONDAY.plusDays(day), ANN);
    }

    private static List<BenchTime> days(int... minutes) {
        List<BenchTime> days = new ArrayList<>();
        for (int day = 0; day < minutes.length; day++) {
            days.add(new BenchTime(on(day), minutes[day]));
        }
        return days;
    }

    private static Map<String, Integer> byName(BenchSchedule schedule) {
        Map<String, Integer> days = new HashMap<>();
        schedule.places()
                .forEach((job, place) -> days.put(job.name(), (int) (place.day().toEpochDay() - MONDAY.toEpochDay())));
        return days;
    }

    @Test
    void packsWhatFirstComeFirstServedWouldNot() {
        BenchSchedule schedule = planner.plan(
                List.of(
                        job("a", 1, 40, 0, 1),
                        job("b", 1, 30, 0, 1),
                        job("c", 1, 60, 0, 1),
                        job("d", 1, 50, 0, 1),
                        job("e", 1, 20, 1, 2)),
                days(90, 90, 30));
        assertThat(schedule.undone()).isEmpty();
        assertThat(schedule.provenBest()).isTrue();
        assertThat(schedule.takenMinutes(on(0))).isEqualTo(90);
    }

    @Test
    void whatIsWorthMoreGoesFirst() {
        BenchSchedule schedule = planner.plan(
                List.of(job("long", 5, 60, 0, 0), job("one", 2, 30, 0, 0), job("two", 2, 30, 0, 0)), days(60));
        assertThat(byName(schedule)).containsOnlyKeys("long");
        assertThat(schedule.worth()).isEqualTo(5);
        assertThat(schedule.most()).isEqualTo(5);
    }

    @Test
    void saysWhatCannotBeDoneAndWhatWouldHelp() {
        BenchSchedule schedule = planner.plan(
                List.of(
                        job("closed", 1, 30, 5, 6),
                        job("too long", 1, 120, 0, 1),
                        job("one", 1, 60, 0, 0),
                        job("two", 1, 50, 0, 0),
                        job("three", 1, 20, 0, 0),
                        job("packet", 1, 25, 2, 2),
                        job("too late", 1, 10, 2, 1)),
                days(90, 90, 10));
        assertThat(byName(schedule)).containsOnlyKeys("two", "three");
        assertThat(schedule.undone())
                .extracting(undone -> "%s %s %d/%d, %s more, %s sooner, %s later"
                        .formatted(
                                undone.job().name(),
                                undone.reason(),
                                undone.takenInWindow(),
                                undone.minutesInWindow(),
                                undone.more().map(more -> "" + more.minutes()).orElse("no"),
                                undone.daysSooner().map(Object::toString).orElse("none"),
                                undone.daysLater().map(Object::toString).orElse("none")))
                .containsExactly(
                        "closed NO_OPEN_DAY 0/0, 30 more, 4 sooner, none later",
                        "too long LONGER_THAN_ANY_DAY 70/180, 30 more, none sooner, none later",
                        "one BENCH_FULL 70/90, 40 more, none sooner, 1 later",
                        "packet LONGER_THAN_ANY_DAY 0/10, 15 more, 1 sooner, none later",
                        "too late NO_OPEN_DAY 0/0, no more, 1 sooner, 1 later");
    }

    @Test
    void pinsHoldOrAreSaidToBeOutOfReach() {
        BenchJob full = job("a", 1, 50, 0, 2).pinnedTo(on(1));
        BenchSchedule schedule = planner.plan(
                List.of(
                        full,
                        job("b", 3, 50, 0, 2).pinnedTo(on(1)),
                        job("late", 9, 10, 0, 1).pinnedTo(on(2)),
                        job("nobody", 9, 10, 0, 2).pinnedTo(new Place(MONDAY, BEN)),
                        job("free", 1, 40, 1, 1)),
                days(90, 90, 90));
        assertThat(byName(schedule)).containsOnly(Map.entry("b", 1), Map.entry("free", 1));
        assertThat(schedule.undone())
                .extracting(BenchSchedule.Undone::reason)
                .containsExactly(Reason.PINNED_TOO_FULL, Reason.PINNED_OUT_OF_REACH, Reason.PINNED_OUT_OF_REACH);
        assertThat(schedule.undone().get(0).more().orElseThrow().minutes()).isEqualTo(50);
    }

    @Test
    void promisesAreKeptBeforeWhatStoodStays() {
        BenchJob promised = promised(job("promised", 1, 60, 0, 2), 2).stoodAt(Optional.of(on(1)));
        BenchJob stood = job("stood", 1, 60, 0, 2).stoodAt(Optional.of(on(2)));
        assertThat(byName(planner.plan(List.of(stood, promised), days(60, 60, 60))))
                .containsEntry("promised", 2)
                .containsEntry("stood", 0);
        assertThat(byName(planner.plan(List.of(stood), days(60, 60, 60)))).containsEntry("stood", 2);
        assertThat(byName(planner.plan(List.of(job("new", 1, 60, 0, 2)), days(60, 60, 60))))
                .containsEntry("new", 0);
    }

    @Test
    void namesWhatIsWrong() {
        assertThatThrownBy(() -> job("a", 1, 0, 0, 1)).hasMessageContaining("minutes is 0.0");
        assertThatThrownBy(() -> job("a", 0, 10, 0, 1)).hasMessageContaining("worth is 0.0");
        assertThatThrownBy(() -> planner.plan(List.of(job("a", 1, 10, 0, 1), job("a", 1, 20, 0, 1)), days(60)))
                .hasMessageContaining("a name of its own");
        assertThatThrownBy(() -> planner.plan(List.of(), List.of(new BenchTime(on(0), 1), new BenchTime(on(0), 2))))
                .hasMessageContaining("one time a day");
    }

    /** A made-up shelf: two people, who need not be equally quick, on some days; some jobs pinned, promised or not at hand. */
    private static final class Shelf {

        private final List<BenchJob> jobs = new ArrayList<>();
        private final List<BenchTime> times = new ArrayList<>();

        Shelf(int seed, int count, int days) {
            Random random = new Random(seed);
            for (int day = 0; day < days; day++) {
                for (String person : List.of(ANN, BEN)) {
                    if (random.nextInt(4) > 0) {
                        times.add(new BenchTime(
                                new Place(MONDAY.plusDays(day), person), random.nextInt(60 * count / days + 20)));
                    }
                }
            }
            for (int i = 0; i < count; i++) {
                int earliest = random.nextInt(days);
                int minutes = 10 + random.nextInt(50);
                Set<LocalDate> notOn = new HashSet<>();
                if (random.nextInt(5) == 0) {
                    notOn.add(MONDAY.plusDays(earliest));
                }
                Place somewhere = new Place(MONDAY.plusDays(random.nextInt(days)), random.nextBoolean() ? ANN : BEN);
                jobs.add(new BenchJob(
                        "job " + i,
                        1 + random.nextInt(6),
                        random.nextInt(4) == 0 ? Map.of(BEN, minutes) : Map.of(ANN, minutes, BEN, minutes + 7),
                        MONDAY.plusDays(earliest),
                        MONDAY.plusDays(earliest + random.nextInt(3)),
                        notOn,
                        random.nextInt(6) == 0 ? Optional.of(somewhere) : Optional.empty(),
                        random.nextInt(3) == 0 ? Optional.of(somewhere.day()) : Optional.empty(),
                        random.nextInt(3) == 0 ? Optional.of(somewhere) : Optional.empty()));
            }
        }
    }

    /** Every job on its days and with somebody who can do it, no minute used twice, pins hold, all accounted for. */
    private static void assertSound(Shelf shelf, BenchSchedule schedule) {
        assertThat(schedule.places().size() + schedule.undone().size()).isEqualTo(shelf.jobs.size());
        schedule.places().forEach((job, place) -> {
            assertThat(job.mayBeOn(place.day())).as(job + " on " + place).isTrue();
            assertThat(job.minutesOf(place.person())).isPresent();
            assertThat(job.pinned().orElse(place)).isEqualTo(place);
        });
        Map<Place, Integer> there = new HashMap<>();
        shelf.times.forEach(time -> there.put(time.place(), time.minutes()));
        schedule.places()
                .values()
                .forEach(place ->
                        assertThat(schedule.takenMinutes(place)).isLessThanOrEqualTo(there.getOrDefault(place, 0)));
        assertThat(schedule.worth())
                .isEqualTo(schedule.places().keySet().stream()
                        .mapToInt(BenchJob::worth)
                        .sum())
                .isLessThanOrEqualTo(schedule.most());
    }

    /** Against trying out everything. Where pins are in one another's way no more is asked than that they are sound. */
    @Property(tries = 300)
    void noScheduleDoesMore(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        Shelf shelf = new Shelf(seed, 1 + seed % 7, 3);
        BenchSchedule schedule = planner.plan(shelf.jobs, shelf.times);
        assertSound(shelf, schedule);
        List<BenchJob> open =
                shelf.jobs.stream().filter(job -> job.pinned().isEmpty()).toList();
        int[] free = shelf.times.stream()
                .mapToInt(time -> time.minutes()
                        - schedule.places().entrySet().stream()
                                .filter(entry -> entry.getKey().pinned().isPresent()
                                        && entry.getValue().equals(time.place()))
                                .mapToInt(entry -> entry.getKey()
                                        .minutesOf(time.place().person())
                                        .orElseThrow())
                                .sum())
                .toArray();
        assertThat(schedule.worth()).isEqualTo(pinnedWorth(schedule) + mostByTryingAll(open, 0, shelf.times, free));
        assertThat(schedule.provenBest()).isTrue();
    }

    /** Shelves on which a search that ended with minutes to spare took that for the better. */
    @Example
    void noScheduleDoesMoreThere() {
        noScheduleDoesMore(12_129);
        noScheduleDoesMore(12_554);
    }

    /** Pins come first: only where no more of them hold, the rest has to be as good. */
    private static void assertNoWorse(BenchSchedule now, BenchSchedule before, int by) {
        int pinned = pinnedWorth(now);
        assertThat(pinned).isGreaterThanOrEqualTo(pinnedWorth(before));
        if (pinned == pinnedWorth(before)) {
            assertThat(now.worth()).isGreaterThanOrEqualTo(before.worth() + by);
        }
    }

    private static int pinnedWorth(BenchSchedule schedule) {
        return schedule.places().keySet().stream()
                .filter(job -> job.pinned().isPresent())
                .mapToInt(BenchJob::worth)
                .sum();
    }

    private static long promisesKept(BenchSchedule schedule) {
        return schedule.places().entrySet().stream()
                .filter(entry -> entry.getKey()
                        .promised()
                        .filter(entry.getValue().day()::equals)
                        .isPresent())
                .count();
    }

    private static int mostByTryingAll(List<BenchJob> jobs, int index, List<BenchTime> times, int[] free) {
        if (index == jobs.size()) {
            return 0;
        }
        int most = mostByTryingAll(jobs, index + 1, times, free);
        BenchJob job = jobs.get(index);
        for (int slot = 0; slot < free.length; slot++) {
            Place place = times.get(slot).place();
            int minutes = job.minutesOf(place.person()).orElse(Integer.MAX_VALUE);
            if (job.mayBeOn(place.day()) && free[slot] >= minutes) {
                free[slot] -= minutes;
                most = Math.max(most, job.worth() + mostByTryingAll(jobs, index + 1, times, free));
                free[slot] += minutes;
            }
        }
        return most;
    }

    /** A shelf on which one job gave way to a shorter one of as much worth, which helped nobody. */
    @Example
    void nothingMovesForNothing() {
        staysAndGrows(613);
        staysAndGrows(21_770);
    }

    /** Planned again, a bench stays as it is; with more minutes it does no less; and what is said to help, helps. */
    @Property(tries = 40)
    void staysAndGrows(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        Shelf shelf = new Shelf(seed, 12 + seed % 60, 7);
        BenchSchedule first = planner.plan(shelf.jobs, shelf.times);
        assertSound(shelf, first);
        List<BenchJob> standing = shelf.jobs.stream()
                .map(job -> job.stoodAt(Optional.ofNullable(first.places().get(job))))
                .toList();
        BenchSchedule again = planner.plan(standing, shelf.times);
        assertThat(again.worth()).isGreaterThanOrEqualTo(first.worth());
        if (again.worth() == first.worth() && promisesKept(again) == promisesKept(first)) {
            assertThat(byName(again)).isEqualTo(byName(first));
        }
        Random random = new Random(seed);
        List<BenchTime> more = shelf.times.stream()
                .map(time -> new BenchTime(time.place(), time.minutes() + random.nextInt(30)))
                .toList();
        assertNoWorse(planner.plan(standing, more), first, 0);
        first.undone().stream()
                .flatMap(undone -> undone.more().stream().map(time -> Map.entry(undone, time)))
                .limit(3)
                .forEach(entry -> {
                    List<BenchTime> helped = new ArrayList<>(shelf.times);
                    BenchSchedule.MoreTime time = entry.getValue();
                    int there = helped.stream()
                            .filter(one -> one.place().equals(time.place()))
                            .mapToInt(BenchTime::minutes)
                            .sum();
                    helped.removeIf(one -> one.place().equals(time.place()));
                    helped.add(new BenchTime(time.place(), there + time.minutes()));
                    assertNoWorse(
                            planner.plan(standing, helped),
                            first,
                            entry.getKey().job().worth());
                });
    }
}
