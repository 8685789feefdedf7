package rosinedpeg.web.bench;

import static java.util.Objects.requireNonNull;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.TuningGrounds;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.bench.Benches.Taken;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.PitchFrom;
import rosinedpeg.web.listen.PitchQuestion;
import rosinedpeg.web.listen.PitchSources;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Wording;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.working.WorkingView;

/** Leads a run. Every button is a form of its own, so that it works without scripts too. */
@Controller
class BenchController {

    private static final Logger log = LoggerFactory.getLogger(BenchController.class);

    private final Benches benches;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final BenchPages pages;
    private final WorkingView workings;
    private final PitchSources sources;
    private final Words words;

    BenchController(
            Benches benches,
            Instruments instruments,
            InstrumentNames instrumentNames,
            BenchPages pages,
            WorkingView workings,
            PitchSources sources,
            Words words) {
        this.benches = benches;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.pages = pages;
        this.workings = workings;
        this.sources = sources;
        this.words = words;
    }

    /**
     * What is on the bench, or the part of it that fits on a page, oldest first.
     *
     * @param from how many have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/bench")
    String open(@RequestParam(defaultValue = "0") int from, Model model, HttpServletRequest request) {
        OpenRuns open = benches.open(from);
        Map<UUID, String> names = instrumentNames.of(open.instrumentIds());
        Page.lay(OpenPage.of(open, id -> requireNonNull(names.get(id))), model);
        return Htmx.asks(request) ? "bench/open :: rows" : "bench/open";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}")
    String run(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            @RequestParam(required = false) String moved,
            Model model) {
        try {
            return show(id, false, moved != null, model);
        } catch (UnreadableRunException cannotBeRead) {
            log.error("An open run cannot be read", cannotBeRead);
            UnreadableRun unreadable = cannotBeRead.run();
            Page.lay(new UnreadablePage(unreadable, instruments.get(unreadable.instrumentId())), model);
            return "bench/unreadable";
        }
    }

    /** Gives up a run that cannot be read. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/give-up")
    String giveUp(@PathVariable UUID id, RedirectAttributes redirect) {
        UUID instrument = benches.giveUp(id);
        redirect.addFlashAttribute("notice", "bench.givenUp");
        return "redirect:/instruments/" + instrument;
    }

    /** Whatever else is asked of a run that cannot be read leads to the page that says so. */
    @ExceptionHandler
    String cannotBeRead(UnreadableRunException unreadable, HttpServletRequest request, HttpServletResponse response) {
        String page = "/bench/" + unreadable.run().id();
        if (Htmx.asks(request)) {
            response.setHeader("HX-Redirect", page);
        }
        return "redirect:" + page;
    }

    /** Says more or less from now on, on this device. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/wording")
    String wording(
            @PathVariable UUID id,
            @RequestParam Wording wording,
            HttpServletRequest request,
            HttpServletResponse response) {
        benches.lastSequence(id);
        wording.keep(request, response);
        return "redirect:/bench/" + id;
    }

    /** Whether a page is still where the run is: nothing when it is, the bench as it stands when another device went on. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}/follow")
    @Nullable
    String follow(
            @PathVariable UUID id,
            @RequestParam long seen,
            @ModelAttribute("form") BenchForm form,
            Model model,
            HttpServletResponse response) {
        if (benches.lastSequence(id) == seen) {
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            return null;
        }
        return show(id, true, false, model);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/done")
    String done(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            @RequestParam int step,
            Model model,
            HttpServletRequest request) {
        return take(id, form, new BenchEntry.Done(step), model, request);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/skip")
    String skip(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            @RequestParam int step,
            Model model,
            HttpServletRequest request) {
        return take(id, form, new BenchEntry.Skip(step), model, request);
    }

    /** What the bench shows as a dialogue where scripts run. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}/wrong")
    String wentWrong(@PathVariable UUID id, @ModelAttribute("form") BenchForm form, Model model) {
        show(id, false, false, model);
        return benches.get(id).state().over() ? "redirect:/bench/" + id : "bench/wrong";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/wrong")
    String wrong(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            BindingResult result,
            @RequestParam Mishap.Kind mishap,
            @RequestParam(required = false) Position string,
            @RequestParam(required = false) BreakPlace place,
            Model model,
            HttpServletRequest request) {
        if (mishap.ofString()) {
            if (string == null) {
                result.rejectValue("string", "wrong.string.missing");
            } else if (cannotHappen(id, mishap, string)) {
                result.rejectValue("string", "wrong.string." + mishap, new Object[] {string}, null);
            }
        }
        if (mishap == Mishap.Kind.STRING_BROKE && place == null) {
            result.rejectValue("place", "wrong.place.missing");
        }
        if (result.hasErrors()) {
            String answer = again(id, form, result, model, request);
            return Htmx.asks(request) ? answer : "bench/wrong";
        }
        return take(id, form, new BenchEntry.Wrong(new Mishap(mishap, string, place)), model, request);
    }

    private boolean cannotHappen(UUID id, Mishap.Kind mishap, Position string) {
        SetUp setUp = benches.get(id).state().plan().setUp();
        return setUp.positions().contains(string) && !mishap.happensTo(setUp, string);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/back")
    String back(
            @PathVariable UUID id, @ModelAttribute("form") BenchForm form, Model model, HttpServletRequest request) {
        return take(id, form, new BenchEntry.Back(), model, request);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/end")
    String end(@PathVariable UUID id, @ModelAttribute("form") BenchForm form, Model model, HttpServletRequest request) {
        return take(id, form, new BenchEntry.End(), model, request);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/pitch")
    String pitch(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            BindingResult result,
            @RequestParam Position position,
            @RequestParam(defaultValue = "TYPED") PitchFrom by,
            Model model,
            HttpServletRequest request) {
        if (!benches.get(id).state().canSound(position)) {
            result.rejectValue("cents", "bench.cannotSound", new Object[] {position}, null);
            return again(id, form, result, model, request);
        }
        OptionalDouble cents = sources.read(
                by,
                new PitchQuestion(id, position, form.cents(), BenchEvent.PITCH_READING, () -> belief(id, position)),
                result);
        return cents.isEmpty()
                ? again(id, form, result, model, request)
                : take(id, form, new BenchEntry.Pitch(position, cents.getAsDouble()), model, request);
    }

    /** What the bench believes of a string. */
    private PitchQuestion.Belief belief(UUID id, Position position) {
        BenchState state = benches.get(id).state();
        Step step = state.now().orElse(null);
        double tensionN = state.tensionsN().getOrDefault(position, 0.0);
        double cents = tensionN <= 0
                ? BenchEvent.PITCH_READING.low()
                : Cents.betweenTensions(position.in(state.plan().tensionsAfterN()), tensionN)
                        .value();
        boolean raised =
                step != null && step.kind().raisesTension() && (step.position() == null || step.position() == position);
        return new PitchQuestion.Belief(
                state.plan()
                        .setUp()
                        .openString(position)
                        .frequencyHz(state.plan().setUp().referenceA()),
                cents,
                raised);
    }

