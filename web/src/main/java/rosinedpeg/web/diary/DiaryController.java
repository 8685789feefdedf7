package rosinedpeg.web.diary;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.occasions.Occasion;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** The weeks, a day on one sheet, and the dates that people enter. */
@Controller
class DiaryController {

    /** More are not named for one date. */
    private static final int MOST_PLAYED = 500;

    private final Weeks weeks;
    private final Occasions occasions;
    private final InstrumentNames instrumentNames;

    DiaryController(Weeks weeks, Occasions occasions, InstrumentNames instrumentNames) {
        this.weeks = weeks;
        this.occasions = occasions;
        this.instrumentNames = instrumentNames;
    }

    private Set<UUID> meant(String name) {
        return instrumentNames.meant(name, MOST_PLAYED);
    }

    /**
     * Shows some weeks.
     *
     * @param from a day of the first of them; today when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/diary")
    String weeks(@RequestParam(required = false) @Nullable LocalDate from, Model model) {
        ZoneId zone = CurrentWorkshop.zone();
        LocalDate today = weeks.today(zone);
        LocalDate first = within(from == null ? today : from, today);
        Weeks.Shown shown = weeks.weeks(first, zone);
        LocalDate monday = shown.weeks().get(0).monday();
        Page.lay(
                new DiaryPage(
                        shown.weeks(),
                        shown.names(),
                        today,
                        monday.minusWeeks(Weeks.SHOWN),
                        monday.plusWeeks(Weeks.SHOWN),
                        !today.isBefore(monday) && today.isBefore(monday.plusWeeks(1)),
                        shown.nothingToCome(),
                        shown.more(),
                        Weeks.MOST,
                        Weeks.FEW),
                model);
        return "diary/weeks";
    }

    /** Shows one day, as it is printed. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/diary/day/{day}")
    String day(@PathVariable LocalDate day, Model model) {
        ZoneId zone = CurrentWorkshop.zone();
        Weeks.Sheet sheet = weeks.day(within(day, weeks.today(zone)), zone);
        Page.lay(new DayPage(sheet.day(), sheet.names(), Integer.MAX_VALUE), model);
        return "diary/day";
    }

    private static LocalDate within(LocalDate day, LocalDate today) {
        LocalDate earliest = today.minusYears(DiaryForm.YEARS);
        LocalDate latest = today.plusYears(DiaryForm.YEARS);
        return day.isBefore(earliest) ? earliest : day.isAfter(latest) ? latest : day;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/diary/new")
    String blank(@RequestParam(required = false) @Nullable LocalDate on, Model model) {
        LocalDate today = weeks.today(CurrentWorkshop.zone());
        model.addAttribute("form", DiaryForm.blank(within(on == null ? today : on, today)));
        return show(Optional.empty(), model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/diary/new")
    String enter(
            @ModelAttribute("form") DiaryForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        List<Occasion.What> dates =
                form.read(result, weeks.today(CurrentWorkshop.zone()), CurrentWorkshop.zone(), this::meant);
        if (dates.isEmpty()) {
            return show(Optional.empty(), model);
        }
        return kept(() -> occasions.enter(dates), Optional.empty(), form, result, model, redirect, "diary.entered");
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/diary/{id}")
    String one(@PathVariable UUID id, Model model) {
        Occasion one = occasions.get(id);
        model.addAttribute(
                "form",
                DiaryForm.of(one, instrumentNames.of(one.what().instruments()).values(), CurrentWorkshop.zone()));
        return show(Optional.of(one), model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/diary/{id}")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") DiaryForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Occasion one = occasions.get(id);
        ZoneId zone = CurrentWorkshop.zone();
        List<Occasion.What> dates = form.read(result, weeks.today(zone), zone, this::meant);
        if (dates.isEmpty()) {
            return show(Optional.of(one), model);
        }
        return kept(
                () -> occasions.change(id, form.version(), dates.get(0), form.following(), zone),
                Optional.of(one),
                form,
                result,
                model,
                redirect,
                "diary.changed");
    }

    /** Takes out a date, with those of its series that come after it where that is wanted. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/diary/{id}/remove")
    String remove(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean following,
            RedirectAttributes redirect) {
        Occasion one = occasions.get(id);
        occasions.remove(id, following);
        redirect.addFlashAttribute("notice", "diary.removed");
        redirect.addFlashAttribute("noticeOf", one.name());
        return "redirect:/diary";
    }

    private String kept(
            Runnable keep,
            Optional<Occasion> one,
            DiaryForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect,
            String done) {
        try {
            if (!Change.made(keep, result)) {
                return show(one, model);
            }
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.OCCASION_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("name", "diary.there");
            return show(one, model);
        }
        redirect.addFlashAttribute("notice", done);
        redirect.addFlashAttribute("noticeOf", form.name().strip());
        return "redirect:/diary?from=" + form.day();
    }

    private String show(Optional<Occasion> one, Model model) {
        Page.lay(
                new OccasionPage(
                        one, one.map(occasions::following).orElse(0), OccasionKind.values(), DiaryForm.MOST_WEEKS),
                model);
        return "diary/occasion";
    }

    /**
     * Some weeks.
     *
     * @param weeks the weeks
     * @param names what the instruments are called that are named in them
     * @param today the day it is
     * @param earlier the first day of the weeks before them
     * @param later the first day of the weeks after them
     * @param atToday whether they begin with this week
     * @param nothingToCome whether nothing is to be played
     * @param more whether more follows than is told
     * @param most of how many instruments it is told at most
     * @param few of how many each sort is told for a day; the rest stands on its own sheet
     */
    record DiaryPage(
            List<Week> weeks,
            Map<UUID, String> names,
            LocalDate today,
            LocalDate earlier,
            LocalDate later,
            boolean atToday,
            boolean nothingToCome,
            boolean more,
            int most,
            int few) {}

    /**
     * One day.
     *
     * @param day the day
     * @param names what the instruments are called that are named in it
     * @param most of how many each sort is told: of all
     */
    record DayPage(Day day, Map<UUID, String> names, int most) {}

    /**
     * A date, or an empty form for one.
     *
     * @param occasion the date; empty for a new one
     * @param followers how many of its series come after it
     * @param kinds what it can be
     * @param mostWeeks after how many weeks it may be repeated
     */
    record OccasionPage(Optional<Occasion> occasion, int followers, OccasionKind[] kinds, int mostWeeks) {}
}
