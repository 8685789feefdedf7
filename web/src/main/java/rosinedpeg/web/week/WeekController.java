package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.Optional;
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
import rosinedpeg.core.week.Place;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** The week at the bench, and a day of it on paper. */
@Controller
class WeekController {

    private final BenchWeek week;
    private final WeekPages pages;
    private final Say say;

    WeekController(BenchWeek week, WeekPages pages, Say say) {
        this.week = week;
        this.pages = pages;
        this.say = say;
    }

    /**
     * Shows a week.
     *
     * @param from its first day; today when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/week")
    String show(@RequestParam(required = false) @Nullable LocalDate from, Model model) {
        Page.lay(pages.week(week.plan(), from), model);
        return "week/week";
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
                new LatePage(
                        ListPage.of(WeekPages.undone(planned), ListPage.after(after)),
                        planned.today(),
                        planned.furthest()),
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
        Page.lay(new DayPage(pages.day(planned, day), planned.today(), planned.furthest()), model);
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
        Page.lay(WeekPages.job(planned, key, from), model);
        return "week/job";
    }

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
        Constraint.BENCH_PLACE_ONCE.once(() -> week.pin(form.job(), place.get()));
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
        Constraint.BENCH_PLACE_ONCE.once(() -> week.swap(form.job(), one.get(), form.other(), other.get()));
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

    /** Keeps a job from the day it was seen on; pressed twice, the second finds it moved and keeps it from no other day. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/not-on")
    String notOn(
            @RequestParam(required = false) @Nullable LocalDate from,
            @ModelAttribute("form") WeekForm form,
            BindingResult result,
            RedirectAttributes redirect) {
        Optional<Place> place = week.plan()
                .place(form.job())
                .filter(there -> there.day().toString().equals(form.day()));
        if (place.isEmpty()) {
            return gone(from, redirect);
        }
        Constraint.BENCH_NOT_ON_ONCE.once(
                () -> week.notOn(form.job(), place.get().day()));
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
