package rosinedpeg.web.practice;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import rosinedpeg.core.lesson.Lesson;
import rosinedpeg.core.lesson.QuickChange;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeLedger;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tone.PluckedString;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.web.drawing.ClockDrawing;
import rosinedpeg.web.drawing.CourseDrawing;
import rosinedpeg.web.drawing.PracticeDrawing;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentEntry;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.WavFile;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;
import tools.jackson.core.JacksonException;

/** The practice peg: an instrument that cannot be hurt, everything done on it by hand. */
@Controller
class PracticeController {

    private static final String FRAGMENT = "practice/attempt :: practice";
    private static final int SUGGESTED = 500;
    /** A finger on a peg sounds a moment, no longer. */
    private static final int SECONDS = 2;

    private static final int KILO = 1 << 10;
    private static final int LONGEST_FILE = 2 * KILO * KILO;
    private static final List<PegTreatment> TREATMENTS = List.of(
            PegTreatment.CLEANED,
            PegTreatment.PEG_COMPOUND,
            PegTreatment.LUBRICATING_PASTE,
            PegTreatment.GRIPPING_DROPS,
            PegTreatment.DRY_SOAP,
            PegTreatment.CHALK);

    private final Practices practices;
    private final Lessons lessons;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final InstrumentEntry entry;
    private final Words words;
    private final Clock clock;

    PracticeController(
            Practices practices,
            Lessons lessons,
            Instruments instruments,
            InstrumentNames instrumentNames,
            InstrumentEntry entry,
            Words words,
            Clock clock) {
        this.practices = practices;
        this.lessons = lessons;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.entry = entry;
        this.words = words;
        this.clock = clock;
    }

