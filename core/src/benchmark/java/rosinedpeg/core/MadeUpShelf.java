package rosinedpeg.core;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;
import rosinedpeg.core.week.PricedMinutes;

/**
 * A shelf that nobody has: instruments with strings due, bridges to look at and wishes, for two people at a bench that is closed on
 * Sundays. Windows lie close before a few dates, so that some days are wanted by many.
 *
 * @param jobs the jobs
 * @param times the bench
 */
record MadeUpShelf(List<BenchJob> jobs, List<BenchTime> times) {

    private static final LocalDate MONDAY = LocalDate.of(2030, 5, 6);
    private static final List<String> PEOPLE = List.of("first bench", "second bench");
    private static final int JOBS_A_DAY = 18;

    /**
     * Makes one up.
     *
     * @param seed which
     * @param jobs how many jobs
     * @param wanted the share of the bench's minutes that they want, 1 for all
     */
    static MadeUpShelf of(int seed, int jobs, double wanted) {
        Random random = new Random(seed);
        int days = Math.max(6, jobs / JOBS_A_DAY);
        List<BenchJob> made = new ArrayList<>();
        int minutes = 0;
        for (int i = 0; i < jobs; i++) {
            int takes = random.nextInt(4) == 0 ? 2 + random.nextInt(6) : 15 + 5 * random.nextInt(13);
            int date = (1 + random.nextInt(Math.max(1, days / 4))) * 4;
            int latest = Math.min(days - 1, date - random.nextInt(3));
            int earliest = Math.max(0, latest - random.nextInt(5));
            Set<LocalDate> notOn = new HashSet<>();
            if (random.nextInt(6) == 0) {
                notOn.add(MONDAY.plusDays(earliest + (latest - earliest) / 2L));
            }
            minutes += takes;
            made.add(new BenchJob(
                    "job " + i,
                    1 + random.nextInt(9),
                    Map.of(PEOPLE.get(0), takes, PEOPLE.get(1), takes + takes / 5),
                    MONDAY.plusDays(earliest),
                    MONDAY.plusDays(latest),
                    notOn,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
        }
        List<Place> places = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            LocalDate date = MONDAY.plusDays(day);
            if (date.getDayOfWeek() != DayOfWeek.SUNDAY) {
                PEOPLE.forEach(person -> places.add(new Place(date, person)));
            }
        }
        int each = (int) Math.min(900, minutes / wanted / places.size());
        return new MadeUpShelf(
                made, places.stream().map(place -> new BenchTime(place, each)).toList());
    }

    /** {@return the same shelf after it was planned once, a third of its days promised} */
    MadeUpShelf plannedBefore() {
        BenchSchedule schedule = new PricedMinutes().plan(jobs, times);
        Random random = new Random(jobs.size());
        return new MadeUpShelf(
                jobs.stream()
                        .map(job -> new BenchJob(
                                job.name(),
                                job.worth(),
                                job.minutes(),
                                job.earliest(),
                                job.latest(),
                                job.notOn(),
                                job.pinned(),
                                Optional.ofNullable(schedule.places().get(job))
                                        .filter(place -> random.nextInt(3) == 0)
                                        .map(Place::day),
                                Optional.ofNullable(schedule.places().get(job))))
                        .toList(),
                times);
    }

    /** {@return the jobs, with one pinned to the last place of its window: the first that found none, or else the first of all} */
    List<BenchJob> withPin() {
        BenchJob job = jobs.stream()
                .filter(one -> one.before().isEmpty() && last(one).isPresent())
                .findFirst()
                .orElse(jobs.get(0));
        return jobs.stream()
                .map(one -> one.equals(job) ? last(one).map(one::pinnedTo).orElse(one) : one)
                .toList();
    }

    private Optional<Place> last(BenchJob job) {
        return times.stream()
                .map(BenchTime::place)
                .filter(place -> job.mayBeOn(place.day()))
                .reduce((one, later) -> later);
    }
}
