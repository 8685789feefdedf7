package rosinedpeg.web.pegs;

import static java.util.Objects.requireNonNull;

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
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
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
import rosinedpeg.web.platform.Page;
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
    @Transactional(readOnly = true)
    String cards(@PathVariable UUID id, Model model) {
        return show(id, null, Optional.empty(), model);
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
        Optional<LocalDate> day = Entry.date(result, "on", form.on(), EARLIEST, today());
        Optional<String> text =
                form.text().isBlank() ? Optional.empty() : Entry.text(result, "text", form.text(), LONGEST_TEXT);
        OptionalDouble collarMm = form.collar().isBlank() || !setUp.has(collar)
                ? OptionalDouble.empty()
                : Entry.number(result, "collar", form.collar(), setUp.rangeOf(collar));
        if (form.treatment() != null && !form.treatment().suits(form.signs())) {
            result.rejectValue("treatment", "peg.treatment.slips");
        }
        if (form.treatment() != null && !PegTreatment.of(setUp.pegKind()).contains(form.treatment())) {
            result.rejectValue("treatment", "peg.treatment.others");
        }
        if (!setUp.positions().contains(position)) {
            throw new NotFoundException("peg " + position + " of " + id);
        }
        if (result.hasErrors()) {
            return show(id, position, Optional.of(form), model);
        }
        Constraint.PEG_LOOK_ONCE.once(() -> pegLooks.record(
                id,
                new PegLook(
                        position,
                        Optional.of(setUp.pegKind()),
                        form.signs(),
                        Optional.ofNullable(form.treatment()),
                        text.orElse(null),
                        day.orElseThrow(),
                        CurrentWorkshop.person()),
                collarMm.isPresent() ? Map.of(collar, collarMm.getAsDouble()) : Map.of(),
                Entry.press(form.press())));
        redirect.addFlashAttribute("notice", "peg.looked");
        return "redirect:/instruments/" + id + "/pegs#peg-" + position;
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/peg-wood")
    String wood(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(required = false) @Nullable PegWood wood,
            RedirectAttributes redirect) {
        Change.make(
                () -> instruments.setPegWood(id, version, wood),
                "pegs.wood.recorded",
                words.say("pegs.wood." + (wood == null ? "unknown" : wood)),
                redirect);
        return "redirect:/instruments/" + id + "/pegs";
    }

    private String show(UUID id, @Nullable Position typedAt, Optional<LookForm> typed, Model model) {
        Instrument instrument = instruments.get(id);
        PegKind pegs = instrument.setUp().pegKind();
        List<PegLook> looks = pegLooks.of(id);
        Map<Position, Set<PegSign>> signsNow = pegLooks.signs(id, pegs);
        Optional<PegWood> wood = instrument.fittings().pegWood();
        List<Card> cards = new ArrayList<>();
        for (Position position : instrument.setUp().positions()) {
            Map<Boolean, List<PegLook>> areNow = looks.stream()
                    .filter(look -> look.position() == position)
                    .collect(Collectors.partitioningBy(look -> look.isOf(pegs)));
            List<PegLook> ofPeg = requireNonNull(areNow.get(true));
            Set<PegSign> signs = signsNow.getOrDefault(position, Set.of());
            List<CollarTrend.Collar> collars = instrument.collars().getOrDefault(position, List.of());
            CollarTrend trend = new CollarTrend(collars, wood);
            cards.add(new Card(
                    position,
                    pegs,
                    ofPeg.isEmpty() ? List.of() : PegDiagnosis.of(signs, pegs, wood),
                    signs,
                    ofPeg,
                    requireNonNull(areNow.get(false)),
                    collars,
                    trend.pace().orElse(null),
                    trend.holeOpensMmPerYear().orElse(null),
                    trend.runsOutOn().orElse(null),
                    CollarChart.of(collars, trend, today())));
        }
        Map<Position, LookForm> forms = new EnumMap<>(Position.class);
        for (Card card : cards) {
            forms.put(
                    card.position(),
                    typed.filter(form -> card.position() == typedAt)
                            .orElse(new LookForm(
                                    card.signs(),
                                    null,
                                    "",
                                    "",
                                    today().toString(),
                                    UUID.randomUUID().toString())));
        }
        Page.lay(new PegPage(instrument, cards, forms, Optional.ofNullable(typedAt)), model);
        if (typed.isEmpty()) {
            model.addAttribute("form", forms.values().iterator().next());
        }
        return "pegs/pegs";
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /**
     * What is known of one peg.
     *
     * @param position whose
     * @param pegs what its string is wound on
     * @param diagnoses what the last look means, the worst first; nothing when nobody has looked
     * @param signs what was noticed at the last look
     * @param looks every look, the latest first
     * @param before the looks at what its string was wound on before
     * @param collars every collar distance that was measured
     * @param pace how far it moves in within a year, learned or usual for its wood, if anything tells
     * @param holeOpensMmPerYear by how much its hole opens within a year, where that was seen
     * @param runsOutOn the day its collar comes to the wall, if it does
     * @param chart the collar's distance over time, from two days on
     */
    record Card(
            Position position,
            PegKind pegs,
            List<PegDiagnosis> diagnoses,
            Set<PegSign> signs,
            List<PegLook> looks,
            List<PegLook> before,
            List<CollarTrend.Collar> collars,
            @Nullable Figure pace,
            @Nullable Double holeOpensMmPerYear,
            @Nullable LocalDate runsOutOn,
            @Nullable CollarChart chart) {

        /** {@return the key of what is to be done about it} */
        public String cure(PegDiagnosis diagnosis) {
            boolean turns = diagnosis == PegDiagnosis.SLIPPING || diagnosis == PegDiagnosis.STICKING;
            return "diagnosis." + diagnosis + (turns && !pegs.holdsByFriction() ? ".gears" : ".do");
        }
    }

    /**
     * What is typed on a card.
     *
     * @param signs what was noticed
     * @param treatment what was done
     * @param collar the collar to the wall, as typed
     * @param text what else there is to say
     * @param on the day, as typed
     * @param press the press of the button
     */
    record LookForm(
            Set<PegSign> signs, @Nullable PegTreatment treatment, String collar, String text, String on, String press) {

        /** What is not sent is as on an empty form. */
        LookForm {
            signs = signs == null ? EnumSet.noneOf(PegSign.class) : signs;
            collar = collar == null ? "" : collar;
            text = text == null ? "" : text;
            on = on == null ? "" : on;
            press = press == null ? "" : press;
        }
    }

    /**
     * A card for each peg.
     *
     * @param instrument the instrument
     * @param cards what is known of each
     * @param forms what is typed on each
     * @param typedAt the one whose form was sent and has to be mended
     */
    record PegPage(Instrument instrument, List<Card> cards, Map<Position, LookForm> forms, Optional<Position> typedAt) {

        /** {@return what can be noticed of a peg} */
        public Set<PegSign> signs() {
            return PegSign.of(instrument.setUp().pegKind());
        }

        /** {@return what can be done to it} */
        public List<PegTreatment> treatments() {
            return PegTreatment.of(instrument.setUp().pegKind());
        }

        /** {@return what it can be made of} */
        public PegWood[] woods() {
            return PegWood.values();
        }

        /** {@return whether the pegs are of wood} */
        public boolean wooden() {
            return instrument.setUp().pegKind().holdsByFriction();
        }
    }
}