    /** Says what the practice peg is, what there is to learn on it, and what was begun. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice")
    String choose(Model model) {
        model.addAttribute("form", BeginForm.blank(practices.last()));
        return choose(Optional.empty(), model);
    }

    private String choose(Optional<String> wrong, Model model) {
        LocalDate today = CurrentWorkshop.today(clock);
        Lessons.Learner learner =
                lessons.of(CurrentWorkshop.account().orElseThrow().accountId());
        Page.lay(
                new ChoosePage(
                        practices.mine(),
                        Arrays.stream(Family.values())
                                .flatMap(family -> Size.of(family).stream())
                                .toList(),
                        List.copyOf(instrumentNames.onRack(SUGGESTED).values()),
                        Lesson.values(),
                        learner,
                        CourseDrawing.of(learner.course(), today),
                        learner.next(today),
                        today,
                        Position.values(),
                        practices.best(),
                        wrong.map(words::say),
                        LONGEST_FILE / KILO / KILO),
                model);
        return "practice/begin";
    }

    /** Begins with an instrument of a size, or with a copy of one of the rack. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice")
    String begin(@ModelAttribute("form") BeginForm form, BindingResult result, Model model) {
        Optional<UUID> copied = Optional.empty();
        String name = "";
        Optional<PracticeStart> start = Optional.empty();
        if (form.copies()) {
            Optional<Instrument> instrument =
                    entry.one(result, "instrument", form.instrument()).map(instruments::get);
            copied = instrument.map(Instrument::id);
            name = instrument.map(Instrument::name).orElse("");
            if (instrument.filter(one -> !one.fullyStrung()).isPresent()) {
                result.rejectValue("instrument", "practice.bare");
            } else {
                start = instrument.map(this::copyOf);
            }
        } else {
            Optional<Size> size = Entry.size(form.size());
            if (size.isEmpty()) {
                result.rejectValue("size", "instrument.size.missing");
            } else {
                name = words.say(
                        "practice.name",
                        words.say("family." + size.get().family()),
                        size.get().code());
                start = Optional.of(usual(handed(SetUp.unmeasured(size.get()), form.leftHanded())));
            }
        }
        start.ifPresent(one -> refuseWhatDoesNotSuit(form.task(), one.setUp(), result));
        Optional<PracticeLedger> ledger =
                result.hasErrors() ? Optional.empty() : start.flatMap(one -> Practices.beginning(one, form.task()));
        if (start.isPresent() && !result.hasErrors() && ledger.isEmpty()) {
            result.rejectValue("lesson", "practice.lesson.cannot");
        }
        if (ledger.isEmpty()) {
            return choose(Optional.empty(), model);
        }
        UUID id = form.id();
        UUID instrumentId = copied.orElse(null);
        String called = name;
        Constraint.PRACTICE_ATTEMPT_ONCE.once(
                () -> practices.begin(id, instrumentId, called, ledger.get(), form.task()));
        return "redirect:/practice/" + id;
    }

    private void refuseWhatDoesNotSuit(Task task, SetUp setUp, BindingResult result) {
        if (task.lesson().filter(lesson -> !lesson.suits(setUp)).isPresent()) {
            result.rejectValue("lesson", "practice.lesson.geared");
        }
        task.change()
                .map(QuickChange::position)
                .filter(position -> !setUp.positions().contains(position))
                .ifPresent(position ->
                        result.rejectValue("change", "practice.clock.string", new Object[] {position}, null));
    }

    private PracticeStart usual(SetUp setUp) {
        Map<Position, StringSpec> strings = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> strings.put(position, UsualString.of(setUp, position)));
        return PracticeStart.usual(setUp, strings, seed());
    }

    private PracticeStart copyOf(Instrument copied) {
        PracticeStart usual = PracticeStart.usual(copied.setUp(), copied.specs(), seed());
        return new PracticeStart(
                usual.setUp(),
                usual.strings(),
                usual.pegs(),
                usual.graphited(),
                Coupling.learned(copied.coupling()).orElse(usual.coupling()),
                copied.stuck(),
                copied.bands(),
                usual.seed());
    }

    private static SetUp handed(SetUp setUp, boolean leftHanded) {
        return new SetUp(
                setUp.size(), leftHanded, setUp.referenceA(), setUp.openStrings(), setUp.figures(), setUp.tailEnds());
    }

    private long seed() {
        return clock.instant().getEpochSecond();
    }

    /** The instrument as it is, with a string in hand. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/{id}")
    String show(
            @PathVariable UUID id,
            @ModelAttribute("form") ActForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Attempt attempt = practices.get(id);
        Position inHand = inHand(form, attempt);
        String tip = tip(attempt.now(), inHand);
        return show(
                attempt,
                form.string() == null ? ActForm.inHand(inHand, tip) : form.holding(inHand, tip),
                model,
                Htmx.asks(request) ? FRAGMENT : "practice/attempt");
    }

    private static Position inHand(ActForm form, Attempt attempt) {
        return Optional.ofNullable(form.string())
                .filter(attempt.now().start().setUp().positions()::contains)
                .orElseGet(() -> about(attempt));
    }

    /** The string that a lesson or the clock is about, else the first. */
    private static Position about(Attempt attempt) {
        return attempt.lesson()
                .flatMap(lesson -> lesson.lesson().string(attempt.now().start()))
                .or(() -> attempt.clock().map(on -> on.change().position()))
                .orElse(Position.I);
    }

    private static String tip(PracticeInstrument now, Position position) {
        SetUp setUp = now.start().setUp();
        return Long.toString(Math.round(Lock.FAR_SIDE_THEN_CROSS.tipMm(
                setUp.family(),
                setUp.value(Quantity.SHAFT_DIAMETER),
                position.in(now.start().strings()).diameterMm())));
    }

    private String show(Attempt attempt, ActForm form, Model model, String template) {
        return show(attempt, form, model, template, false);
    }

