package rosinedpeg.web.pegs;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
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
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.CollarChart;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** A card for each peg: what is seen of it, what that means, what was done, and how far it has worn its way in. */
@Controller
class PegController {

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);
    private static final int LONGEST_TEXT = 300;

    private final Instruments instruments;
    private final PegLooks pegLooks;
    private final Words words;
    private final Clock clock;

    PegController(Instruments instruments, PegLooks pegLooks, Words words, Clock clock) {
        this.instruments = instruments;
        this.pegLooks = pegLooks;
        this.words = words;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/pegs")
    String cards(@PathVariable UUID id, Model model) {
        return show(id, null, new LookForm(), model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/pegs/{position}")
    String look(
            @PathVariable UUID id,
            @PathVariable Position position,
            @ModelAttribute("form") LookForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        SetUp setUp = instruments.get(id).setUp();
        Measurable collar = Measurable.of(Quantity.COLLAR_TO_WALL, position);
        Optional<LocalDate> day = Entry.date(result, "on", form.getOn(), EARLIEST, today());
        Optional<String> text =
                form.getText().isBlank() ? Optional.empty() : Entry.text(result, "text", form.getText(), LONGEST_TEXT);
        OptionalDouble collarMm = form.getCollar().isBlank() || setUp.figure(collar) == null
                ? OptionalDouble.empty()
                : Entry.number(result, "collar", form.getCollar(), setUp.rangeOf(collar));
        if (form.getTreatment() != null && !form.getTreatment().suits(form.getSigns())) {
            result.rejectValue("treatment", "peg.treatment.slips");
        }
        if (!setUp.positions().contains(position)) {
            throw new NotFoundException("peg " + position + " of " + id);
        }
        if (result.hasErrors()) {
            return show(id, position, form, model);
        }
        Constraint.PEG_LOOK_ONCE.once(() -> pegLooks.record(
                id,
                new PegLook(
                        position,
                        form.getSigns(),
                        Optional.ofNullable(form.getTreatment()),
                        text.orElse(null),
                        day.orElseThrow(),
                        CurrentWorkshop.recordedBy()),
                collarMm.isPresent() ? Map.of(collar, collarMm.getAsDouble()) : Map.of(),
                form.press()));
        redirect.addFlashAttribute("notice", "peg.looked");
        return "redirect:/instruments/" + id + "/pegs#peg-" + position;
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/peg-wood")
    String wood(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(required = false) PegWood wood,
            RedirectAttributes redirect) {
        Change.make(
                () -> instruments.setPegWood(id, version, wood),
                "pegs.wood.recorded",
                words.say("pegs.wood." + (wood == null ? "unknown" : wood)),
                redirect);
        return "redirect:/instruments/" + id + "/pegs";
    }

    private String show(UUID id, Position typedAt, LookForm typed, Model model) {
        Instrument instrument = instruments.get(id);
        List<PegLook> looks = pegLooks.of(id);
        Map<Position, Set<PegSign>> signsNow = pegLooks.signs(id);
        Optional<PegWood> wood = instrument.fittings().pegWood();
        List<Card> cards = new ArrayList<>();
        for (Position position : instrument.setUp().positions()) {
            List<PegLook> ofPeg =
                    looks.stream().filter(look -> look.position() == position).toList();
            Set<PegSign> signs = signsNow.getOrDefault(position, Set.of());
            CollarTrend trend = new CollarTrend(instrument.collars().getOrDefault(position, List.of()), wood);
            cards.add(new Card(
                    position,
                    ofPeg.isEmpty() ? List.of() : PegDiagnosis.of(signs, wood),
                    signs,
                    ofPeg,
                    instrument.collars().getOrDefault(position, List.of()),
                    trend.pace().orElse(null),
                    trend.holeOpensMmPerYear().orElse(null),
                    trend.runsOutOn().orElse(null),
                    CollarChart.of(instrument.collars().getOrDefault(position, List.of()), trend, today())));
        }
        Map<Position, LookForm> forms = new EnumMap<>(Position.class);
        for (Card card : cards) {
            LookForm form = card.position() == typedAt ? typed : new LookForm();
            if (card.position() != typedAt) {
                form.setSigns(card.signs());
                form.setOn(today().toString());
            }
            form.setPress(UUID.randomUUID().toString());
            forms.put(card.position(), form);
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("cards", cards);
        model.addAttribute("forms", forms);
        model.addAttribute("typedAt", typedAt);
        model.addAttribute("signs", PegSign.values());
        model.addAttribute("treatments", PegTreatment.values());
        model.addAttribute("woods", PegWood.values());
        model.addAttribute("wooden", instrument.setUp().pegKind() == PegKind.TAPERED_WOOD);
        if (!model.containsAttribute("form")) {
            model.addAttribute("form", typed);
        }
        return "pegs/pegs";
    }

    private LocalDate today() {
        return clock.instant().atZone(CurrentWorkshop.zone()).toLocalDate();
    }

    /**
     * What is known of one peg.
     *
     * @param position whose
     * @param diagnoses what the last look means, the worst first; nothing when nobody has looked
     * @param signs what was noticed at the last look
     * @param looks every look, the latest first
     * @param collars every collar distance that was measured
     * @param pace how far it moves in within a year, learned or usual for its wood; null when nothing tells
     * @param holeOpensMmPerYear by how much its hole opens within a year, or null
     * @param runsOutOn the day its collar comes to the wall, or null
     * @param chart the collar's distance over time, or null before two days
     */
    public record Card(
            Position position,
            List<PegDiagnosis> diagnoses,
            Set<PegSign> signs,
            List<PegLook> looks,
            List<CollarTrend.Collar> collars,
            Figure pace,
            Double holeOpensMmPerYear,
            LocalDate runsOutOn,
            CollarChart chart) {}

    /** What is typed on a card. */
    static class LookForm {
        private Set<PegSign> signs = EnumSet.noneOf(PegSign.class);
        private PegTreatment treatment;
        private String collar = "";
        private String text = "";
        private String on = "";
        private String press = "";

        UUID press() {
            return Entry.press(press);
        }

        public Set<PegSign> getSigns() {
            return signs;
        }

        public void setSigns(Set<PegSign> signs) {
            this.signs = signs;
        }

        public PegTreatment getTreatment() {
            return treatment;
        }

        public void setTreatment(PegTreatment treatment) {
            this.treatment = treatment;
        }

        public String getCollar() {
            return collar;
        }

        public void setCollar(String collar) {
            this.collar = collar;
        }

        public String getText() {
            return text;
        }

        public void setText(String text) {
            this.text = text;
        }

        public String getOn() {
            return on;
        }

        public void setOn(String on) {
            this.on = on;
        }

        public String getPress() {
            return press;
        }

        public void setPress(String press) {
            this.press = press;
        }
    }
}