    /** Takes back what was read of a string last. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/pitch/back")
    String pitchBack(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            @RequestParam Position position,
            Model model,
            HttpServletRequest request) {
        return take(id, form, new BenchEntry.PitchBack(position), model, request);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/gap")
    String gap(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Run run = benches.get(id);
        OptionalDouble gap = Entry.number(
                result, "gap", form.gap(), run.state().plan().setUp().rangeOf(Quantity.BRIDGE_GAP));
        return gap.isEmpty()
                ? again(id, form, result, model, request)
                : take(id, form, new BenchEntry.Gap(gap.getAsDouble()), model, request);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/note")
    String note(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        var text = Entry.text(result, "note", form.note(), Notes.LONGEST);
        return text.isEmpty()
                ? again(id, form, result, model, request)
                : take(id, form, new BenchEntry.Note(text.get()), model, request);
    }

    /** Asks again for what was typed wrong, in the same place. */
    private String again(UUID id, BenchForm form, BindingResult result, Model model, HttpServletRequest request) {
        if (wasKept(request)) {
            throw new RefusedPressException(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    result.getAllErrors().stream().map(words::say).collect(Collectors.joining(" ")));
        }
        return show(id, Htmx.asks(request), false, model);
    }

    /** Whether a press was kept on its device, for want of a connection, and is sent now without anybody looking. */
    private static boolean wasKept(HttpServletRequest request) {
        return request.getHeader("Peg-Kept") != null;
    }

    /** The device shows the reason beside what was pressed, until somebody decides. */
    @ExceptionHandler
    ResponseEntity<String> refused(RefusedPressException refused) {
        return ResponseEntity.status(refused.status())
                .contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
                .body(refused.getMessage());
    }

    private String take(UUID id, BenchForm form, BenchEntry entry, Model model, HttpServletRequest request) {
        Taken taken = benches.record(id, form.pressed(), entry);
        if (taken == Taken.MOVED_ON && wasKept(request)) {
            throw new RefusedPressException(HttpStatus.CONFLICT, words.say("bench.kept.moved"));
        }
        if (!Htmx.asks(request)) {
            return "redirect:/bench/" + id + (taken == Taken.MOVED_ON ? "?moved" : "");
        }
        model.addAttribute("form", BenchForm.EMPTY);
        return show(id, true, taken == Taken.MOVED_ON, model);
    }

    private String show(UUID id, boolean fragment, boolean moved, Model model) {
        Page.lay(pages.of(id, moved), model);
        return fragment ? "bench/run :: bench" : "bench/run";
    }

    /**
     * Shows how a figure of the tuning that is going on came about.
     *
     * @param string whose sinking is asked about, if it is that
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}/working/{worked}")
    String working(
            @PathVariable UUID id,
            @PathVariable TuningFigure worked,
            @RequestParam(required = false) @Nullable Position string,
            Model model,
            HttpServletRequest request) {
        Run run = benches.get(id);
        Step step = run.state().now().orElseThrow(() -> new NotFoundException("tuning in the finished run " + id));
        TuningGrounds grounds = pages.tuning(run, step);
        return workings.show(
                run.instrumentId(), string, () -> Working.of(worked, grounds.about(string)), model, request);
    }

    /**
     * A run that cannot be read.
     *
     * @param run what is known of it
     * @param instrument what it is of
     */
    record UnreadablePage(UnreadableRun run, Instrument instrument) {}
}
