package rosinedpeg.web.rack;

import static java.util.Objects.requireNonNull;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.MapBindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.OtherTuning;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.Lengths;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** Puts a new instrument on the rack. */
@Controller
class NewInstrumentController {

    /** What is on it, as chosen: nobody knows, or it is said string by string; otherwise the core of its set. */
    private static final String UNKNOWN = "UNKNOWN";

    private static final String LATER = "LATER";

    /** A set somebody entered. */
    private static final String OWN = "OWN";

    private static final Measurable LENGTH = Measurable.of(Quantity.VIBRATING_LENGTH);

    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final StringKinds kinds;
    private final StrungSince strungSince;

    NewInstrumentController(
            Instruments instruments, InstrumentNames instrumentNames, StringKinds kinds, StrungSince strungSince) {
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.kinds = kinds;
        this.strungSince = strungSince;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/new")
    String blank(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        showNew(form, Lengths.chosen(request), model);
        return Htmx.asks(request) ? "rack/new :: drawn" : "rack/new";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/new")
    String add(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request,
            RedirectAttributes redirect) {
        Lengths lengths = Lengths.chosen(request);
        Optional<String> name = TypedInstrument.name(result, form.name());
        OptionalDouble hours = TypedInstrument.hoursPerWeek(result, form.hoursPerWeek());
        Optional<ReferenceA> referenceA = TypedInstrument.referenceA(result, form.referenceA());
        Optional<Size> size = Entry.size(form.size());
        if (size.isEmpty()) {
            result.rejectValue("size", "instrument.size.missing");
        }
        List<Pitch> openStrings = size.map(chosen -> TypedInstrument.tuning(result, form.tuning(), chosen))
                .orElse(List.of());
        Optional<Instant> since = strungSince.read(result, "since", form.since());
        Optional<StringCore> ofSet = size.flatMap(chosen -> UsualString.cores(chosen).stream()
                .filter(core -> core.name().equals(form.strung()))
                .findFirst());
        if (ofSet.isEmpty() && !List.of(UNKNOWN, LATER, OWN).contains(form.strung())) {
            result.rejectValue("strung", "new.strung.missing");
        }
        Map<Position, StringKind> own =
                form.strung().equals(OWN) ? own(result, form, size, openStrings.size()) : Map.of();
        Map<Measurable, Double> measured =
                size.map(chosen -> measured(result, form, chosen, lengths)).orElse(Map.of());
        if (name.isPresent() && instrumentNames.taken(name.get())) {
            result.rejectValue("name", "instrument.name.taken");
        }
        if (result.hasErrors()) {
            return showNew(form, lengths, model);
        }
        NewInstrument wanted = new NewInstrument(
                name.orElseThrow(),
                size.orElseThrow(),
                form.leftHanded(),
                referenceA.orElseThrow(),
                openStrings,
                tailEnds(form, size.orElseThrow(), openStrings.size()),
                form.tunersBuiltIn(),
                pegs(form, size.orElseThrow()),
                hours.orElseThrow(),
                form.demand());
        UUID id;
        try {
            id = instruments.add(wanted, measured, added -> {
                own.forEach((position, kind) ->
                        instruments.fit(added, position, kind.id(), since.orElse(null), Before.NOTHING, false));
                if (!form.strung().equals(LATER)) {
                    instruments.stringUsually(added, ofSet, ofSet.isPresent() ? since : Optional.empty());
                }
            });
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.INSTRUMENT_NAME.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("name", "instrument.name.taken");
            return showNew(form, lengths, model);
        }
        redirect.addFlashAttribute(
                "notice", form.strung().equals(LATER) ? "instrument.added" : "instrument.added.strung");
        return "redirect:/instruments/" + id;
    }

    /** The strings of the set that was chosen, where it has one for every place. */
    private Map<Position, StringKind> own(BindingResult result, InstrumentForm form, Optional<Size> size, int strings) {
        Map<Position, StringKind> set = form.ownSet() == null ? Map.of() : kinds.setOf(form.ownSet());
        if (set.isEmpty()) {
            result.rejectValue("ownSet", "new.strung.own.missing");
            return Map.of();
        }
        StringKind one = set.values().iterator().next();
        Map<Position, StringKind> chosen = new EnumMap<>(Position.class);
        for (int number = 1; number <= strings; number++) {
            Position position = Position.ofNumber(number);
            if (set.containsKey(position)) {
                chosen.put(position, requireNonNull(set.get(position)));
            } else {
                result.rejectValue("ownSet", "new.strung.own.short", new Object[] {position}, null);
            }
        }
        if (size.isPresent() && one.family() != size.get().family()) {
            result.rejectValue("ownSet", "new.strung.own.family");
        }
        return chosen;
    }

    /** The vibrating length, where it was measured. */
    private static Map<Measurable, Double> measured(
            BindingResult result, InstrumentForm form, Size size, Lengths lengths) {
        if (form.length().isBlank()) {
            return Map.of();
        }
        SetUp usual = new SetUp(size, false, ReferenceA.STANDARD, size.family().openStrings(), Map.of(), Map.of());
        OptionalDouble length = Entry.measurement(result, "length", form.length(), usual.rangeOf(LENGTH), lengths);
        return length.isPresent() ? Map.of(LENGTH, length.getAsDouble()) : Map.of();
    }

    private static PegKind pegs(InstrumentForm form, Size size) {
        return form.pegs() == null ? size.family().usualPegs() : form.pegs();
    }

    private static List<TailEnd> tailEnds(InstrumentForm form, Size size, int strings) {
        List<TailEnd> tailEnds = new ArrayList<>(Collections.nCopies(strings, form.otherTuners()));
        tailEnds.set(
                0,
                form.firstTuner() == null
                        ? size.family().usualTailEnds().getOrDefault(Position.I, TailEnd.SLOT)
                        : form.firstTuner());
        return tailEnds;
    }

    /** The page, with the instrument drawn as far as it is chosen. */
    private String showNew(InstrumentForm form, Lengths lengths, Model model) {
        List<Size> sizes = new ArrayList<>();
        for (Family family : Family.values()) {
            sizes.addAll(Size.of(family));
        }
        Size size = Entry.size(form.size()).orElse(sizes.get(0));
        List<Pitch> openStrings = TypedInstrument.tuning(new MapBindingResult(Map.of(), "form"), form.tuning(), size);
        SetUp setUp = new SetUp(
                        size,
                        form.leftHanded(),
                        ReferenceA.STANDARD,
                        openStrings.isEmpty() ? size.family().openStrings() : openStrings,
                        Map.of(),
                        Map.of(),
                        Map.of(),
                        pegs(form, size))
                .measured(measured(new MapBindingResult(Map.of(), "form"), form, size, lengths));
        Map<Position, Double> diametersMm = new EnumMap<>(Position.class);
        setUp.positions()
                .forEach(position -> diametersMm.put(
                        position, UsualString.of(setUp, position).diameterMm()));
        Page.lay(
                new NewPage(
                        sizes,
                        PegKind.values(),
                        OtherTuning.values(),
                        Demand.values(),
                        TailEnd.values(),
                        UsualString.cores(size),
                        kinds.sets(),
                        setUp,
                        setUp.figure(LENGTH),
                        InstrumentDrawing.of(setUp, diametersMm, Map.of(), Place.WHOLE, null)),
                model);
        return "rack/new";
    }

    /**
     * A new instrument.
     *
     * @param name what it is called, as typed
     * @param size its family and size
     * @param leftHanded whether it is strung the other way round
     * @param referenceA its A, as typed
     * @param tuning its open strings, as typed; empty for the usual ones
     * @param pegs what it is wound on, where it is not what is usual in its family
     * @param firstTuner what I hangs on, where it is not what is usual in its family
     * @param otherTuners what the other strings hang on
     * @param tunersBuiltIn whether fine tuners are part of the tailpiece
     * @param strung what is on it: UNKNOWN, LATER, or the core of its set
     * @param ownSet a string of the entered set that is on it
     * @param length its vibrating length, as typed; empty when it was not measured
     * @param since the day that set went on, as typed; empty when nobody knows
     * @param hoursPerWeek how much it is played, as typed
     * @param demand how fresh its strings have to be
     */
    record InstrumentForm(
            String name,
            String size,
            Boolean leftHanded,
            String referenceA,
            String tuning,
            @Nullable PegKind pegs,
            @Nullable TailEnd firstTuner,
            TailEnd otherTuners,
            Boolean tunersBuiltIn,
            String strung,
            @Nullable UUID ownSet,
            String length,
            String since,
            String hoursPerWeek,
            Demand demand) {

        /** What is not sent is as on an empty form. */
        InstrumentForm {
            name = name == null ? "" : name;
            size = size == null ? "VIOLIN 4/4" : size;
            leftHanded = Boolean.TRUE.equals(leftHanded);
            referenceA =
                    referenceA == null ? Say.number(CurrentWorkshop.referenceA().hertz(), 0) : referenceA;
            tuning = tuning == null ? "" : tuning;
            otherTuners = otherTuners == null ? TailEnd.SLOT : otherTuners;
            tunersBuiltIn = Boolean.TRUE.equals(tunersBuiltIn);
            strung = strung == null ? UNKNOWN : strung;
            length = length == null ? "" : length;
            since = since == null ? "" : since;
            hoursPerWeek = hoursPerWeek == null ? "5" : hoursPerWeek;
            demand = demand == null ? Demand.STUDY : demand;
        }
    }

    /**
     * A new instrument.
     *
     * @param sizes what there are
     * @param pegKinds what strings can be wound on
     * @param tunings what is ordinary beside the usual tunings
     * @param demands how fresh they can have to be
     * @param tailEnds what strings can hang on
     * @param cores what sets for it are made of
     * @param ownSets one string of each entered set
     * @param setUp what is chosen so far
     * @param length its vibrating length
     * @param drawing that, drawn
     */
    record NewPage(
            List<Size> sizes,
            PegKind[] pegKinds,
            OtherTuning[] tunings,
            Demand[] demands,
            TailEnd[] tailEnds,
            List<StringCore> cores,
            List<StringKind> ownSets,
            SetUp setUp,
            Figure length,
            InstrumentDrawing drawing) {}
}
