package rosinedpeg.web.rack;

import static java.util.Objects.requireNonNull;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.finding.Finding;
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
import rosinedpeg.web.drawing.TailpieceDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.findings.FindingWords;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.findings.Note;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.LogSource;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.measure.MeasuredArea;
import rosinedpeg.web.picture.InstrumentPictures;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.PersonNames;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.players.Players;
import rosinedpeg.web.sound.Sounds;

/** An instrument's page: how it stands, what was found on it, what is left to do and what happened to it. */
@Controller
class InstrumentController {

    private static final List<String> FOUND = List.of("STOPS", "TODAY", "WATCH", "REFER");

    private final Instruments instruments;
    private final InstrumentPictures pictures;
    private final Notes notes;
    private final List<LogSource> logs;
    private final List<NotAtHand> notAtHand;
    private final Aftercare aftercare;
    private final Inspections inspections;
    private final FindingWords findings;
    private final Sounds sounds;
    private final Players players;
    private final PersonNames names;
    private final Clock clock;

    InstrumentController(
            Instruments instruments,
            InstrumentPictures pictures,
            Notes notes,
            List<LogSource> logs,
            List<NotAtHand> notAtHand,
            Aftercare aftercare,
            Inspections inspections,
            FindingWords findings,
            Sounds sounds,
            Players players,
            PersonNames names,
            Clock clock) {
        this.instruments = instruments;
        this.pictures = pictures;
        this.notes = notes;
        this.logs = logs;
        this.notAtHand = notAtHand;
        this.aftercare = aftercare;
        this.inspections = inspections;
        this.findings = findings;
        this.sounds = sounds;
        this.players = players;
        this.names = names;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}")
    @Transactional(readOnly = true)
    String one(@PathVariable UUID id, Model model) {
        return show(id, NoteForm.EMPTY, model);
    }

    /**
     * What happened to it longer ago than its own page shows.
     *
     * @param from how many entries have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/log")
    @Transactional(readOnly = true)
    String log(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int from,
            Model model,
            HttpServletRequest request) {
        Page.lay(new LogPage(instruments.get(id), InstrumentLog.of(logs, id, from)), model);
        return Htmx.asks(request) ? "rack/log :: entries" : "rack/log";
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
        Optional<String> text = Entry.text(result, "text", form.text(), Notes.LONGEST);
        if (text.isEmpty()) {
            return show(id, form, model);
        }
        notes.write(id, new Note.Written(text.get()), form.refer());
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

    private String show(UUID id, NoteForm noticed, Model model) {
        Instrument instrument = instruments.get(id);
        LocalDate today = CurrentWorkshop.today(clock);
        model.addAttribute("noticed", noticed);
        Page.lay(
                new InstrumentPage(
                        instrument,
                        pictures.keptAt(id),
                        players.of(id).stream().map(names::of).toList(),
                        instrument.drawn(string -> "on"),
                        MeasuredArea.of(instrument.setUp()),
                        found(instrument),
                        looks(instrument),
                        notes.referrals(id),
                        InstrumentLog.of(logs, id, 0),
                        aftercare.owed(id),
                        List.of(CareKind.values()),
                        aftercare.lastCare(id),
                        UUID.randomUUID(),
                        clock.instant(),
                        sounds.howManyAsked(id),
                        instrument.load(),
                        NotAtHand.of(notAtHand, List.of(id), today, today),
                        today),
                model);
        return "rack/instrument";
    }

    /** Findings in the order they are told: what stops the work, what to do today, what to watch, what to refer. */
    private Map<String, List<Finding>> found(Instrument instrument) {
        Map<String, List<Finding>> groups = new LinkedHashMap<>();
        FOUND.forEach(group -> groups.put(group, new ArrayList<>()));
        inspections
                .of(instrument)
                .forEach(finding ->
                        requireNonNull(groups.get(findings.group(finding))).add(finding));
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

    /**
     * Something that was noticed, as it is typed.
     *
     * @param text what
     * @param refer whether it is work for a repairer
     */
    record NoteForm(String text, Boolean refer) {
        static final NoteForm EMPTY = new NoteForm("", false);

        /** A box that is not ticked is not sent. */
        NoteForm {
            refer = Boolean.TRUE.equals(refer);
        }
    }
}
