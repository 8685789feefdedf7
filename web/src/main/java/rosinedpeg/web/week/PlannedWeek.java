package rosinedpeg.web.week;

import static java.util.stream.Collectors.toMap;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;

/**
 * The bench as it is planned.
 *
 * @param today the first day that is planned
 * @param people who is ever at the bench
 * @param times the minutes there are
 * @param waiting what waits for it
 * @param asked the same as it was planned, by key; empty where nobody is ever at the bench
 * @param schedule what is done when
 * @param places where each job stands that is done, by its key
 */
record PlannedWeek(
        LocalDate today,
        List<PersonHours> people,
        List<BenchTime> times,
        BenchWork.Waiting waiting,
        Map<String, BenchJob> asked,
        BenchSchedule schedule,
        Map<String, Place> places) {

    /** {@return what waits, in the order of last days} */
    List<Job> jobs() {
        return waiting.jobs();
    }

    /** {@return the job of a key; empty when it is done meanwhile} */
    Optional<Job> job(String key) {
        return jobs().stream().filter(job -> job.key().equals(key)).findFirst();
    }

    /** {@return where a job stands, if it can be done} */
    Optional<Place> place(String key) {
        return Optional.ofNullable(places.get(key));
    }

    /** {@return whether a job stands on another day than was promised, or on none} */
    boolean breaksPromise(String key) {
        return Optional.ofNullable(asked.get(key))
                .flatMap(BenchJob::promised)
                .filter(day -> !Optional.of(day).equals(place(key).map(Place::day)))
                .isPresent();
    }

    /** {@return the jobs by their keys} */
    Map<String, Job> byKey() {
        return jobs().stream().collect(toMap(Job::key, Function.identity()));
    }

    /** {@return the minutes somebody has on a day; of today what is still to come} */
    int minutes(Place place) {
        return times.stream()
                .filter(time -> time.place().equals(place))
                .mapToInt(BenchTime::minutes)
                .sum();
    }

    /** {@return the last day that is planned} */
    LocalDate furthest() {
        return today.plusDays(BenchWork.DAYS - 1L);
    }
}
