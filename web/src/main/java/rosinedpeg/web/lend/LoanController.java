package rosinedpeg.web.lend;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.lending.ConditionChange;
import rosinedpeg.core.lending.Loan;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Lengths;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** One loan: how it goes out, how it comes back, and the slip that is signed. */
@Controller
class LoanController {

    private final Lending lending;
    private final LendPages pages;
    private final Instruments instruments;
    private final Words words;
    private final LendWords lendWords;
    private final Say say;
    private final Clock clock;

    LoanController(
            Lending lending,
            LendPages pages,
            Instruments instruments,
            Words words,
            LendWords lendWords,
            Say say,
            Clock clock) {
        this.lending = lending;
        this.pages = pages;
        this.instruments = instruments;
        this.words = words;
        this.lendWords = lendWords;
        this.say = say;
        this.clock = clock;
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /** One loan. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/loans/{id}")
    String one(@PathVariable UUID id, Model model) {
        Lent lent = lending.get(id);
        model.addAttribute("form", new UntilForm(lent.days().until().toString(), lent.version()));
        return show(lent, model);
    }

    private String show(Lent lent, Model model) {
        Page.lay(
                new LoanPage(
                        lent,
                        pages.dueOutThere(lent),
                        lent.outLook()
                                .flatMap(out -> lent.backLook()
                                        .map(back -> ConditionChange.between(out.findings(), back.findings()))),
                        lent.days().lateDays(today())),
                model);
        return "lend/loan";
    }

    /** It stays out until another day. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/loans/{id}/until")
    String until(
            @PathVariable UUID id,
            @ModelAttribute("form") UntilForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Lent lent = lending.get(id);
        LocalDate from = lent.days().from();
        LocalDate earliest = lent.isOut() && from.isBefore(today()) ? today() : from;
        Optional<LocalDate> until =
                Entry.date(result, "until", form.until(), earliest, from.plusDays(Loan.LONGEST_DAYS));
        if (until.isPresent() && lent.backAt().isEmpty()) {
            try {
                lending.keepUntil(id, form.version(), until.get());
                redirect.addFlashAttribute("notice", "loan.kept");
                redirect.addFlashAttribute("noticeOf", say.day(until.get()));
            } catch (TakenException taken) {
                result.rejectValue("until", "lend.overlaps", lendWords.whose(taken), null);
            } catch (OptimisticLockingFailureException meanwhile) {
                redirect.addFlashAttribute("notice", "changed.meanwhile");
                redirect.addFlashAttribute("noticeOf", say.day(until.get()));
            }
        }
        return result.hasErrors() ? show(lent, model) : "redirect:/lend/loans/" + id;
    }

    /** It does not go out after all. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/loans/{id}/off")
    String giveUp(@PathVariable UUID id, RedirectAttributes redirect) {
        boolean off = lending.giveUp(id);
        redirect.addFlashAttribute("notice", off ? "loan.off" : "loan.meanwhile");
        return off ? "redirect:/lend" : "redirect:/lend/loans/" + id;
    }

    /** Looks it over, before it goes out or when it comes back. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/loans/{id}/look")
    String look(@PathVariable UUID id, Model model) {
        Lent lent = lending.get(id);
        if (lent.backAt().isPresent()) {
            return "redirect:/lend/loans/" + id;
        }
        model.addAttribute(
                "form", LookForm.blank(LookForm.Way.of(lent), List.copyOf(lent.withIt()), today().toString()));
        return showLook(lent, Map.of(), List.of(), model);
    }

    private String showLook(Lent lent, Map<LookOver.Stop, String> wrong, List<Finding> stops, Model model) {
        Instrument instrument = instruments.get(lent.instrumentId());
        Page.lay(
                new LookPage(
                        lent,
                        instrument.setUp(),
                        Stop.of(instrument.setUp()),
                        LookOver.seconds(instrument.setUp()),
                        wrong,
                        lent.outLook().map(Look::findings).orElse(List.of()),
                        stops),
                model);
        return "lend/look";
    }

    /** It was looked over, and goes out or is back. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/loans/{id}/look")
    String looked(
            @PathVariable UUID id,
            @ModelAttribute("form") LookForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect,
            HttpServletRequest request) {
        Lent lent = lending.get(id);
        if (lent.backAt().isPresent() || form.way() != LookForm.Way.of(lent)) {
            redirect.addFlashAttribute("notice", "loan.meanwhile");
            return "redirect:/lend/loans/" + id;
        }
        SetUp setUp = instruments.get(lent.instrumentId()).setUp();
        Seen seen = form.read(setUp, result);
        Optional<Double> gapMm = form.gapMm(setUp, Lengths.chosen(request), result);
        Entry.note(result, "text", form.text(), LookForm.LONGEST_TEXT);
        Optional<LocalDate> on = day(lent, form, result);
        List<Finding> stops = List.of();
        if (!result.hasErrors() && on.isPresent()) {
            Look look =
                    lending.look(lent.instrumentId(), seen, gapMm, form.text().strip());
            stops = lent.isPromised()
                    ? look.findings().stream().filter(Finding::stops).toList()
                    : List.of();
            if (stops.isEmpty() || form.allTheSame()) {
                hand(lent, look, on.get(), form.withIt(), result, redirect);
                if (!result.hasErrors()) {
                    return "redirect:/lend/loans/" + id;
                }
            }
        }
        return showLook(lent, wrong(result), stops, model);
    }

    private Optional<LocalDate> day(Lent lent, LookForm form, BindingResult result) {
        LocalDate today = today();
        Loan days = lent.days();
        if (lent.isOut()) {
            return Entry.date(result, "on", form.on(), days.from(), today);
        }
        return Entry.date(
                result,
                "on",
                form.on(),
                days.until().minusDays(Loan.LONGEST_DAYS),
                days.until().isBefore(today) ? days.until() : today);
    }

    private void hand(
            Lent lent,
            Look look,
            LocalDate on,
            List<WithIt> withIt,
            BindingResult result,
            RedirectAttributes redirect) {
        boolean out = lent.isPromised();
        try {
            if (out) {
                lending.goesOut(lent.id(), look, on, withIt);
            } else {
                lending.comesBack(lent.id(), look, on);
            }
        } catch (TakenException taken) {
            result.rejectValue("on", taken.out() ? "lend.stillOut" : "lend.overlaps", lendWords.whose(taken), null);
            return;
        } catch (OptimisticLockingFailureException meanwhile) {
            Lent now = lending.get(lent.id());
            if (now.isPromised() == out && now.backAt().isEmpty()) {
                result.rejectValue("on", "look.meanwhile");
            } else {
                // Pressed twice at one moment, or by two: what the other one recorded is there.
                redirect.addFlashAttribute("notice", "loan.meanwhile");
            }
            return;
        }
        redirect.addFlashAttribute("notice", out ? "loan.out" : "loan.back");
        redirect.addFlashAttribute("noticeOf", lent.instrument());
    }

    private Map<LookOver.Stop, String> wrong(BindingResult result) {
        Map<LookOver.Stop, String> wrong = new EnumMap<>(LookOver.Stop.class);
        result.getFieldErrors("good").forEach(error -> {
            String code = String.valueOf(error.getCode());
            wrong.put(
                    LookOver.Stop.valueOf(code.substring(code.lastIndexOf('.') + 1)),
                    words.say(code.substring(0, code.lastIndexOf('.'))));
        });
        return wrong;
    }

    /** It is back, and nobody looks at it now. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/lend/loans/{id}/back")
    String back(@PathVariable UUID id, RedirectAttributes redirect) {
        Lent lent = lending.get(id);
        if (lent.isOut()) {
            LocalDate on = today().isBefore(lent.days().from()) ? lent.days().from() : today();
            lending.comesBack(id, null, on);
            redirect.addFlashAttribute("notice", "loan.back");
            redirect.addFlashAttribute("noticeOf", lent.instrument());
        }
        return "redirect:/lend/loans/" + id;
    }

    /** The slip that is signed. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/lend/loans/{id}/slip")
    String slip(@PathVariable UUID id, Model model) {
        Lent lent = lending.get(id);
        Instrument instrument = instruments.get(lent.instrumentId());
        Page.lay(
                new SlipPage(
                        lent,
                        instrument.setUp(),
                        List.copyOf(lent.withIt()),
                        instrument.setUp().size().forChildren()),
                model);
        return "lend/slip";
    }

    /**
     * Until when, as typed.
     *
     * @param until the day
     * @param version of the loan that was seen
     */
    record UntilForm(String until, Integer version) {

        /** What is not sent is as on an empty form. */
        UntilForm {
            until = Entry.orEmpty(until);
            version = version == null ? -1 : version;
        }
    }

    /**
     * A stop of the look.
     *
     * @param at where one looks
     * @param seconds how long
     * @param since the start of the look, in seconds
     * @param signs what is looked for beside strings and pegs
     */
    record Stop(LookOver.Stop at, int seconds, int since, List<Seen.Sign> signs) {

        static List<Stop> of(SetUp setUp) {
            List<Stop> stops = new ArrayList<>();
            int since = 0;
            for (LookOver.Stop at : LookOver.stops(setUp)) {
                int seconds = at.seconds(setUp);
                stops.add(new Stop(at, seconds, since, at.signs()));
                since += seconds;
            }
            return stops;
        }
    }

    /** A loan. */
    private record LoanPage(Lent lent, Map<Position, LocalDate> due, Optional<ConditionChange> change, long late) {}

    /** A look over an instrument. */
    private record LookPage(
            Lent lent,
            SetUp setUp,
            List<Stop> stops,
            int seconds,
            Map<LookOver.Stop, String> wrong,
            List<Finding> before,
            List<Finding> stopping) {

        /** {@return what is looked for on each string} */
        public Set<WearSign> onAString() {
            return LookOver.onAString();
        }

        /** {@return what is looked for at each peg} */
        public Set<PegSign> atAPeg() {
            return LookOver.atAPeg(setUp);
        }

        /** {@return the strings with a fine tuner} */
        public List<Position> tuned() {
            return setUp.positions().stream()
                    .filter(position -> position.in(setUp.tailEnds()).hasFineTuner())
                    .toList();
        }

        /** {@return what can go with it} */
        public WithIt[] things() {
            return WithIt.values();
        }
    }

    /** A slip. */
    private record SlipPage(Lent lent, SetUp setUp, List<WithIt> things, boolean childs) {}
}
