package rosinedpeg.web.lend;

import static rosinedpeg.core.lending.Loan.LONGEST_DAYS;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.lending.Loan;
import rosinedpeg.web.instrument.InstrumentEntry;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** The shelf as a whole: what is out, what is lent next, the turn of a term, and what wears. */
@Controller
class LendController {

    /** The most characters of a note on a loan. */
    static final int LONGEST_NOTE = 160;
    /** So many instruments are suggested by their names. */
    private static final int SUGGESTED = 500;
    /** A term has so many weeks, where nobody says until when. */
    private static final int WEEKS = 12;

    private final Lending lending;
    private final Borrowers borrowers;
    private final LendPages pages;
    private final InstrumentNames instrumentNames;
    private final InstrumentEntry entry;
    private final LendWords lendWords;
    private final Clock clock;

    LendController(
            Lending lending,
            Borrowers borrowers,
            LendPages pages,
            InstrumentNames instrumentNames,
            InstrumentEntry entry,
            LendWords lendWords,
            Clock clock) {
        this.lending = lending;
        this.borrowers = borrowers;
        this.pages = pages;
        this.instrumentNames = instrumentNames;
        this.entry = entry;
        this.lendWords = lendWords;
        this.clock = clock;
    }

    /**
     * Who has what.
     *
     * @param from how much of the shelf comes before
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend")
    @Transactional(readOnly = true)
    String shelf(@RequestParam(defaultValue = "") String from, Model model) {
        model.addAttribute("form", LendForm.blank("", "", ""));
        return shelf(ListPage.after(from), model);
    }

    private String shelf(int from, Model model) {
        Page.lay(pages.shelf(from), model);
        return "lend/shelf";
    }

    /** An instrument is there to be lent. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/shelf")
    String put(@ModelAttribute("form") LendForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<UUID> instrument = entry.one(result, "instrument", form.instrument());
        if (instrument.isEmpty()) {
            return shelf(0, model);
        }
        Constraint.SHELF_INSTRUMENT_ONCE.once(() -> lending.putOnShelf(instrument.get()));
        redirect.addFlashAttribute("notice", "lend.put");
        redirect.addFlashAttribute("noticeOf", form.instrument().strip());
        return "redirect:/lend";
    }

    /** An instrument is not there to be lent any more. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/shelf/{id}/off")
    String takeOff(@PathVariable UUID id, RedirectAttributes redirect) {
        redirect.addFlashAttribute("notice", lending.takeOffShelf(id) ? "lend.taken" : "lend.taken.not");
        return "redirect:/lend";
    }

    /**
     * Asks who borrows what.
     *
     * @param instrument which instrument, if that is known already
     * @param from the day it goes out; today where nothing is said
     * @param until the day it is to be back; a term later where nothing is said
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/new")
    String lend(
            @RequestParam(required = false) @Nullable UUID instrument,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate until,
            Model model) {
        String name =
                instrument == null ? "" : instrumentNames.of(Set.of(instrument)).getOrDefault(instrument, "");
        LocalDate first = from == null ? today() : near(from);
        LocalDate last = until == null ? first.plusWeeks(WEEKS) : near(until);
        model.addAttribute("form", LendForm.blank(name, first.toString(), last.toString()));
        return show(model);
    }

    /** An address may name any day; one that no loan reaches is as good as the last that one does. */
    private LocalDate near(LocalDate day) {
        LocalDate first = today().minusDays(LONGEST_DAYS);
        LocalDate last = today().plusDays(LONGEST_DAYS);
        return day.isBefore(first) ? first : day.isAfter(last) ? last : day;
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    private String show(Model model) {
        Page.lay(
                new NewPage(
                        List.copyOf(instrumentNames.onRack(SUGGESTED).values()), borrowers.names(), WithIt.values()),
                model);
        return "lend/new";
    }

    /** An instrument is promised to somebody. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/new")
    String lent(@ModelAttribute("form") LendForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Optional<UUID> instrument = entry.one(result, "instrument", form.instrument());
        Optional<String> borrower = Entry.text(result, "borrower", form.borrower(), Borrowers.LONGEST_NAME);
        Optional<LocalDate> from = Entry.date(
                result,
                "from",
                form.from(),
                form.out() ? today().minusDays(LONGEST_DAYS) : today(),
                form.out() ? today() : today().plusYears(1));
        Optional<LocalDate> until =
                from.flatMap(day -> Entry.date(result, "until", form.until(), day, day.plusDays(LONGEST_DAYS)));
        Entry.note(result, "note", form.note(), LONGEST_NOTE);
        if (result.hasErrors() || instrument.isEmpty() || until.isEmpty() || borrower.isEmpty()) {
            return show(model);
        }
        UUID press = Entry.press(form.press());
        try {
            Runnable lend = () -> lending.lend(
                    press,
                    instrument.get(),
                    borrower.get(),
                    Loan.of(from.get(), until.get()),
                    form.withIt(),
                    form.note().strip(),
                    form.out());
            Constraint.LOAN_ONCE.once(() -> twice(lend));
        } catch (TakenException taken) {
            result.rejectValue("from", "lend.overlaps", lendWords.whose(taken), null);
            return show(model);
        }
        return "redirect:/lend/loans/" + press;
    }

    /** What another press did at that moment is there the second time, and seen. */
    private static void twice(Runnable work) {
        try {
            work.run();
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.BORROWER_NAME.isViolatedBy(complaint)
                    && !Constraint.SHELF_INSTRUMENT_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            work.run();
        }
    }

    /**
     * What happens at the turn of a term.
     *
     * @param day the day of the turn; the one on which most are to be back where nothing is said
     */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/turn")
    @Transactional(readOnly = true)
    String turn(
            @RequestParam(required = false) @Nullable LocalDate day,
            @RequestParam(defaultValue = "") String part,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "false") boolean whole,
            Model model,
            HttpServletRequest request) {
        LocalDate turn = day == null ? lending.likelyTurn() : near(day);
        model.addAttribute("form", TurnForm.blank(turn.plusWeeks(WEEKS)));
        Page.lay(pages.turn(turn, new LendPages.TurnAsked(part, ListPage.after(from), whole)), model);
        return Htmx.asks(request) ? "lend/turn :: more" : "lend/turn";
    }

