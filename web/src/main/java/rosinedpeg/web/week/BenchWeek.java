package rosinedpeg.web.week;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toSet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchPlanner;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.BenchTime;
import rosinedpeg.core.week.Place;
import rosinedpeg.core.week.PricedMinutes;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.PersonNames;

/**
 * Plans what waits into the hours there are. Where each job stands is kept, so that the next planning moves as little as it can; what
 * was pinned or promised is kept whatever becomes of the rest.
 */
@Service
public class BenchWeek {

    /** So many plans are remembered: the same question has the same answer. */
    private static final int REMEMBERED = 100;

    private final BenchWork work;
    private final BenchTimes times;
    private final PlaceRepository places;
    private final NotOnRepository notOn;
    private final PersonNames names;
    private final Clock clock;
    private final BenchPlanner planner = new PricedMinutes();
    private final Cache<Question, BenchSchedule> answered =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    BenchWeek(
            BenchWork work,
            BenchTimes times,
            PlaceRepository places,
            NotOnRepository notOn,
            PersonNames names,
            Clock clock) {
        this.work = work;
        this.times = times;
        this.places = places;
        this.notOn = notOn;
        this.names = names;
        this.clock = clock;
    }

    private record Question(List<BenchJob> jobs, List<BenchTime> times) {}

    /** {@return the bench as it is planned now} */
    PlannedWeek plan() {
        LocalDate today = CurrentWorkshop.today(clock);
        List<PersonHours> people = times.people();
        List<BenchTime> there = times.times(people, BenchWork.DAYS);
        BenchWork.Waiting waiting = work.waiting(
                people.stream().map(PersonHours::person).toList(),
                there.stream().map(time -> time.place().day()).collect(toSet()),
                work.due());
        Map<String, PlaceEntity> rows =
                places.findAllByOrderByJob().stream().collect(toMap(PlaceEntity::job, Function.identity()));
        Map<String, Set<LocalDate>> unwanted = notOn.findByDayGreaterThanEqual(today).stream()
                .collect(groupingBy(NotOnEntity::job, mapping(NotOnEntity::day, toSet())));
        Map<String, BenchJob> asked = new HashMap<>();
        if (!people.isEmpty()) {
            waiting.jobs()
                    .forEach(job -> asked.put(
                            job.key(),
                            asked(
                                    job,
                                    Optional.ofNullable(rows.get(job.key())),
                                    unwanted.getOrDefault(job.key(), Set.of()),
                                    today)));
        }
        List<BenchJob> jobs = waiting.jobs().stream()
                .map(job -> asked.get(job.key()))
                .filter(job -> job != null)
                .toList();
        BenchSchedule schedule = answer(jobs, there);
        Map<String, Place> stand = schedule.byName();
        keep(jobs, stand, rows, today);
        return new PlannedWeek(today, people, there, waiting, asked, schedule, stand);
    }

    private BenchJob asked(Job job, Optional<PlaceEntity> row, Set<LocalDate> unwanted, LocalDate today) {
        Set<LocalDate> notOn = new HashSet<>(job.away());
        notOn.addAll(job.closed());
        notOn.addAll(unwanted);
        Map<String, Integer> minutes =
                job.minutes().entrySet().stream().collect(toMap(Map.Entry::getKey, entry -> whole(entry.getValue())));
        return new BenchJob(
                job.key(),
                job.kind().worth(),
                minutes,
                job.earliest(),
                job.latest(),
                notOn,
                row.flatMap(there -> there.pinned(names))
                        .filter(place -> !place.day().isBefore(today) && minutes.containsKey(place.person())),
                row.flatMap(PlaceEntity::promised),
                row.flatMap(there -> there.place(names)));
    }

    private static int whole(Interval minutes) {
        return (int) BenchJob.MINUTES.clamp(Math.ceil(minutes.best()));
    }

