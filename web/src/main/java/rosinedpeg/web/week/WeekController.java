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
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
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
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.settling.SettlingString;

/** The week at the bench, and a day of it on paper. */
@Controller
class WeekController {

    private static final int DAYS = 7;
    private static final int MOST_TAILS = 24;
    /** So many others are offered to change places with, the earliest first. */
    private static final int MOST_OTHERS = 120;

    private final BenchWeek week;
    private final Occasions occasions;
    private final Say say;
    private final Clock clock;

    WeekController(BenchWeek week, Occasions occasions, Say say, Clock clock) {
        this.week = week;
        this.occasions = occasions;
        this.say = say;
        this.clock = clock;
    }

    /**
     * Shows a week.
     *
     * @param from its first day; today when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/week")
    String show(@RequestParam(required = false) @Nullable LocalDate from, Model model) {
        PlannedWeek planned = week.plan();
        LocalDate today = planned.today();
        LocalDate last = planned.furthest().minusDays(DAYS - 1L);
        LocalDate asked = from == null ? today : from;
        LocalDate first = asked.isBefore(today) ? today : asked.isAfter(last) ? last : asked;
        List<Occasion> played = occasions.between(start(first), start(first.plusDays(DAYS))).stream()
                .filter(one -> !one.kind().takesDays())
                .toList();
        Map<Place, List<WeekPage.Line>> lines = lines(planned);
        List<WeekPage.Line> undone = undone(planned);
        List<WeekPage.BenchDay> days = IntStream.range(0, DAYS)
                .mapToObj(first::plusDays)
                .map(day -> day(planned, day, played, lines))
                .toList();
        Page.lay(
                new WeekPage(
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
                        planned.asked().values().stream()
                                .mapToInt(BenchJob::worth)
                                .sum(),
                        planned.waiting().more(),
                        planned.waiting().learned().runs(),
                        planned.asked().values().stream()
                                .filter(job -> job.promised().isPresent())
                                .count(),
                        drawing(planned, first, played, days, undone)),
                model);
        return "week/week";
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

    private static List<WeekPage.Line> undone(PlannedWeek planned) {
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
        return start(place.day()).plusSeconds(60L * end);
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
                            return new WeekPage.PersonDay(
                                    place,
                                    person.on(day).toString(),
                                    planned.minutes(place),
                                    planned.schedule().takenMinutes(place),
                                    lines.getOrDefault(place, List.of()));
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
                                .map(WeekController::lying)
                                .toList(),
                        undone.stream()
                                .filter(line -> line.undone()
                                        .flatMap(BenchSchedule.Undone::more)
                                        .filter(more -> more.place().equals(place))
                                        .isPresent())
                                .map(WeekController::lying)
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

    /**
     * Shows everything that will be late.
     *
     * @param after how much of it comes before what is shown
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/week/late")
    String late(@RequestParam(defaultValue = "0") String after, Model model) {
        PlannedWeek planned = week.plan();
        Page.lay(
                new LatePage(ListPage.of(undone(planned), ListPage.after(after)), planned.today(), planned.furthest()),
                model);
        return "week/late";
    }

    /** Everything that will be late. */
    private record LatePage(ListPage<WeekPage.Line> late, LocalDate today, LocalDate furthest) {}

