package rosinedpeg.web.week;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.Place;
import rosinedpeg.web.drawing.BenchWeekDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.drawing.WeekDrawing;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.settling.SettlingString;

/** Puts together what is shown of a plan: seven days with their drawing, one day, one job. */
@Component
class WeekPages {

    private static final int DAYS = 7;
    private static final int MOST_TAILS = 24;
    /** So many others are offered to change places with, the earliest first. */
    private static final int MOST_OTHERS = 120;

    private final Occasions occasions;
    private final Say say;
    private final Clock clock;

    WeekPages(Occasions occasions, Say say, Clock clock) {
        this.occasions = occasions;
        this.say = say;
        this.clock = clock;
    }

    /**
     * Seven days.
     *
     * @param planned the bench as it is planned
     * @param from the first of them; today when none is given
     * @return their page
     */
    WeekPage week(PlannedWeek planned, @Nullable LocalDate from) {
        LocalDate today = planned.today();
        LocalDate last = planned.furthest().minusDays(DAYS - 1L);
        LocalDate asked = from == null ? today : from;
        LocalDate first = asked.isBefore(today) ? today : asked.isAfter(last) ? last : asked;
        List<Occasion> played = played(first, DAYS);
        Map<Place, List<WeekPage.Line>> lines = lines(planned);
        List<WeekPage.Line> undone = undone(planned);
        List<WeekPage.BenchDay> days = IntStream.range(0, DAYS)
                .mapToObj(first::plusDays)
                .map(day -> day(planned, day, played, lines))
                .toList();
        return new WeekPage(
                first,
                first.plusDays(DAYS - 1L),
                today,
                planned.furthest(),
                planned.people(),
                days,
                undone,
                planned.jobs().size(),
                planned.schedule().worth(),
                planned.schedule().most(),
                planned.asked().values().stream().mapToInt(BenchJob::worth).sum(),
                planned.waiting().more(),
                planned.waiting().learned().runs(),
                planned.asked().values().stream()
                        .filter(job -> job.promised().isPresent())
                        .count(),
                drawing(planned, first, played, days, undone));
    }

    /** {@return one day of those that are planned: the one that is asked for, or the nearest} */
    WeekPage.BenchDay day(PlannedWeek planned, LocalDate asked) {
        LocalDate day = asked.isBefore(planned.today())
                ? planned.today()
                : asked.isAfter(planned.furthest()) ? planned.furthest() : asked;
        return day(planned, day, played(day, 1), lines(planned));
    }

    private List<Occasion> played(LocalDate from, int days) {
        return occasions.between(start(from), start(from.plusDays(days))).stream()
                .filter(one -> !one.kind().takesDays())
                .toList();
    }

    /**
     * A job, and where it may be.
     *
     * @param line the job as it stands
     * @param others those it may change places with
     * @param people who is ever at the bench
     * @param from the first day of the week that was seen
     * @param furthest the last day that is planned
     */
    record JobPage(
            WeekPage.Line line,
            List<WeekPage.Line> others,
            List<PersonHours> people,
            LocalDate from,
            LocalDate furthest) {}

    /**
     * A job.
     *
     * @param planned the bench as it is planned
     * @param key its key
     * @param from the first day of the week that was seen
     * @return its page
     * @throws NotFoundException when it does not wait, or nobody is ever at the bench
     */
    static JobPage job(PlannedWeek planned, String key, @Nullable LocalDate from) {
        Job job = planned.job(key).orElseThrow(() -> new NotFoundException("job " + key));
        BenchJob asked = Optional.ofNullable(planned.asked().get(key))
                .orElseThrow(() -> new NotFoundException("job " + key + " at a bench with nobody"));
        Optional<BenchSchedule.Undone> undone = planned.schedule().undone().stream()
                .filter(one -> one.job().name().equals(key))
                .findFirst();
        List<WeekPage.Line> others = lines(planned).values().stream()
                .flatMap(List::stream)
                .filter(other ->
                        !other.job().key().equals(key) && !other.place().equals(planned.place(key)))
                .sorted(Comparator.comparing(WeekPage.Line::day)
                        .thenComparing(other -> other.job().instrument()))
                .limit(MOST_OTHERS)
                .toList();
        return new JobPage(
                line(planned, job, asked, undone),
                others,
                planned.people(),
                from == null ? planned.today() : from,
                planned.furthest());
    }

    private static Instant start(LocalDate day) {
        return day.atStartOfDay(CurrentWorkshop.zone()).toInstant();
    }

    private static Map<Place, List<WeekPage.Line>> lines(PlannedWeek planned) {
        Map<String, Job> jobs = planned.byKey();
        Map<Place, List<WeekPage.Line>> lines = new HashMap<>();
        planned.schedule().places().forEach((asked, place) -> {
            Job job = jobs.get(asked.name());
            if (job != null) {
                lines.computeIfAbsent(place, none -> new ArrayList<>())
                        .add(line(planned, job, asked, Optional.empty()));
            }
        });
        return lines;
    }

    /** {@return what cannot be done in time, what is worth most first} */
    static List<WeekPage.Line> undone(PlannedWeek planned) {
        Map<String, Job> jobs = planned.byKey();
        return planned.schedule().undone().stream()
                .flatMap(one -> Stream.ofNullable(jobs.get(one.job().name()))
                        .map(job -> line(planned, job, one.job(), Optional.of(one))))
                .sorted(Comparator.comparing(
                                (WeekPage.Line line) -> -line.job().kind().worth())
                        .thenComparing(line -> line.job().latest()))
                .toList();
    }

