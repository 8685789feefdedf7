package rosinedpeg.web.measure;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.setup.Area;
import rosinedpeg.core.setup.Contradiction;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.drawing.MeasureDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Measured;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Lengths;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Measures an instrument in one sitting, a sheet for each area. Nothing on a sheet is compulsory. */
@Controller
class MeasureController {

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);

    private final Instruments instruments;
    private final Words words;
    private final Say say;
    private final Clock clock;

    MeasureController(Instruments instruments, Words words, Say say, Clock clock) {
        this.instruments = instruments;
        this.words = words;
        this.say = say;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/measure")
    String begin(@PathVariable UUID id) {
        return "redirect:/instruments/" + instruments.get(id).id() + "/measure/" + Area.BODY;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/measure/{area}")
    String sheet(
            @PathVariable UUID id,
            @PathVariable Area area,
            @RequestParam(required = false) Lengths lengths,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (lengths != null) {
            lengths.keep(request, response);
            model.addAttribute("lengths", lengths);
        }
        model.addAttribute("form", new SheetForm(Map.of(), today().toString(), "", false));
        return show(instruments.get(id), area, 0, model);
    }

    /** Records every field that can be taken; the others come back as they were typed. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/measure/{area}")
    String record(
            @PathVariable UUID id,
            @PathVariable Area area,
            @ModelAttribute("form") SheetForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect,
            HttpServletRequest request) {
        Instrument instrument = instruments.get(id);
        Optional<LocalDate> day = Entry.date(result, "on", form.on(), EARLIEST, today());
        Map<Measurable, Double> values = values(instrument.setUp(), area, form, result, Lengths.chosen(request));
        tellContradictions(instrument.setUp(), values, result, Lengths.chosen(request));
        if (day.isPresent() && !values.isEmpty()) {
            Constraint.MEASUREMENT_ONCE.once(
                    () -> instruments.measure(id, values, day.get(), Entry.press(form.press())));
            values.keySet().forEach(measurable -> form.values().remove(measurable.code()));
        }
        if (!result.hasErrors()) {
            redirect.addFlashAttribute("notice", values.isEmpty() ? "measure.nothing" : "measure.recorded");
            return "redirect:/instruments/" + id + "/measure/" + form.next(area);
        }
        return show(instruments.get(id), area, day.isPresent() ? values.size() : 0, model);
    }

    private static Map<Measurable, Double> values(
            SetUp setUp, Area area, SheetForm form, BindingResult result, Lengths lengths) {
        Map<Measurable, Double> values = new LinkedHashMap<>();
        for (Measurable measurable : ofArea(setUp, area)) {
            String typed = form.values().getOrDefault(measurable.code(), "");
            if (!typed.isBlank()) {
                OptionalDouble value =
                        Entry.measurement(result, field(measurable), typed, setUp.rangeOf(measurable), lengths);
                value.ifPresent(number -> values.put(measurable, number));
            }
        }
        return values;
    }

    /** What cannot be true together is told at its fields, and left out of what is recorded. */
    private void tellContradictions(
            SetUp setUp, Map<Measurable, Double> values, BindingResult result, Lengths lengths) {
        List<Contradiction> found = Contradiction.of(setUp.measured(values)).stream()
                .filter(contradiction ->
                        values.containsKey(contradiction.one()) || values.containsKey(contradiction.other()))
                .toList();
        for (Contradiction contradiction : found) {
            String one = name(contradiction.one());
            String other = name(contradiction.other());
            String limit = say.lengthIn(contradiction.limitMm(), 1, lengths);
            for (Measurable measurable : List.of(contradiction.one(), contradiction.other())) {
                if (values.containsKey(measurable)) {
                    result.rejectValue(
                            field(measurable),
                            "contradiction." + contradiction.kind(),
                            new Object[] {one, other, limit},
                            null);
                }
            }
        }
        found.forEach(contradiction -> {
            values.remove(contradiction.one());
            values.remove(contradiction.other());
        });
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/guard")
    String guard(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam(defaultValue = "false") boolean parchment,
            @RequestParam(defaultValue = "false") boolean tube,
            RedirectAttributes redirect) {
        String chosen = words.list(
                Stream.of(parchment ? words.say("measure.parchment") : "", tube ? words.say("measure.tube") : "")
                        .filter(guard -> !guard.isEmpty())
                        .toList());
        return change(
                id,
                Area.BRIDGE,
                () -> instruments.guard(id, version, parchment, tube),
                chosen.isEmpty() ? words.say("measure.guard.none") : chosen,
                redirect);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/tail-ends")
    String hang(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam List<TailEnd> tailEnds,
            @RequestParam(defaultValue = "false") boolean tunersBuiltIn,
            RedirectAttributes redirect) {
        if (tailEnds.size() != instruments.get(id).setUp().positions().size()) {
            return "redirect:/instruments/" + id + "/measure/" + Area.TAILPIECE;
        }
        return change(
                id,
                Area.TAILPIECE,
                () -> instruments.hang(id, version, tailEnds, tunersBuiltIn),
                each(tailEnds, "tailEnd.") + (tunersBuiltIn ? ", " + words.say("measure.builtIn") : ""),
                redirect);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/peg-sides")
    String peg(
            @PathVariable UUID id,
            @RequestParam int version,
            @RequestParam PegKind pegKind,
            @RequestParam List<Side> knobs,
            RedirectAttributes redirect) {
        if (knobs.size() != instruments.get(id).setUp().positions().size()) {
            return "redirect:/instruments/" + id + "/measure/" + Area.PEGBOX;
        }
        return change(
                id,
                Area.PEGBOX,
                () -> instruments.peg(id, version, pegKind, knobs),
                words.say("pegKind." + pegKind) + ", " + each(knobs, "measure.side."),
                redirect);
    }

    /** What was chosen for each string, in words, I first. */
    private String each(List<? extends Enum<?>> chosen, String key) {
        return IntStream.range(0, chosen.size())
                .mapToObj(i -> Position.ofNumber(i + 1) + " " + words.say(key + chosen.get(i)))
                .collect(Collectors.joining(", "));
    }

    /** Changes something, unless somebody else has changed the instrument since the page was made. */
    private static String change(UUID id, Area area, Runnable change, String chosen, RedirectAttributes redirect) {
        Change.make(change, "measure.changed", chosen, redirect);
        return "redirect:/instruments/" + id + "/measure/" + area;
    }

    private String show(Instrument instrument, Area area, int recorded, Model model) {
        SetUp setUp = instrument.setUp();
        Map<Measurable, List<Measured>> history = instruments.history(instrument.id());
        List<Line> lines = ofArea(setUp, area).stream()
                .map(measurable -> new Line(
                        measurable,
                        name(measurable),
                        MeasureDrawing.of(setUp, measurable),
                        history.getOrDefault(measurable, List.of())))
                .toList();
        Page.lay(new SheetPage(instrument, area, MeasuredArea.of(setUp), lines, recorded, UUID.randomUUID()), model);
        return "measure/measure";
    }

    private static List<Measurable> ofArea(SetUp setUp, Area area) {
        return setUp.figures().keySet().stream()
                .filter(measurable -> measurable.quantity().area() == area)
                .toList();
    }

    private String name(Measurable measurable) {
        return words.say(
                "quantity." + measurable.quantity(),
                measurable.string().map(Enum::name).orElse(""));
    }

    private static String field(Measurable measurable) {
        return "values[" + measurable.code() + "]";
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /**
     * One field of a sheet.
     *
     * @param measurable what is measured
     * @param name what it is called
     * @param drawing from where to where
     * @param history its measurements, the latest first
     */
    record Line(Measurable measurable, String name, View drawing, List<Measured> history) {

        /** {@return the field's name in the form} */
        public String field() {
            return MeasureController.field(measurable);
        }

        /** {@return the measurement that counts, if anybody has measured} */
        public @Nullable Measured latest() {
            return history.isEmpty() ? null : history.get(0);
        }

        /** {@return those before it} */
        public List<Measured> earlier() {
            return history.isEmpty() ? List.of() : history.subList(1, history.size());
        }
    }

    /**
     * What is typed on a sheet.
     *
     * @param values what was typed in each field, by its code
     * @param on the day, as typed
     * @param press the press of the button
     * @param onwards whether to go on with the next sheet
     */
    record SheetForm(Map<String, String> values, String on, String press, Boolean onwards) {

        /** What is not sent is as on an empty form. */
        SheetForm {
            values = values == null ? new LinkedHashMap<>() : values;
            on = on == null ? "" : on;
            press = press == null ? "" : press;
            onwards = Boolean.TRUE.equals(onwards);
        }

        /** The sheet to go on with: the next one, or the same again. */
        Area next(Area area) {
            List<Area> areas = new ArrayList<>(Arrays.asList(Area.values()));
            int next = areas.indexOf(area) + 1;
            return onwards && next < areas.size() ? areas.get(next) : area;
        }
    }

    /**
     * A sheet to measure by.
     *
     * @param instrument the instrument
     * @param area what is measured
     * @param areas every other sheet
     * @param lines the fields of this one
     * @param recorded how many fields of those that were sent have been taken
     * @param press the press of the button
     */
    record SheetPage(
            Instrument instrument, Area area, List<MeasuredArea> areas, List<Line> lines, int recorded, UUID press) {

        /** {@return whether parchment and tube are asked for: where I may need one, or one was told} */
        public boolean guarded() {
            return area == Area.BRIDGE
                    && (Guard.mayBeNeeded(instrument.setUp().family(), Position.I)
                            || instrument.fittings().parchment()
                            || instrument.fittings().tube());
        }

        /** {@return what lengths can be typed in} */
        public Lengths[] units() {
            return Lengths.values();
        }

        /** {@return what a string can hang on} */
        public TailEnd[] tailEnds() {
            return TailEnd.values();
        }

        /** {@return what a string can be wound on} */
        public PegKind[] pegKinds() {
            return PegKind.values();
        }

        /** {@return where a knob can be} */
        public Side[] sides() {
            return Side.values();
        }
    }
}
