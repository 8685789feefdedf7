package rosinedpeg.web.week;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.week.BenchJob;
import rosinedpeg.web.instrument.InstrumentEntry;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** What people ask for, and when instruments are not at hand. */
@Controller
class AskController {

    /** So many instruments are suggested by their names. */
    private static final int SUGGESTED = 500;

    private final Wishes wishes;
    private final InstrumentNames instrumentNames;
    private final InstrumentEntry entry;
    private final Clock clock;

    AskController(Wishes wishes, InstrumentNames instrumentNames, InstrumentEntry entry, Clock clock) {
        this.wishes = wishes;
        this.instrumentNames = instrumentNames;
        this.entry = entry;
        this.clock = clock;
    }

    /**
     * Asks what is wanted.
     *
     * @param instrument on which instrument, if that is known already
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/week/ask")
    String ask(@RequestParam(required = false) @Nullable UUID instrument, Model model) {
        model.addAttribute("form", AskForm.blank(named(instrument), today().toString()));
        return show("week/ask", model);
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    private String show(String template, Model model) {
        List<Wish> open = wishes.open();
        var names = instrumentNames.of(open.stream().map(Wish::instrumentId).toList());
        Page.lay(
                new AskPage(
                        List.copyOf(instrumentNames.onRack(SUGGESTED).values()),
                        WishKind.values(),
                        Position.values(),
                        open.stream()
                                .map(wish -> new Asked(
                                        wish,
                                        Optional.ofNullable(names.get(wish.instrumentId()))
                                                .orElse("")))
                                .toList(),
                        wishes.away()),
                model);
        return template;
    }

    /** Somebody asks for work. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/ask")
    String asked(@ModelAttribute("form") AskForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<UUID> instrument = entry.one(result, "instrument", form.instrument());
        WishKind kind = form.kind() == null ? WishKind.STRINGS : form.kind();
        Integer minutes = null;
        if (kind == WishKind.OTHER) {
            var typed = Entry.count(
                    result, "minutes", form.minutes(), (int) BenchJob.MINUTES.low(), (int) BenchJob.MINUTES.high());
            minutes = typed.isPresent() ? typed.getAsInt() : null;
            Entry.text(result, "note", form.note(), Wish.LONGEST_NOTE);
        }
        if (kind == WishKind.STRINGS && form.strings().isEmpty()) {
            result.rejectValue("strings", "plan.strings.missing");
        }
        note(form, result);
        Optional<LocalDate> begin = form.fromDay().isBlank()
                ? Optional.empty()
                : Entry.date(result, "fromDay", form.fromDay(), today(), today().plusYears(1));
        Optional<LocalDate> by = form.byDay().isBlank()
                ? Optional.empty()
                : Entry.date(result, "byDay", form.byDay(), begin.orElse(today()), today().plusYears(1));
        if (wishes.count() >= Wish.MOST * 10L) {
            result.rejectValue("note", "ask.many", new Object[] {Wish.MOST * 10}, null);
        }
        if (result.hasErrors() || instrument.isEmpty()) {
            return show("week/ask", model);
        }
        UUID press = Entry.press(form.press());
        Integer takes = minutes;
        Constraint.BENCH_WISH_ONCE.once(() -> wishes.ask(
                press,
                instrument.get(),
                kind,
                kind == WishKind.STRINGS ? form.strings() : List.of(),
                form.note().strip(),
                takes,
                begin.orElse(null),
                by.orElse(null)));
        redirect.addFlashAttribute("notice", "ask.asked");
        redirect.addFlashAttribute("noticeOf", form.instrument().strip());
        return "redirect:/week/ask";
    }

    private static void note(AskForm form, BindingResult result) {
        if (!result.hasFieldErrors("note")) {
            Entry.note(result, "note", form.note(), Wish.LONGEST_NOTE);
        }
    }

    /** What was asked for is done, or not wanted any more. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/ask/{id}/done")
    String done(@PathVariable UUID id, RedirectAttributes redirect) {
        wishes.done(id);
        redirect.addFlashAttribute("notice", "ask.done");
        return "redirect:/week/ask";
    }

    /**
     * Asks when an instrument is not at hand.
     *
     * @param instrument which instrument, if that is known already
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/week/away")
    String away(@RequestParam(required = false) @Nullable UUID instrument, Model model) {
        model.addAttribute("form", AskForm.blank(named(instrument), today().toString()));
        return show("week/away", model);
    }

    private String named(@Nullable UUID instrument) {
        return instrument == null ? "" : instrumentNames.of(Set.of(instrument)).getOrDefault(instrument, "");
    }

    /** An instrument is not at hand on some days. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/away")
    String away(@ModelAttribute("form") AskForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<UUID> instrument = entry.one(result, "instrument", form.instrument());
        Optional<LocalDate> from = Entry.date(result, "from", form.from(), today(), today().plusYears(1));
        Optional<LocalDate> until =
                from.flatMap(day -> Entry.date(result, "until", form.until(), day, day.plusYears(1)));
        note(form, result);
        if (result.hasErrors() || instrument.isEmpty() || until.isEmpty()) {
            return show("week/away", model);
        }
        UUID press = Entry.press(form.press());
        Constraint.INSTRUMENT_AWAY_ONCE.once(() -> wishes.away(
                press, instrument.get(), from.get(), until.get(), form.note().strip()));
        redirect.addFlashAttribute("notice", "ask.away.said");
        redirect.addFlashAttribute("noticeOf", form.instrument().strip());
        return "redirect:/week/away";
    }

    /** It is at hand all the same. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/week/away/{id}/back")
    String back(@PathVariable UUID id, RedirectAttributes redirect) {
        wishes.back(id);
        redirect.addFlashAttribute("notice", "ask.away.back");
        return "redirect:/week/away";
    }

    /**
     * What was asked for.
     *
     * @param wish what
     * @param instrument on what
     */
    record Asked(Wish wish, String instrument) {}

    /** Everything that is asked for. */
    private record AskPage(
            List<String> instruments,
            WishKind[] kinds,
            Position[] positions,
            List<Asked> asked,
            List<Wishes.Away> away) {}
}
