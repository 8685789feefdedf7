package rosinedpeg.web.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
import rosinedpeg.core.bench.Learned;
import rosinedpeg.core.bench.PitchJudgement;
import rosinedpeg.core.causes.BreakCause;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.Reading;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepFigure;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.core.working.InstrumentGrounds;
import rosinedpeg.core.working.TuningFigure;
import rosinedpeg.core.working.TuningGrounds;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.bench.Benches.Taken;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.drawing.PegboxDrawing;
import rosinedpeg.web.drawing.StringState;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.listen.Tuner;
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

    /** How many steps a device can go on without a connection. */
    private static final int AHEAD = 20;

    /** Two ways to one figure differ by no more. */
    private static final double SAME = 1e-6;

    private final Benches benches;
    private final Instruments instruments;
    private final Aftercare aftercare;
    private final Inspections inspections;
    private final StringKinds kinds;
    private final WorkingView workings;
    private final Tuner tuner;
    private final Words words;
    private final Clock clock;

    BenchController(
            Benches benches,
            Instruments instruments,
            Aftercare aftercare,
            Inspections inspections,
            StringKinds kinds,
            WorkingView workings,
            Tuner tuner,
            Words words,
            Clock clock) {
        this.benches = benches;
        this.instruments = instruments;
        this.aftercare = aftercare;
        this.inspections = inspections;
        this.kinds = kinds;
        this.workings = workings;
        this.tuner = tuner;
        this.words = words;
        this.clock = clock;
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
        Map<UUID, Standing> standings = instruments.standings(open.instrumentIds());
        Page.lay(OpenPage.of(open, id -> standings.get(id).name()), model);
        return Htmx.asks(request) ? "bench/open :: rows" : "bench/open";
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}")
    String run(@PathVariable UUID id, @ModelAttribute("form") BenchForm form, Model model) {
        try {
            return show(id, form, model, false);
        } catch (UnreadableRunException cannotBeRead) {
            log.error("An open run cannot be read", cannotBeRead);
            UnreadableRun unreadable = cannotBeRead.run();
            model.addAttribute("run", unreadable);
            model.addAttribute("instrument", instruments.get(unreadable.instrumentId()));
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
        return show(id, form, model, true);
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
        show(id, form, model, false);
        return benches.get(id).state().over() ? "redirect:/bench/" + id : "bench/wrong";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/bench/{id}/wrong")
    String wrong(
            @PathVariable UUID id,
            @ModelAttribute("form") BenchForm form,
            @RequestParam Mishap.Kind mishap,
            @RequestParam(required = false) Position string,
            @RequestParam(required = false) BreakPlace place,
            Model model,
            HttpServletRequest request) {
        if ((mishap.ofString() && string == null) || (mishap == Mishap.Kind.STRING_BROKE && place == null)) {
            model.addAttribute("wrongMissing", mishap);
            String answer = show(id, form, model, Htmx.asks(request));
            return Htmx.asks(request) ? answer : "bench/wrong";
        }
        return take(id, form, new BenchEntry.Wrong(new Mishap(mishap, string, place)), model, request);
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
            @RequestParam(defaultValue = "false") boolean listen,
            Model model,
            HttpServletRequest request) {
        OptionalDouble cents = listen
                ? heard(id, position, result)
                : Entry.number(result, "cents", form.getCents(), BenchEvent.PITCH_READING);
        model.addAttribute("typedPosition", position);
        return cents.isEmpty()
                ? again(id, form, result, model, request)
                : take(id, form, new BenchEntry.Pitch(position, cents.getAsDouble()), model, request);
    }

    /** What the tuner hears of a string; what the bench believes of it goes with the question. */
    private OptionalDouble heard(UUID id, Position position, BindingResult result) {
        BenchState state = benches.get(id).state();
        Step step = state.now().orElse(null);
        double tensionN = state.tensionsN().getOrDefault(position, 0.0);
        double believedCents = tensionN <= 0
                ? BenchEvent.PITCH_READING.low()
                : Cents.betweenTensions(state.plan().tensionsAfterN().get(position), tensionN)
                        .value();
        boolean raised =
                step != null && step.kind().raisesTension() && (step.position() == null || step.position() == position);
        OptionalDouble heard = tuner.listen(id, position, believedCents, raised);
        if (heard.isEmpty() || !BenchEvent.PITCH_READING.contains(heard.getAsDouble())) {
            result.rejectValue("cents", "tuner.silent");
            return OptionalDouble.empty();
        }
        return heard;
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
                result, "gap", form.getGap(), run.state().plan().setUp().rangeOf(Quantity.BRIDGE_GAP));
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
        var text = Entry.text(result, "note", form.getNote(), Notes.LONGEST);
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
        return show(id, form, model, Htmx.asks(request));
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
        Taken taken = benches.record(id, form.press(), entry);
        if (taken == Taken.MOVED_ON && wasKept(request)) {
            throw new RefusedPressException(HttpStatus.CONFLICT, words.say("bench.kept.moved"));
        }
        if (!Htmx.asks(request)) {
            return "redirect:/bench/" + id + (taken == Taken.MOVED_ON ? "?moved" : "");
        }
        model.addAttribute("moved", taken == Taken.MOVED_ON);
        form.clear();
        return show(id, form, model, true);
    }

    private String show(UUID id, BenchForm form, Model model, boolean fragment) {
        Run run = benches.get(id);
        Instrument instrument = instruments.get(run.instrumentId());
        BenchState state = run.state();
        Step step = state.now().orElse(null);
        model.addAttribute("run", run);
        model.addAttribute("state", state);
        model.addAttribute("plan", state.plan());
        boolean looking = step != null && step.kind() == StepKind.LOOK_OVER;
        model.addAttribute("beforehand", looking ? inspections.beforehand(instrument) : null);
        model.addAttribute("owed", state.over() ? aftercare.owed(run.instrumentId()) : List.of());
        model.addAttribute("step", step);
        model.addAttribute("readsPitch", step != null && step.readings().contains(Reading.PITCH));
        model.addAttribute("readsGap", step != null && step.readings().contains(Reading.GAP));
        model.addAttribute("tuner", tuner.there());
        model.addAttribute("mishapKinds", Mishap.Kind.values());
        model.addAttribute("breakPlaces", BreakPlace.values());
        model.addAttribute("causes", causes(state));
        model.addAttribute("round", round(run, step, instrument));
        model.addAttribute("next", next(state));
        model.addAttribute("ahead", ahead(state));
        model.addAttribute("instrument", instrument);
        model.addAttribute("now", clock.instant());
        model.addAttribute("press", UUID.randomUUID());
        model.addAttribute("gapRange", state.plan().setUp().rangeOf(Quantity.BRIDGE_GAP));
        model.addAttribute("judgements", judgements(state));
        model.addAttribute("minutesToGo", state.over() ? 0 : state.plan().minutesFrom(step.index()));
        int reached = step == null ? run.steps() : step.index();
        model.addAttribute("track", LoadTrack.of(state.plan(), reached, 960, 124));
        model.addAttribute("narrowTrack", LoadTrack.of(state.plan(), reached, 370, 140));
        model.addAttribute("drawing", drawing(state, step, instrument));
        workings(run, step, instrument, model);
        model.addAttribute("pegbox", step == null ? null : pegbox(run, step, instrument));
        return fragment ? "bench/run :: bench" : "bench/run";
    }

    /**
     * Which of the step's figures can show how they came about. One that was worked out of more than the instrument, its strings
     * and how they are wound is left as it stands.
     */
    private void workings(Run run, Step step, Instrument instrument, Model model) {
        Map<StepFigure, InstrumentFigure> workings = new EnumMap<>(StepFigure.class);
        model.addAttribute("workings", workings);
        if (step == null || step.figures().isEmpty()) {
            return;
        }
        ChangePlan plan = run.state().plan();
        InstrumentGrounds grounds =
                InstrumentGrounds.of(plan.setUp(), instrument.specs()).sticking(instrument.stuck());
        Figure raisedTo = step.figures().get(StepFigure.TENSION_SHARE);
        if (raisedTo != null) {
            grounds = grounds.raisedTo(raisedTo.value());
            model.addAttribute("raisedTo", raisedTo.value());
        }
        Position position = step.position();
        InstrumentGrounds trimmed = grounds;
        if (position != null) {
            StringSpec string =
                    strings(run, instrument, run.replacements().keySet()).get(position);
            if (string == null) {
                return;
            }
            WindingChoice winding = plan.windingOf(position);
            grounds = grounds.about(string, winding);
            double trimMm = WindingPlan.of(plan.setUp(), string, winding).trimMm();
            trimmed = grounds.about(string.shortenedBy(trimMm), winding);
            model.addAttribute("winding", winding);
            model.addAttribute("kindOn", run.replacements().get(position));
        }
        Set<StepFigure> ofTrimmed = EnumSet.noneOf(StepFigure.class);
        model.addAttribute("ofTrimmed", ofTrimmed);
        for (Map.Entry<StepFigure, Figure> shown : step.figures().entrySet()) {
            InstrumentFigure worked = InstrumentFigure.of(step.kind(), shown.getKey());
            if (is(shown.getValue(), worked, grounds)) {
                workings.put(shown.getKey(), worked);
            } else if (is(shown.getValue(), worked, trimmed)) {
                workings.put(shown.getKey(), worked);
                ofTrimmed.add(shown.getKey());
            }
        }
    }

    private static boolean is(Figure shown, InstrumentFigure worked, InstrumentGrounds grounds) {
        return Math.abs(worked.value(grounds) - shown.value()) < SAME;
    }

    /** The pegbox from above while a string is locked and wound: as it will be when the strings are on. */
    private View pegbox(Run run, Step step, Instrument instrument) {
        if (!step.kind().winds()) {
            return null;
        }
        Map<Position, StringSpec> specs =
                strings(run, instrument, run.replacements().keySet());
        ChangePlan plan = run.state().plan();
        Map<Position, WindingChoice> choices = new EnumMap<>(Position.class);
        specs.keySet().forEach(position -> choices.put(position, plan.windingOf(position)));
        StrungPegbox pegbox = new StrungPegbox(plan.setUp(), specs, choices);
        return PegboxDrawing.of(pegbox, specs.values(), List.of(), step.position())
                .above();
    }

    /** What may be behind the last break, while what is left of the string is taken out. */
    private static List<BreakCause> causes(BenchState state) {
        Step step = state.now().orElse(null);
        if (step == null || step.kind() != StepKind.TAKE_OUT_REMAINS) {
            return List.of();
        }
        return state.mishaps().stream()
                .filter(mishap -> mishap.kind() == Mishap.Kind.STRING_BROKE && mishap.position() == step.position())
                .reduce((earlier, later) -> later)
                .map(broke -> BreakCause.of(broke.position(), broke.place()))
                .orElse(List.of());
    }

    /** The strings of the instrument, those at some positions replaced by what the run puts on. */
    private Map<Position, StringSpec> strings(Run run, Instrument instrument, Collection<Position> replaced) {
        Map<UUID, StringKind> known = kinds.all();
        Map<Position, StringSpec> specs = new EnumMap<>(instrument.specs());
        replaced.forEach(position ->
                specs.put(position, known.get(run.replacements().get(position)).spec()));
        return specs;
    }

    /** What to touch next, and how far the others sink with it, where pitches are read. */
    private Round round(Run run, Step step, Instrument instrument) {
        if (step == null || !step.readings().contains(Reading.PITCH)) {
            return null;
        }
        Tuned tuned = tuned(run, step, instrument);
        return tuned.grounds()
                .next()
                .map(next -> new Round(next, tuned.learnedFrom()))
                .orElse(null);
    }

    private Tuned tuned(Run run, Step step, Instrument instrument) {
        BenchState state = run.state();
        Set<Position> replaced = EnumSet.noneOf(Position.class);
        replaced.addAll(state.changed());
        Position raised = step.kind().raisesTension() ? step.position() : null;
        if (raised != null && run.replacements().containsKey(raised)) {
            replaced.add(raised);
        }
        SetUp setUp = state.plan().setUp();
        Map<Position, StringSpec> specs = strings(run, instrument, replaced);
        Evidence evidence = Coupling.add(instrument.coupling(), Learned.sinkings(setUp, specs, run.events()));
        return new Tuned(
                new TuningGrounds(
                        setUp,
                        specs,
                        state.tensionsN(),
                        Coupling.figure(setUp.family(), evidence),
                        Optional.ofNullable(raised),
                        Optional.empty()),
                evidence.readings());
    }

    /**
     * What tuning at a step rests on.
     *
     * @param grounds that
     * @param learnedFrom from how many readings the instrument's give is known
     */
    private record Tuned(TuningGrounds grounds, int learnedFrom) {}

    /**
     * Shows how a figure of the tuning that is going on came about.
     *
     * @param string whose sinking is asked about, null where none is
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/bench/{id}/working/{worked}")
    String working(
            @PathVariable UUID id,
            @PathVariable TuningFigure worked,
            @RequestParam(required = false) Position string,
            Model model,
            HttpServletRequest request) {
        Run run = benches.get(id);
        Step step = run.state().now().orElseThrow(() -> new NotFoundException("tuning in the finished run " + id));
        TuningGrounds grounds =
                tuned(run, step, instruments.get(run.instrumentId())).grounds();
        return workings.show(
                run.instrumentId(), string, () -> Working.of(worked, grounds.about(string)), model, request);
    }

    /**
     * What to touch next.
     *
     * @param next what, and what the others do
     * @param learnedFrom from how many readings the instrument's give is known; 0 when it is its family's usual one
     */
    public record Round(NextRound next, int learnedFrom) {

        /** {@return the strings that sink audibly, with their drop in cents, most first} */
        public List<Map.Entry<Position, Double>> drops() {
            return next.audibleDrops().stream()
                    .map(drop -> Map.entry(drop.getKey(), drop.getValue().value()))
                    .toList();
        }
    }

    /** Steps that can be shown without a connection: the next ones, as far as nothing is asked for in between. */
    private static List<Ahead> ahead(BenchState state) {
        List<Step> steps = state.plan().steps();
        if (state.over() || state.askedAgain() >= 0 || state.heldByBridge()) {
            return List.of();
        }
        Set<Position> dry = state.owed().stream()
                .map(steps::get)
                .filter(step -> step.kind() == StepKind.GRAPHITE)
                .map(Step::position)
                .collect(Collectors.toSet());
        return IntStream.range(state.reached() + 1, Math.min(steps.size(), state.reached() + 1 + AHEAD))
                .takeWhile(index -> !steps.get(index).kind().raisesTension()
                        || !dry.contains(steps.get(index).position()))
                .takeWhile(index -> !state.heldByBridgeAt(steps.get(index)))
                .mapToObj(index -> new Ahead(steps.get(index), steps.get(index - 1)))
                .toList();
    }

    /**
     * A step that is shown before its turn.
     *
     * @param step the step
     * @param before the one before it, whose load is the load then
     */
    public record Ahead(Step step, Step before) {}

    private static Step next(BenchState state) {
        int after = state.reached() + (state.askedAgain() >= 0 ? 0 : 1);
        return after < state.plan().steps().size() ? state.plan().steps().get(after) : null;
    }

    private static Map<Position, PitchJudgement> judgements(BenchState state) {
        Map<Position, PitchJudgement> judgements = new EnumMap<>(Position.class);
        state.pitchCents().forEach((position, cents) -> judgements.put(position, PitchJudgement.of(cents)));
        return judgements;
    }

    private static InstrumentDrawing drawing(BenchState state, Step step, Instrument instrument) {
        Map<Position, Double> diameters = new EnumMap<>(Position.class);
        instrument
                .strings()
                .forEach(string ->
                        diameters.put(string.position(), string.kind().spec().diameterMm()));
        Map<Position, StringState> states = new EnumMap<>(Position.class);
        List<Position> positions = state.plan().setUp().positions();
        for (Position position : positions) {
            double tensionN = state.tensionsN().getOrDefault(position, 0.0);
            double full = state.plan().tensionsBeforeN().getOrDefault(position, tensionN);
            boolean worked = step != null && step.position() == position;
            StringState drawn = tensionN == 0
                    ? StringState.OFF
                    : InstrumentLoad.isAside(tensionN, full) ? StringState.SET_ASIDE : StringState.ON;
            states.put(position, drawn == StringState.ON && worked ? StringState.WORKED_ON : drawn);
        }
        return InstrumentDrawing.of(
                state.plan().setUp(),
                diameters,
                states,
                step == null ? Place.WHOLE : step.kind().place(),
                step == null ? null : step.position());
    }
}