    private String show(Attempt attempt, ActForm form, Model model, String template, boolean notYet) {
        PracticeInstrument now = attempt.now();
        Position inHand = inHand(form, attempt);
        LocalDate today = CurrentWorkshop.today(clock);
        Optional<Lessons.Learner> learner = attempt.lesson()
                .filter(lesson -> lesson.done().isPresent())
                .map(lesson ->
                        lessons.of(CurrentWorkshop.account().orElseThrow().accountId()));
        model.addAttribute("form", form);
        Page.lay(
                new AttemptPage(
                        attempt,
                        now,
                        now.start().setUp(),
                        inHand,
                        PracticeDrawing.of(now, inHand),
                        PracticeDrawing.strands(now),
                        Lock.of(now.start().setUp().family()),
                        TREATMENTS,
                        attempt.lesson(),
                        learner.flatMap(one ->
                                attempt.lesson().flatMap(lesson -> one.course().comesBack(lesson.lesson()))),
                        learner.flatMap(one -> one.next(today)),
                        attempt.clock(),
                        QuickChange.Split.values(),
                        notYet,
                        attempt.clock().map(on -> ClockDrawing.of(on.clocked(), on.shadow())),
                        UUID.randomUUID()),
                model);
        return template;
    }

    /** Does something. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/act")
    String act(
            @PathVariable UUID id,
            @ModelAttribute("form") ActForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Attempt attempt = practices.get(id);
        Optional<Action> action = form.read(result, attempt.now());
        if (practices.isFull(id)) {
            result.rejectValue("does", "practice.full");
        }
        if (action.isEmpty() || result.hasErrors()) {
            return show(attempt, form, model, Htmx.asks(request) ? FRAGMENT : "practice/attempt");
        }
        return shown(practices.act(id, Entry.press(form.press()), action.get()), form, model, request);
    }

    /** Goes back to just before what was done last. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/back")
    String back(
            @PathVariable UUID id,
            @ModelAttribute("form") ActForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        return shown(practices.back(id, Entry.press(form.press())), form, model, request);
    }

    /** Stops the clock. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/ready")
    String ready(
            @PathVariable UUID id,
            @ModelAttribute("form") ActForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Attempt attempt = practices.stop(id);
        if (!attempt.over()) {
            Position inHand = inHand(form, attempt);
            return show(
                    attempt,
                    form.holding(inHand, tip(attempt.now(), inHand)),
                    model,
                    Htmx.asks(request) ? FRAGMENT : "practice/attempt",
                    true);
        }
        return shown(attempt, form, model, request);
    }

    /** Begins again as this attempt began. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/again")
    String again(@PathVariable UUID id, @RequestParam(defaultValue = "") String press) {
        UUID fresh = Entry.press(press);
        Constraint.PRACTICE_ATTEMPT_ONCE.once(() -> practices.again(id, fresh));
        return "redirect:/practice/" + fresh;
    }

    private String shown(Attempt attempt, ActForm form, Model model, HttpServletRequest request) {
        Position inHand = inHand(form, attempt);
        return Htmx.asks(request)
                ? show(attempt, form.holding(inHand, tip(attempt.now(), inHand)), model, FRAGMENT)
                : "redirect:/practice/" + attempt.id() + "?string=" + inHand + "&pushing=" + form.pushing()
                        + "&guiding=" + form.guiding() + "&cloth=" + form.cloth();
    }

    /**
     * What a string sounds like when it is plucked now.
     *
     * @param position which string
     * @param beside also the pitch it should have: alone, or together with its own so that the beats between them are heard
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/{id}/sound/{position}.wav")
    ResponseEntity<byte[]> sound(
            @PathVariable UUID id, @PathVariable Position position, @RequestParam(defaultValue = "OWN") Beside beside) {
        PracticeInstrument now = practices.get(id).now();
        SetUp setUp = now.start().setUp();
        if (!setUp.positions().contains(position)
                || beside != Beside.PITCH && now.cents(position).isEmpty()) {
            throw new NotFoundException("sound of " + position);
        }
        StringSpec string = position.in(now.start().strings());
        double[] own = PluckedString.of(setUp, string, now.tensionN(position)).samples(SECONDS);
        double[] pitch = PluckedString.of(setUp, string, setUp.tensionN(string)).samples(SECONDS);
        double[] heard = beside == Beside.OWN ? own : pitch;
        if (beside == Beside.BOTH) {
            for (int i = 0; i < heard.length; i++) {
                heard[i] = (own[i] + pitch[i]) / 2;
            }
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .cacheControl(CacheControl.noStore())
                .body(WavFile.of(heard));
    }

    /** What is heard. */
    enum Beside {
        /** The string alone. */
        OWN,
        /** What it should sound like. */
        PITCH,
        /** Both at once. */
        BOTH
    }