    private BenchSchedule answer(List<BenchJob> jobs, List<BenchTime> there) {
        BenchSchedule schedule =
                answered.get(new Question(jobs, there), question -> planner.plan(question.jobs(), question.times()));
        Map<String, Place> stand = schedule.byName();
        List<BenchJob> standing = jobs.stream()
                .map(job -> job.stoodAt(Optional.ofNullable(stand.get(job.name()))))
                .toList();
        if (standing.equals(jobs)) {
            return schedule;
        }
        answered.put(new Question(standing, there), again(schedule, jobs, standing));
        return schedule;
    }

    /** {@return the same schedule for the same jobs, which stand where it put them now} */
    private static BenchSchedule again(BenchSchedule schedule, List<BenchJob> jobs, List<BenchJob> standing) {
        Map<BenchJob, BenchJob> now = new HashMap<>();
        for (int job = 0; job < jobs.size(); job++) {
            now.put(jobs.get(job), standing.get(job));
        }
        return schedule.of(now);
    }

    private void keep(List<BenchJob> jobs, Map<String, Place> stand, Map<String, PlaceEntity> rows, LocalDate today) {
        Map<String, PlaceEntity> gone = new HashMap<>(rows);
        for (BenchJob job : jobs) {
            gone.remove(job.name());
            Optional<Place> place = Optional.ofNullable(stand.get(job.name()));
            Optional<PlaceEntity> row = Optional.ofNullable(rows.get(job.name()));
            if (job.pinned().isEmpty()
                    && !row.flatMap(there -> there.place(names)).equals(place)) {
                places.stand(
                        CurrentWorkshop.id(),
                        job.name(),
                        place.map(Place::day).orElse(null),
                        place.map(Place::person).map(names::called).orElse(null),
                        today);
            }
        }
        gone.values().removeIf(row -> isWantedStill(row, today));
        if (!gone.isEmpty()) {
            places.forget(gone.keySet());
        }
    }

    /** What lies on the bench comes back if its run is given up; until its day is over what was said of it stands. */
    private static boolean isWantedStill(PlaceEntity row, LocalDate today) {
        return row.pinnedDay().filter(day -> !day.isBefore(today)).isPresent()
                || row.promised().filter(day -> !day.isBefore(today)).isPresent();
    }

    /** A job has to be there from now on. */
    @Transactional
    void pin(String job, Place place) {
        PlaceEntity row = places.findByJob(job).orElseGet(() -> new PlaceEntity(job));
        row.pin(place.day(), names.called(place.person()));
        places.saveAndFlush(row);
    }

    /** The first job of an instrument has to be where it stands, and may not be on the day after. */
    @Transactional
    public void pinFirst(UUID instrumentId) {
        PlannedWeek planned = plan();
        planned.jobs().stream()
                .filter(job -> job.instrumentId().equals(instrumentId))
                .findFirst()
                .ifPresent(job -> planned.place(job.key()).ifPresent(place -> {
                    pin(job.key(), place);
                    notOn(job.key(), place.day().plusDays(1));
                }));
    }

    /** Two jobs change places, and have to be there from now on. */
    @Transactional
    void swap(String one, Place ofOne, String other, Place ofOther) {
        pin(one, ofOther);
        pin(other, ofOne);
    }

    /** A job may be anywhere, and on any of its days. */
    @Transactional
    void free(String job) {
        places.findByJob(job).ifPresent(PlaceEntity::free);
        notOn.deleteAll(notOn.findByJob(job));
    }

    /** A job may not be on a day. */
    @Transactional
    void notOn(String job, LocalDate day) {
        places.findByJob(job)
                .filter(row -> row.pinnedDay().filter(day::equals).isPresent())
                .ifPresent(PlaceEntity::free);
        if (notOn.findByJob(job).stream().noneMatch(one -> one.day().equals(day))) {
            notOn.saveAndFlush(new NotOnEntity(job, day));
        }
    }

    /** The day each job stands on is promised, from that day on. */
    @Transactional
    void promise() {
        Set<String> waiting = plan().jobs().stream().map(Job::key).collect(toSet());
        places.findAllByOrderByJob().stream()
                .filter(row -> waiting.contains(row.job()))
                .forEach(PlaceEntity::promise);
    }
}