    private static WeekPage.Line line(
            PlannedWeek planned, Job job, BenchJob asked, Optional<BenchSchedule.Undone> undone) {
        Optional<Place> place = planned.place(job.key());
        int minutes = place.flatMap(there -> asked.minutesOf(there.person()))
                .orElseGet(() ->
                        asked.minutes().values().stream().min(Integer::compare).orElseThrow());
        return new WeekPage.Line(
                job,
                place,
                minutes,
                asked.pinned().isPresent(),
                asked.promised(),
                planned.breaksPromise(job.key()),
                undone,
                place.flatMap(there -> holds(planned, there, job)));
    }

    /** Whoever works until the end of their hours has the strings on by then. */
    private static Optional<Instant> holds(PlannedWeek planned, Place place, Job job) {
        return job.settles().map(evening(planned, place)::plus);
    }

    private static Instant evening(PlannedWeek planned, Place place) {
        int end = planned.people().stream()
                .filter(person -> person.person().equals(place.person()))
                .flatMap(person -> person.on(place.day()).parts().stream())
                .mapToInt(BenchHours.Part::until)
                .max()
                .orElse(BenchHours.MINUTES_OF_DAY);
        return place.day()
                .atStartOfDay()
                .plusMinutes(end)
                .atZone(CurrentWorkshop.zone())
                .toInstant();
    }

    private static WeekPage.BenchDay day(
            PlannedWeek planned, LocalDate day, List<Occasion> played, Map<Place, List<WeekPage.Line>> lines) {
        ZoneId zone = CurrentWorkshop.zone();
        return new WeekPage.BenchDay(
                day,
                played.stream()
                        .filter(one -> one.beginsAt().atZone(zone).toLocalDate().equals(day))
                        .toList(),
                planned.people().stream()
                        .map(person -> {
                            Place place = new Place(day, person.person());
                            List<WeekPage.Line> here = lines.getOrDefault(place, List.of());
                            return new WeekPage.PersonDay(
                                    place,
                                    person.on(day).toString(),
                                    planned.minutes(place),
                                    here.stream()
                                            .mapToInt(WeekPage.Line::minutes)
                                            .sum(),
                                    here);
                        })
                        .filter(bench ->
                                !bench.hours().isEmpty() || !bench.lines().isEmpty())
                        .toList());
    }

    private View drawing(
            PlannedWeek planned,
            LocalDate first,
            List<Occasion> played,
            List<WeekPage.BenchDay> days,
            List<WeekPage.Line> undone) {
        List<String> people = planned.people().stream().map(PersonHours::person).toList();
        List<BenchWeekDrawing.Bench> benches = new ArrayList<>();
        for (WeekPage.BenchDay day : days) {
            for (String person : people) {
                Place place = new Place(day.day(), person);
                benches.add(new BenchWeekDrawing.Bench(
                        (int) (day.day().toEpochDay() - first.toEpochDay()),
                        people.indexOf(person),
                        planned.minutes(place),
                        day.benches().stream()
                                .filter(bench -> bench.place().equals(place))
                                .flatMap(bench -> bench.lines().stream())
                                .map(WeekPages::lying)
                                .toList(),
                        undone.stream()
                                .filter(line -> line.undone()
                                        .flatMap(BenchSchedule.Undone::more)
                                        .filter(more -> more.place().equals(place))
                                        .isPresent())
                                .map(WeekPages::lying)
                                .toList()));
            }
        }
        return BenchWeekDrawing.of(
                IntStream.rangeClosed(0, DAYS)
                        .mapToObj(day -> start(first.plusDays(day)))
                        .toList(),
                IntStream.range(0, DAYS)
                        .mapToObj(day -> say.dayOfWeek(first.plusDays(day)))
                        .toList(),
                played.stream()
                        .map(one -> new WeekDrawing.Played(one.kind(), one.beginsAt()))
                        .toList(),
                people.size(),
                benches,
                tails(planned, first),
                clock.instant());
    }

    private static BenchWeekDrawing.Lying lying(WeekPage.Line line) {
        return new BenchWeekDrawing.Lying(
                line.minutes(),
                line.job().changesStrings() ? line.job().strings().size() : 0,
                line.pinned());
    }

    /** What settles already, and what will once it is changed. */
    private static List<BenchWeekDrawing.Tail> tails(PlannedWeek planned, LocalDate first) {
        Map<UUID, BenchWeekDrawing.Tail> tails = new HashMap<>();
        for (SettlingString string : planned.waiting().young()) {
            tails.merge(
                    string.instrument().id(),
                    new BenchWeekDrawing.Tail(string.fittedAt(), string.steadyAt(Steadiness.CONCERT)),
                    (one, other) -> one.until().isBefore(other.until()) ? other : one);
        }
        for (Job job : planned.jobs()) {
            planned.place(job.key())
                    .ifPresent(place -> holds(planned, place, job)
                            .ifPresent(until -> tails.put(
                                    job.instrumentId(), new BenchWeekDrawing.Tail(evening(planned, place), until))));
        }
        Instant from = start(first);
        Instant until = start(first.plusDays(DAYS));
        return tails.values().stream()
                .filter(tail -> tail.until().isAfter(from) && tail.from().isBefore(until))
                .sorted(Comparator.comparing(BenchWeekDrawing.Tail::from).thenComparing(BenchWeekDrawing.Tail::until))
                .limit(MOST_TAILS)
                .toList();
    }
}
