package rosinedpeg.web.week;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.week.BenchHours;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.PersonNames;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** When people are at the bench. */
@Controller
class HoursController {

    private static final int LONGEST_NAME = 80;
    /** Nobody says more than so many days at once. */
    private static final int MOST_DAYS = 60;

    private final BenchTimes times;
    private final PersonNames names;
    private final AsShown asShown;
    private final Words words;
    private final Clock clock;

    HoursController(BenchTimes times, PersonNames names, AsShown asShown, Words words, Clock clock) {
        this.times = times;
        this.names = names;
        this.asShown = asShown;
        this.words = words;
        this.clock = clock;
    }

    /**
     * Shows everybody's hours.
     *
     * @param person whose are to be put right; somebody new when none is given
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/week/hours")
    String show(@RequestParam(required = false) @Nullable String person, Model model) {
        String today = CurrentWorkshop.today(clock).toString();
        List<PersonHours> people = times.people();
        String signedIn = names.of(CurrentWorkshop.person());
        model.addAttribute(
                "form",
                find(people, person == null ? signedIn : person)
                        .map(one -> HoursForm.of(one, today))
                        .orElseGet(() -> HoursForm.suggested(person == null ? signedIn : "", today)));
        return show("week/hours", people, model);
    }

    /** Asks when somebody is at the bench otherwise than usual. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/week/hours/otherwise")
    String otherwise(@RequestParam(required = false) @Nullable String person, Model model) {
        List<PersonHours> people = times.people();
        String today = CurrentWorkshop.today(clock).toString();
        model.addAttribute(
                "form", HoursForm.suggested(person == null ? names.of(CurrentWorkshop.person()) : person, today));
        return show("week/otherwise", people, model);
    }

    private static Optional<PersonHours> find(List<PersonHours> people, String person) {
        return people.stream()
                .filter(one -> one.person().equalsIgnoreCase(person.strip()))
                .findFirst();
    }

    private static String show(String template, List<PersonHours> people, Model model) {
        Page.lay(new HoursPage(people, DayOfWeek.values()), model);
        return template;
    }

    /** Says when somebody usually is at the bench. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/hours")
    String usually(
            @ModelAttribute("form") HoursForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        List<PersonHours> people = times.people();
        Optional<String> name = Entry.text(result, "person", form.person(), LONGEST_NAME);
        Map<DayOfWeek, BenchHours> week = form.week(result);
        Optional<PersonHours> there = name.flatMap(one -> find(people, one));
        if (there.isEmpty() && people.size() >= BenchTimes.MOST_PEOPLE) {
            result.rejectValue("person", "hours.people.most", new Object[] {BenchTimes.MOST_PEOPLE}, null);
        }
        if (result.hasErrors() || name.isEmpty()) {
            return show("week/hours", people, model);
        }
        String person = there.map(PersonHours::person).orElse(name.get());
        try {
            asShown.change(
                    CurrentWorkshop.id(),
                    // Under a name that has no hours yet nothing was shown, whoever's hours were copied for it.
                    there.isEmpty() ? "" : form.shown(),
                    () -> mark(person),
                    HoursForm.mark(person, week),
                    () -> times.usually(person, week));
        } catch (OptimisticLockingFailureException meanwhile) {
            result.rejectValue("person", "hours.notShown", new Object[] {person}, null);
            return show("week/hours", times.people(), model);
        }
        redirect.addFlashAttribute("notice", "hours.said");
        redirect.addFlashAttribute("noticeOf", person);
        return "redirect:/week/hours";
    }

    /** {@return the mark of how somebody's week stands; empty where nobody said anything of it} */
    private String mark(String person) {
        return find(times.people(), person).map(HoursForm::mark).orElse("");
    }

    /** Says when somebody is at the bench on some days, or that they are not. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/hours/otherwise")
    String otherwise(
            @ModelAttribute("form") HoursForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        LocalDate today = CurrentWorkshop.today(clock);
        List<PersonHours> people = times.people();
        Optional<PersonHours> person = find(people, form.person());
        if (person.isEmpty()) {
            result.rejectValue("person", "week.person.unknown");
        }
        Optional<LocalDate> from = Entry.date(result, "from", form.from(), today, today.plusYears(1));
        Optional<LocalDate> until =
                from.flatMap(day -> Entry.date(result, "until", form.until(), day, day.plusDays(MOST_DAYS - 1L)));
        Optional<BenchHours> hours = HoursForm.read(result, "hours", form.hours());
        if (result.hasErrors() || person.isEmpty() || until.isEmpty() || hours.isEmpty()) {
            return show("week/otherwise", people, model);
        }
        Constraint.BENCH_HOURS_DAY.once(
                () -> times.otherwise(person.get().person(), from.get(), until.get(), hours.get()));
        redirect.addFlashAttribute("notice", "hours.said");
        redirect.addFlashAttribute("noticeOf", person.get().person());
        return "redirect:/week/hours/otherwise";
    }

    /** A day is as usual again. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/hours/as-usual")
    String asUsual(
            @RequestParam(defaultValue = "") String person,
            @RequestParam(required = false) @Nullable LocalDate day,
            RedirectAttributes redirect) {
        if (day != null) {
            times.asUsual(person, day);
        }
        redirect.addFlashAttribute("notice", "hours.said");
        redirect.addFlashAttribute("noticeOf", person);
        return "redirect:/week/hours/otherwise";
    }

    /** Somebody is not at the bench any more. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/hours/remove")
    String remove(
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") String shown,
            RedirectAttributes redirect) {
        redirect.addFlashAttribute("noticeOf", person);
        boolean made = Change.make(
                () -> asShown.change(CurrentWorkshop.id(), shown, () -> mark(person), "", () -> times.remove(person)),
                "hours.removed",
                words.say("hours.remove", person),
                redirect);
        return made
                ? "redirect:/week/hours"
                : "redirect:"
                        + UriComponentsBuilder.fromPath("/week/hours")
                                .queryParam("person", "{person}")
                                .build(person);
    }

    /** Everybody's hours. */
    private record HoursPage(List<PersonHours> people, DayOfWeek[] weekdays) {}
}
