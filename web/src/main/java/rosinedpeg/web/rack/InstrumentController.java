package rosinedpeg.web.rack;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.aftercare.CareKind;
import rosinedpeg.web.drawing.BridgeDrawing;
import rosinedpeg.web.drawing.FitDrawing;
import rosinedpeg.web.drawing.MeasureDrawing;
import rosinedpeg.web.drawing.PegboxDrawing;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.TailpieceDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.FindingWords;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogEntry;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.measure.MeasuredArea;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** An instrument's page: how it stands, what was found on it, what is left to do and what happened to it. */
@Controller
class InstrumentController {

    private static final List<String> FOUND = List.of("STOPS", "TODAY", "WATCH", "REFER");

    private final Instruments instruments;
    private final Notes notes;
    private final List<LogSource> logs;
    private final Aftercare aftercare;
    private final Inspections inspections;
    private final FindingWords findings;
    private final Clock clock;

    InstrumentController(
            Instruments instruments,
            Notes notes,
            List<LogSource> logs,
            Aftercare aftercare,
            Inspections inspections,
            FindingWords findings,
            Clock clock) {
        this.instruments = instruments;
        this.notes = notes;
        this.logs = logs;
        this.aftercare = aftercare;
        this.inspections = inspections;
        this.findings = findings;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}")
    String one(@PathVariable UUID id, Model model) {
        return show(id, model);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/notes")
    String note(
            @PathVariable UUID id,
            @ModelAttribute("noticed") NoteForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        instruments.require(id);
        Optional<String> text = Entry.text(result, "text", form.getText(), Notes.LONGEST);
        if (text.isEmpty()) {
            return show(id, model);
        }
        notes.write(id, new Note.Written(text.get()), form.isRefer());
        redirect.addFlashAttribute("notice", "note.recorded");
        return "redirect:/instruments/" + id;
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/notes/{note}/settled")
    String settle(@PathVariable UUID id, @PathVariable UUID note, RedirectAttributes redirect) {
        notes.settle(id, note);
        redirect.addFlashAttribute("notice", "note.settled");
        return "redirect:/instruments/" + id;
    }

    private String show(UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        if (!model.containsAttribute("noticed")) {
            model.addAttribute("noticed", new NoteForm());
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("strands", strands(instrument));
        model.addAttribute("areas", MeasuredArea.of(instrument.setUp()));
        model.addAttribute("found", found(instrument));
        model.addAttribute("looks", looks(instrument));
        model.addAttribute("referrals", notes.referrals(id));
        model.addAttribute(
                "log",
                logs.stream()
                        .flatMap(source -> source.log(id).stream())
                        .sorted(Comparator.comparing(LogEntry::at).reversed())
                        .toList());
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
        return "rack/instrument";
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
}