    /** Those that are ticked stay out until another day. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/turn")
    String stay(
            @RequestParam(required = false) @Nullable LocalDate day,
            @ModelAttribute("form") TurnForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        LocalDate turn = day == null ? lending.likelyTurn() : near(day);
        Map<UUID, Integer> seen = form.seen();
        if (seen.isEmpty()) {
            result.rejectValue("stay", "turn.none");
        }
        Optional<LocalDate> until = Entry.date(result, "until", form.until(), today(), today().plusDays(LONGEST_DAYS));
        if (!result.hasErrors() && until.isPresent()) {
            try {
                lending.keepUntil(seen, until.get());
                redirect.addFlashAttribute("notice", "turn.stay.done");
                redirect.addFlashAttribute("noticeOf", seen.size());
                return "redirect:/lend/turn?day=" + turn;
            } catch (TakenException taken) {
                result.rejectValue("until", "lend.overlaps", lendWords.whose(taken), null);
            } catch (OptimisticLockingFailureException meanwhile) {
                result.rejectValue("stay", "turn.meanwhile");
            } catch (IllegalArgumentException tooLong) {
                result.rejectValue("until", "turn.long", new Object[] {LONGEST_DAYS}, null);
            }
        }
        // Whatever was ticked is on the whole of it.
        Page.lay(pages.turn(turn, new LendPages.TurnAsked("", 0, !seen.isEmpty())), model);
        return "lend/turn";
    }

    /** What wears while instruments are out. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/wear")
    @Transactional(readOnly = true)
    String wear(Model model) {
        Page.lay(pages.wear(), model);
        return "lend/wear";
    }

    /**
     * Who stays out, as ticked.
     *
     * @param stay the loans, each with the version that was seen: id/version
     * @param until until when, as typed
     */
    record TurnForm(List<String> stay, String until) {

        /** What is not sent is as on an empty form. */
        TurnForm {
            stay = stay == null ? List.of() : stay;
            until = Entry.orEmpty(until);
        }

        static TurnForm blank(LocalDate until) {
            return new TurnForm(List.of(), until.toString());
        }

        Map<UUID, Integer> seen() {
            Map<UUID, Integer> seen = new HashMap<>();
            for (String one : stay) {
                String[] parts = one.split("/");
                if (parts.length == 2 && parts[1].matches("\\d{1,6}")) {
                    try {
                        seen.put(UUID.fromString(parts[0]), Integer.valueOf(parts[1]));
                    } catch (IllegalArgumentException tampered) {
                        // It is nobody's.
                    }
                }
            }
            return seen;
        }
    }

    /** What can be chosen on a new loan. */
    private record NewPage(List<String> instruments, List<String> borrowers, WithIt[] things) {}
}