    /** Shows one day as a list, as it is printed. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/week/day/{day}")
    String onPaper(@PathVariable LocalDate day, Model model) {
        PlannedWeek planned = week.plan();
        LocalDate shown = day.isBefore(planned.today())
                ? planned.today()
                : day.isAfter(planned.furthest()) ? planned.furthest() : day;
        List<Occasion> played = occasions.between(start(shown), start(shown.plusDays(1))).stream()
                .filter(one -> !one.kind().takesDays())
                .toList();
        Page.lay(new DayPage(day(planned, shown, played, lines(planned)), planned.today(), planned.furthest()), model);
        return "week/day";
    }

    /**
     * Asks where a job is wanted.
     *
     * @param job its key
     * @param from the first day of the week that was seen
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/week/job")
    String ask(
            @RequestParam(defaultValue = "") String job,
            @RequestParam(required = false) @Nullable LocalDate from,
            Model model) {
        PlannedWeek planned = week.plan();
        Optional<Place> place = planned.place(job);
        LocalDate day = place.map(Place::day)
                .or(() -> planned.job(job).map(Job::latest))
                .orElse(planned.today());
        model.addAttribute(
                "form",
                new WeekForm(job, day.toString(), place.map(Place::person).orElse(""), ""));
        return ask(planned, job, from, model);
    }

    private static String ask(PlannedWeek planned, String key, @Nullable LocalDate from, Model model) {
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
        Page.lay(
                new JobPage(
                        line(planned, job, asked, undone),
                        others,
                        planned.people(),
                        from == null ? planned.today() : from,
                        planned.furthest()),
                model);
        return "week/job";
    }

    /** A job, and where it may be. */
    private record JobPage(
            WeekPage.Line line,
            List<WeekPage.Line> others,
            List<PersonHours> people,
            LocalDate from,
            LocalDate furthest) {}

    /** Pins a job to a place. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/pin")
    String pin(
            @RequestParam(required = false) @Nullable LocalDate from,
            @ModelAttribute("form") WeekForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        PlannedWeek planned = week.plan();
        if (planned.job(form.job()).isEmpty()) {
            return gone(from, redirect);
        }
        Optional<Place> place = form.read(result, planned, say);
        if (place.isEmpty()) {
            return ask(planned, form.job(), from, model);
        }
        week.pin(form.job(), place.get());
        return again(from, redirect, "week.pinned");
    }

    /** Lets two jobs change places. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/swap")
    String swap(
            @RequestParam(required = false) @Nullable LocalDate from,
            @ModelAttribute("form") WeekForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        PlannedWeek planned = week.plan();
        Optional<Place> one = planned.place(form.job());
        Optional<Place> other = planned.place(form.other());
        if (one.isEmpty() || other.isEmpty()) {
            return gone(from, redirect);
        }
        if (!mayBe(planned, form.job(), other.get()) || !mayBe(planned, form.other(), one.get())) {
            result.rejectValue("other", "week.swap.not");
            return ask(planned, form.job(), from, model);
        }
        week.swap(form.job(), one.get(), form.other(), other.get());
        return again(from, redirect, "week.swapped");
    }

    private static boolean mayBe(PlannedWeek planned, String key, Place place) {
        return Optional.ofNullable(planned.asked().get(key))
                .filter(job -> job.mayBeOn(place.day())
                        && job.minutesOf(place.person()).orElse(Integer.MAX_VALUE) <= planned.minutes(place))
                .isPresent();
    }

    /** Lets a job be anywhere again. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/free")
    String free(
            @RequestParam(required = false) @Nullable LocalDate from,
            @ModelAttribute("form") WeekForm form,
            BindingResult result,
            RedirectAttributes redirect) {
        week.free(form.job());
        return again(from, redirect, "week.freed");
    }

    /** Keeps a job from the day it stands on. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/not-on")
    String notOn(
            @RequestParam(required = false) @Nullable LocalDate from,
            @ModelAttribute("form") WeekForm form,
            BindingResult result,
            RedirectAttributes redirect) {
        Optional<Place> place = week.plan().place(form.job());
        if (place.isEmpty()) {
            return gone(from, redirect);
        }
        week.notOn(form.job(), place.get().day());
        return again(from, redirect, "week.kept");
    }

    /** Promises the days on which jobs stand. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/promise")
    String promise(@RequestParam(required = false) @Nullable LocalDate from, RedirectAttributes redirect) {
        week.promise();
        return again(from, redirect, "week.promised");
    }

    private static String gone(@Nullable LocalDate from, RedirectAttributes redirect) {
        return again(from, redirect, "week.gone");
    }

    private static String again(@Nullable LocalDate from, RedirectAttributes redirect, String notice) {
        redirect.addFlashAttribute("notice", notice);
        return "redirect:/week" + (from == null ? "" : "?from=" + from);
    }

    /** A day on paper. */
    private record DayPage(WeekPage.BenchDay day, LocalDate today, LocalDate furthest) {}
}