    /** The attempt as a file. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/{id}/attempt.json")
    ResponseEntity<byte[]> file(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("practice.json", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_JSON)
                .body(practices.file(id));
    }

    /** Reads an attempt from a file. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/read")
    String read(
            @RequestParam(defaultValue = "") String press,
            @RequestParam(required = false) @Nullable MultipartFile file,
            Model model)
            throws IOException {
        UUID id = Entry.press(press);
        Optional<String> wrong = wrong(file);
        if (wrong.isEmpty() && file != null) {
            byte[] sent = file.getBytes();
            try {
                Constraint.PRACTICE_ATTEMPT_ONCE.once(() -> practices.read(id, sent));
                return "redirect:/practice/" + id;
            } catch (JacksonException | IllegalArgumentException | NullPointerException unreadable) {
                wrong = Optional.of("practice.file.wrong");
            }
        }
        model.addAttribute("form", BeginForm.blank(practices.last()));
        return choose(wrong, model);
    }

    private static Optional<String> wrong(@Nullable MultipartFile file) {
        if (file == null || file.isEmpty()) {
            return Optional.of("practice.file.missing");
        }
        return file.getSize() > LONGEST_FILE ? Optional.of("practice.file.long") : Optional.empty();
    }

    /**
     * Where one begins.
     *
     * @param mine what was begun
     * @param sizes what there is to begin with
     * @param instruments what there is to copy
     * @param lessons what there is to learn
     * @param learner how far whoever asks has come
     * @param peg the same, drawn
     * @param next the lesson to do next, if one waits
     * @param today the day it is
     * @param strings what there is to change against the clock
     * @param best the best times until now
     * @param wrong what is wrong with a file that was sent
     * @param largestMegabytes how large one may be
     */
    private record ChoosePage(
            List<Practices.Told> mine,
            List<Size> sizes,
            List<String> instruments,
            Lesson[] lessons,
            Lessons.Learner learner,
            View peg,
            Optional<Lesson> next,
            LocalDate today,
            Position[] strings,
            List<Practices.BestTime> best,
            Optional<String> wrong,
            int largestMegabytes) {}

    /**
     * An attempt.
     *
     * @param attempt the attempt
     * @param now the instrument
     * @param setUp its set-up
     * @param inHand the string in hand
     * @param drawing it, drawn
     * @param strands its strings, drawn
     * @param locks how a tip can be held
     * @param treatments what a peg can be treated with
     * @param atLesson its lesson, if it is one
     * @param comesBack when that lesson is asked again; empty until it is done
     * @param next the lesson to do next, once it is done
     * @param onTheClock how it goes against the clock, if it does
     * @param splits what is reached on the way
     * @param notYet whether somebody said that they could play who cannot yet
     * @param track the same, drawn
     * @param fresh the next press
     */
    private record AttemptPage(
            Attempt attempt,
            PracticeInstrument now,
            SetUp setUp,
            Position inHand,
            PracticeDrawing drawing,
            Strands strands,
            List<Lock> locks,
            List<PegTreatment> treatments,
            Optional<Attempt.AtLesson> atLesson,
            Optional<LocalDate> comesBack,
            Optional<Lesson> next,
            Optional<Attempt.OnTheClock> onTheClock,
            QuickChange.Split[] splits,
            boolean notYet,
            Optional<ClockDrawing> track,
            UUID fresh) {}
}
