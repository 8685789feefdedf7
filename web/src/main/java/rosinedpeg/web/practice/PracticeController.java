package rosinedpeg.web.practice;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
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
import rosinedpeg.web.drawing.PracticeDrawing;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentEntry;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Constraint;
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
    /** So many moments are told one by one, the last. */
    private static final int MOST_MOMENTS = 300;
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
    private final Instruments instruments;
    private final InstrumentEntry entry;
    private final Words words;
    private final Clock clock;

    PracticeController(Practices practices, Instruments instruments, InstrumentEntry entry, Words words, Clock clock) {
        this.practices = practices;
        this.instruments = instruments;
        this.entry = entry;
        this.words = words;
        this.clock = clock;
    }

    /** Says what the practice peg is, and what was begun on it. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice")
    String choose(Model model) {
        model.addAttribute("form", BeginForm.blank(UUID.randomUUID()));
        return choose(Optional.empty(), model);
    }

    private String choose(Optional<String> wrong, Model model) {
        Page.lay(
                new ChoosePage(
                        practices.mine(),
                        Arrays.stream(Family.values())
                                .flatMap(family -> Size.of(family).stream())
                                .toList(),
                        List.copyOf(instruments.onRack(SUGGESTED).values()),
                        UUID.randomUUID(),
                        wrong.map(words::say),
                        LONGEST_FILE / KILO / KILO),
                model);
        return "practice/begin";
    }

    /** Begins with an instrument of a size, or with a copy of one of the rack. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice")
    String begin(@ModelAttribute("form") BeginForm form, BindingResult result, Model model) {
        UUID press = Entry.press(form.press());
        if (form.copies()) {
            Optional<UUID> id = entry.one(result, "instrument", form.instrument());
            Optional<Instrument> copied = id.map(instruments::get);
            if (copied.filter(instrument -> !instrument.fullyStrung()).isPresent()) {
                result.rejectValue("instrument", "practice.bare");
            }
            if (result.hasErrors() || copied.isEmpty()) {
                return choose(Optional.empty(), model);
            }
            begin(press, copied.get());
        } else {
            Optional<Size> size = Entry.size(form.size());
            if (size.isEmpty()) {
                result.rejectValue("size", "instrument.size.missing");
                return choose(Optional.empty(), model);
            }
            SetUp setUp = handed(SetUp.unmeasured(size.get()), form.leftHanded());
            Map<Position, StringSpec> strings = new EnumMap<>(Position.class);
            setUp.positions().forEach(position -> strings.put(position, UsualString.of(setUp, position)));
            begin(
                    press,
                    null,
                    words.say(
                            "practice.name",
                            words.say("family." + size.get().family()),
                            size.get().code()),
                    PracticeStart.usual(setUp, strings, seed()));
        }
        return "redirect:/practice/" + press;
    }

    private static SetUp handed(SetUp setUp, boolean leftHanded) {
        return new SetUp(
                setUp.size(), leftHanded, setUp.referenceA(), setUp.openStrings(), setUp.figures(), setUp.tailEnds());
    }

    private long seed() {
        return clock.instant().getEpochSecond();
    }

    private void begin(UUID press, Instrument copied) {
        PracticeStart usual = PracticeStart.usual(copied.setUp(), copied.specs(), seed());
        begin(
                press,
                copied.id(),
                copied.name(),
                new PracticeStart(
                        usual.setUp(),
                        usual.strings(),
                        usual.pegs(),
                        usual.graphited(),
                        Coupling.learned(copied.coupling()).orElse(usual.coupling()),
                        copied.stuck(),
                        copied.bands(),
                        usual.seed()));
    }

    private void begin(UUID press, @Nullable UUID copied, String name, PracticeStart start) {
        Constraint.PRACTICE_ATTEMPT_ONCE.once(() -> practices.begin(press, copied, name, start));
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
                .orElse(Position.I);
    }

    private static String tip(PracticeInstrument now, Position position) {
        SetUp setUp = now.start().setUp();
        return Long.toString(Math.round(Lock.FAR_SIDE_THEN_CROSS.tipMm(
                setUp.family(),
                setUp.value(Quantity.SHAFT_DIAMETER),
                position.in(now.start().strings()).diameterMm())));
    }

    private static String show(Attempt attempt, ActForm form, Model model, String template) {
        PracticeInstrument now = attempt.now();
        Position inHand = inHand(form, attempt);
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

    /**
     * Shows what was done, moment by moment.
     *
     * @param at the moment, by how much was done until then; the last when none is given
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/practice/{id}/moments")
    String moments(@PathVariable UUID id, @RequestParam(required = false) @Nullable Integer at, Model model) {
        Attempt attempt = practices.get(id);
        List<PracticeLedger.Moment> moments = practices.moments(id);
        int shown = at == null ? moments.size() : Math.max(0, Math.min(moments.size(), at));
        Optional<PracticeLedger.Moment> moment = shown == 0 ? Optional.empty() : Optional.of(moments.get(shown - 1));
        PracticeInstrument now = moment.map(PracticeLedger.Moment::after)
                .orElseGet(() -> PracticeInstrument.of(attempt.now().start()));
        Page.lay(
                new MomentsPage(
                        attempt,
                        moments,
                        Math.max(0, moments.size() - MOST_MOMENTS),
                        shown,
                        moment,
                        now,
                        PracticeDrawing.of(now, null),
                        UUID.randomUUID()),
                model);
        return "practice/moments";
    }

    /** Goes back to a moment. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/moments")
    String backTo(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String press,
            @RequestParam(defaultValue = "0") Integer at) {
        practices.backTo(id, Entry.press(press), Math.max(0, at));
        return "redirect:/practice/" + id;
    }

    /** Begins again as this attempt began. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/practice/{id}/again")
    String again(@PathVariable UUID id, @RequestParam(defaultValue = "") String press) {
        UUID fresh = Entry.press(press);
        Constraint.PRACTICE_ATTEMPT_ONCE.once(() -> practices.again(id, fresh));
        return "redirect:/practice/" + fresh;
    }

    private static String shown(Attempt attempt, ActForm form, Model model, HttpServletRequest request) {
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
                .body(SoundFile.wav(heard));
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
        model.addAttribute("form", BeginForm.blank(UUID.randomUUID()));
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
     * @param other the press of the second form
     * @param wrong what is wrong with a file that was sent
     * @param largestMegabytes how large one may be
     */
    private record ChoosePage(
            List<Practices.Told> mine,
            List<Size> sizes,
            List<String> instruments,
            UUID other,
            Optional<String> wrong,
            int largestMegabytes) {}

    /**
     * An attempt, moment by moment.
     *
     * @param attempt the attempt
     * @param moments all that was done
     * @param from so many of the first are not told one by one
     * @param shown the moment that is shown, by how much was done until then
     * @param moment the moment that is shown; empty before anything was done
     * @param now the instrument at that moment
     * @param drawing it, drawn
     * @param fresh the next press
     */
    private record MomentsPage(
            Attempt attempt,
            List<PracticeLedger.Moment> moments,
            int from,
            int shown,
            Optional<PracticeLedger.Moment> moment,
            PracticeInstrument now,
            PracticeDrawing drawing,
            UUID fresh) {}

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
            UUID fresh) {}
}
