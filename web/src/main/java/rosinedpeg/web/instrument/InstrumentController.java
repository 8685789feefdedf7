package rosinedpeg.web.instrument;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.drawing.BridgeDrawing;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.drawing.MeasureDrawing;
import rosinedpeg.web.drawing.PegboxDrawing;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.TailpieceDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;

/** An instrument's page and the strings on it. */
@Controller
class InstrumentController {

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);
    /** How far a scordatura may go from the usual pitch of a string. */
    private static final List<String> FOUND = List.of("STOPS", "TODAY", "WATCH", "REFER");

    private static final Range HOURS_PER_WEEK = new Range(0, 60, Unit.HOUR_PER_WEEK);
    private static final Range HOURS_BEFORE = new Range(0, 5000, Unit.HOUR);

    private final Instruments instruments;
    private final StringKinds kinds;
    private final Aftercare aftercare;
    private final Inspections inspections;
    private final FindingWords findings;
    private final Clock clock;

    InstrumentController(
            Instruments instruments,
            StringKinds kinds,
            Aftercare aftercare,
            Inspections inspections,
            FindingWords findings,
            Clock clock) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.aftercare = aftercare;
        this.inspections = inspections;
        this.findings = findings;
        this.clock = clock;
    }

    @GetMapping("/instruments/{id}")
    String one(@PathVariable UUID id, Model model) {
        return show(id, model);
    }

    @PostMapping("/instruments/{id}/notes")
    String note(
            @PathVariable UUID id,
            @ModelAttribute("noticed") NoteForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        instruments.get(id);
        Optional<String> text = Entry.text(result, "text", form.getText(), Instruments.LONGEST_NOTE);
        if (text.isEmpty()) {
            return show(id, model);
        }
        instruments.note(id, new Note.Written(text.get()), form.isRefer());
        redirect.addFlashAttribute("notice", "note.recorded");
        return "redirect:/instruments/" + id;
    }

    @PostMapping("/instruments/{id}/notes/{note}/settled")
    String settle(@PathVariable UUID id, @PathVariable UUID note, RedirectAttributes redirect) {
        instruments.settle(id, note);
        redirect.addFlashAttribute("notice", "note.settled");
        return "redirect:/instruments/" + id;
    }

    @GetMapping("/instruments/{id}/strings/{position}")
    String string(@PathVariable UUID id, @PathVariable Position position, Model model) {
        StringForm form = new StringForm();
        instruments.get(id).string(position).ifPresent(on -> {
            form.setKind(on.kind().id());
            form.setSigns(on.signs());
            form.setSince(on.fittedAt()
                    .map(at -> at.atZone(CurrentWorkshop.zone()).toLocalDate().toString())
                    .orElse(""));
        });
        model.addAttribute("form", form);
        return showString(id, position, model);
    }

    /** Records what was seen on the string that is on. */
    @PostMapping("/instruments/{id}/strings/{position}/signs")
    String look(
            @PathVariable UUID id,
            @PathVariable Position position,
            @RequestParam(required = false) Set<WearSign> signs,
            RedirectAttributes redirect) {
        instruments.look(id, position, signs == null ? Set.of() : signs);
        redirect.addFlashAttribute("notice", "string.looked");
        return "redirect:/instruments/" + id;
    }

    /** Records a string that was put on without the bench, or one found on the instrument. */
    @PostMapping("/instruments/{id}/strings/{position}/found")
    String found(
            @PathVariable UUID id,
            @PathVariable Position position,
            @ModelAttribute("form") StringForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        boolean known = kindsFor(instrument, position).stream()
                .anyMatch(kind -> kind.id().equals(form.getKind()));
        if (!known) {
            result.rejectValue("kind", "string.kind.missing");
        }
        Instant since = null;
        if (!form.getSince().isBlank()) {
            since = Entry.date(result, "since", form.getSince(), EARLIEST, today())
                    .map(this::momentOf)
                    .orElse(null);
        }
        OptionalDouble hours = Entry.number(result, "hoursBefore", form.getHoursBefore(), HOURS_BEFORE);
        if (result.hasErrors()) {
            return showString(id, position, model);
        }
        instruments.fit(id, position, form.getKind(), since, hours.orElseThrow(), Set.of(), form.isKeepOld());
        redirect.addFlashAttribute("notice", "string.recorded");
        return "redirect:/instruments/" + id;
    }

    @GetMapping("/instruments/new")
    String blank(@ModelAttribute("form") InstrumentForm form, Model model) {
        return showNew(model);
    }

    @PostMapping("/instruments/new")
    String add(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> name = Entry.text(result, "name", form.getName(), 60);
        OptionalDouble hours = Entry.number(result, "hoursPerWeek", form.getHoursPerWeek(), HOURS_PER_WEEK);
        OptionalDouble referenceA = Entry.number(result, "referenceA", form.getReferenceA(), ReferenceA.RANGE);
        String[] size = form.getSize().split(" ", 2);
        Size chosen = null;
        try {
            chosen = Size.of(Family.valueOf(size[0]), size.length > 1 ? size[1] : "");
        } catch (IllegalArgumentException noSuchSize) {
            result.rejectValue("size", "instrument.size.missing");
        }
        List<Pitch> openStrings = tuning(result, form.getTuning(), chosen);
        if (name.isPresent() && instruments.nameTaken(name.get())) {
            result.rejectValue("name", "instrument.name.taken");
        }
        if (result.hasErrors()) {
            return showNew(model);
        }
        UUID id = instruments.add(new NewInstrument(
                name.orElseThrow(),
                chosen,
                form.isLeftHanded(),
                new ReferenceA(referenceA.orElseThrow()),
                openStrings,
                tailEnds(form.getFirstTuner(), openStrings.size()),
                form.getPegs() == null ? chosen.family().usualPegs() : form.getPegs(),
                hours.orElseThrow(),
                form.getDemand()));
        redirect.addFlashAttribute("notice", "instrument.added");
        return "redirect:/instruments/" + id;
    }

    /** {@return the pitches that were typed, from I down; the family's own when nothing was} */
    private static List<Pitch> tuning(BindingResult result, String typed, Size size) {
        if (size == null || typed.isBlank()) {
            return size == null ? List.of() : size.family().openStrings();
        }
        List<Pitch> pitches = new ArrayList<>();
        try {
            for (String spelling : typed.strip().split("[\\s,]+")) {
                pitches.add(Pitch.of(spelling));
            }
        } catch (IllegalArgumentException notAPitch) {
            result.rejectValue("tuning", "instrument.tuning.spelling");
            return List.of();
        }
        Tuning.fault(size.family(), pitches)
                .ifPresent(fault -> result.rejectValue(
                        "tuning",
                        fault.kind() == Tuning.Kind.FAR_FROM_USUAL
                                ? "instrument.tuning.far"
                                : "instrument.tuning.order",
                        new Object[] {fault.position(), Tuning.MOST_SEMITONES_OFF},
                        null));
        return pitches;
    }

    private static List<TailEnd> tailEnds(TailEnd first, int strings) {
        List<TailEnd> tailEnds = new ArrayList<>(Collections.nCopies(strings, TailEnd.SLOT));
        tailEnds.set(0, first);
        return tailEnds;
    }

    private String showNew(Model model) {
        List<Size> sizes = new ArrayList<>();
        for (Family family : Family.values()) {
            sizes.addAll(Size.of(family));
        }
        model.addAttribute("sizes", sizes);
        model.addAttribute("pegKinds", PegKind.values());
        model.addAttribute("demands", Demand.values());
        model.addAttribute("tailEnds", TailEnd.values());
        return "instrument/new";
    }

    private String showString(UUID id, Position position, Model model) {
        Instrument instrument = instruments.get(id);
        model.addAttribute("instrument", instrument);
        model.addAttribute("position", position);
        model.addAttribute("string", instrument.string(position).orElse(null));
        model.addAttribute("kinds", kindsFor(instrument, position));
        model.addAttribute("signs", WearSign.values());
        return "instrument/string";
    }

    private List<StringKind> kindsFor(Instrument instrument, Position position) {
        return kinds.of(instrument.setUp().family(), position);
    }

    private String show(UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        if (!model.containsAttribute("noticed")) {
            model.addAttribute("noticed", new NoteForm());
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("strands", strands(instrument));
        model.addAttribute("areas", Done.of(instrument.setUp()));
        model.addAttribute("found", found(instrument));
        model.addAttribute("looks", looks(instrument));
        List<LogEntry> log = new ArrayList<>(instruments.log(id));
        log.addAll(aftercare.log(id));
        log.sort(Comparator.comparing(LogEntry::at).reversed());
        model.addAttribute("log", log);
        model.addAttribute("owed", aftercare.owed(id));
        model.addAttribute("careKinds", CareKind.values());
        model.addAttribute("lastCare", aftercare.lastCare(id));
        model.addAttribute("press", UUID.randomUUID());
        model.addAttribute("now", clock.instant());
        if (instrument.fullyStrung()) {
            model.addAttribute(
                    "load",
                    new InstrumentLoad(instrument.setUp(), instrument.setUp().tensionsN(instrument.specs()))
                            .fullyStrung());
        }
        return "instrument/one";
    }

    /** Findings in the order they are told: what stops the work, what to do today, what to watch, what to refer. */
    private Map<String, List<Finding>> found(Instrument instrument) {
        Map<String, List<Finding>> groups = new LinkedHashMap<>();
        FOUND.forEach(group -> groups.put(group, new ArrayList<>()));
        inspections
                .of(instrument)
                .forEach(finding -> groups.get(findings.group(finding)).add(finding));
        groups.values().removeIf(List::isEmpty);
        return groups;
    }

    /** Small drawings of the instrument's own parts, which lead to their pages. */
    private static Map<String, View> looks(Instrument instrument) {
        SetUp setUp = instrument.setUp();
        Map<String, View> looks = new LinkedHashMap<>();
        looks.put("bridge", BridgeDrawing.side(setUp, Lean.of(setUp)));
        if (instrument.fullyStrung()) {
            StrungPegbox pegbox = new StrungPegbox(setUp, instrument.specs(), Map.of());
            looks.put(
                    "pegbox",
                    PegboxDrawing.of(pegbox, instrument.specs().values(), List.of(), null)
                            .side());
        }
        looks.put("pegs", MeasureDrawing.of(setUp, Measurable.of(Quantity.SHAFT_DIAMETER)));
        looks.put("tailpiece", TailpieceDrawing.of(setUp, Position.I));
        instrument
                .string(Position.I)
                .ifPresent(on ->
                        looks.put("fit", FitDrawing.of(setUp, on.kind().spec()).tail()));
        return looks;
    }

    private static Strands strands(Instrument instrument) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        instrument.strings().forEach(string -> strands.put(string.position(), string.strand("on")));
        return Strands.of(instrument.setUp(), strands);
    }

    private LocalDate today() {
        return clock.instant().atZone(CurrentWorkshop.zone()).toLocalDate();
    }

    /** A string found to be on since a day: noon, but never later than now. */
    private Instant momentOf(LocalDate day) {
        Instant noon = day.atTime(LocalTime.NOON).atZone(CurrentWorkshop.zone()).toInstant();
        return noon.isAfter(clock.instant()) ? clock.instant() : noon;
    }

    /** Something that was noticed. */
    static class NoteForm {
        private String text = "";
        private boolean refer;

        public String getText() {
            return text;
        }

        public void setText(String text) {
            this.text = text;
        }

        public boolean isRefer() {
            return refer;
        }

        public void setRefer(boolean refer) {
            this.refer = refer;
        }
    }

    /** A string that is on the instrument. */
    static class StringForm {
        private UUID kind;
        private String since = "";
        private String hoursBefore = "0";
        private boolean keepOld;
        private Set<WearSign> signs = EnumSet.noneOf(WearSign.class);

        public UUID getKind() {
            return kind;
        }

        public void setKind(UUID kind) {
            this.kind = kind;
        }

        public String getSince() {
            return since;
        }

        public void setSince(String since) {
            this.since = since;
        }

        public String getHoursBefore() {
            return hoursBefore;
        }

        public void setHoursBefore(String hoursBefore) {
            this.hoursBefore = hoursBefore;
        }

        public boolean isKeepOld() {
            return keepOld;
        }

        public void setKeepOld(boolean keepOld) {
            this.keepOld = keepOld;
        }

        public Set<WearSign> getSigns() {
            return signs;
        }

        public void setSigns(Set<WearSign> signs) {
            this.signs = signs;
        }
    }

    /** A new instrument. */
    static class InstrumentForm {
        private String name = "";
        private String size = "VIOLIN 4/4";
        private boolean leftHanded;
        private String referenceA = "440";
        private String tuning = "";
        private PegKind pegs;
        private TailEnd firstTuner = TailEnd.FORK_TUNER;
        private String hoursPerWeek = "5";
        private Demand demand = Demand.STUDY;

        public String getName() {
            return name;
        }

        public void setName(String name) {
            this.name = name;
        }

        public String getSize() {
            return size;
        }

        public void setSize(String size) {
            this.size = size;
        }

        public boolean isLeftHanded() {
            return leftHanded;
        }

        public void setLeftHanded(boolean leftHanded) {
            this.leftHanded = leftHanded;
        }

        public String getReferenceA() {
            return referenceA;
        }

        public void setReferenceA(String referenceA) {
            this.referenceA = referenceA;
        }

        public String getTuning() {
            return tuning;
        }

        public void setTuning(String tuning) {
            this.tuning = tuning;
        }

        public PegKind getPegs() {
            return pegs;
        }

        public void setPegs(PegKind pegs) {
            this.pegs = pegs;
        }

        public TailEnd getFirstTuner() {
            return firstTuner;
        }

        public void setFirstTuner(TailEnd firstTuner) {
            this.firstTuner = firstTuner;
        }

        public String getHoursPerWeek() {
            return hoursPerWeek;
        }

        public void setHoursPerWeek(String hoursPerWeek) {
            this.hoursPerWeek = hoursPerWeek;
        }

        public Demand getDemand() {
            return demand;
        }

        public void setDemand(Demand demand) {
            this.demand = demand;
        }
    }
}
