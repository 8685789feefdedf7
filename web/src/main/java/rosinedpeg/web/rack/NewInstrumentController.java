package rosinedpeg.web.rack;

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
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.MapBindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.drawing.InstrumentDrawing;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.Htmx;
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

    private final Instruments instruments;
    private final StrungSince strungSince;

    NewInstrumentController(Instruments instruments, StrungSince strungSince) {
        this.instruments = instruments;
        this.strungSince = strungSince;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/new")
    String blank(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        showNew(form, model);
        return Htmx.asks(request) ? "rack/new :: drawn" : "rack/new";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/new")
    String add(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
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
        if (ofSet.isEmpty() && !List.of(UNKNOWN, LATER).contains(form.strung())) {
            result.rejectValue("strung", "new.strung.missing");
        }
        if (name.isPresent() && instruments.nameTaken(name.get())) {
            result.rejectValue("name", "instrument.name.taken");
        }
        if (result.hasErrors()) {
            return showNew(form, model);
        }
        NewInstrument wanted = new NewInstrument(
                name.orElseThrow(),
                size.orElseThrow(),
                form.leftHanded(),
                referenceA.orElseThrow(),
                openStrings,
                tailEnds(form.firstTuner(), openStrings.size()),
                pegs(form, size.orElseThrow()),
                hours.orElseThrow(),
                form.demand());
        UUID id;
        try {
            id = form.strung().equals(LATER)
                    ? instruments.add(wanted)
                    : instruments.addStrung(wanted, ofSet, ofSet.isPresent() ? since : Optional.empty());
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.INSTRUMENT_NAME.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("name", "instrument.name.taken");
            return showNew(form, model);
        }
        redirect.addFlashAttribute(
                "notice", form.strung().equals(LATER) ? "instrument.added" : "instrument.added.strung");
        return "redirect:/instruments/" + id;
    }

    private static PegKind pegs(InstrumentForm form, Size size) {
        return form.pegs() == null ? size.family().usualPegs() : form.pegs();
    }

    private static List<TailEnd> tailEnds(TailEnd first, int strings) {
        List<TailEnd> tailEnds = new ArrayList<>(Collections.nCopies(strings, TailEnd.SLOT));
        tailEnds.set(0, first);
        return tailEnds;
    }

    /** The page, with the instrument drawn as far as it is chosen. */
    private static String showNew(InstrumentForm form, Model model) {
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
                pegs(form, size));
        Map<Position, Double> diametersMm = new EnumMap<>(Position.class);
        setUp.positions()
                .forEach(position -> diametersMm.put(
                        position, UsualString.of(setUp, position).diameterMm()));
        Page.lay(
                new NewPage(
                        sizes,
                        PegKind.values(),
                        Demand.values(),
                        TailEnd.values(),
                        UsualString.cores(size),
                        setUp,
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
     * @param firstTuner what I hangs on
     * @param strung what is on it: UNKNOWN, LATER, or the core of its set
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
            PegKind pegs,
            TailEnd firstTuner,
            String strung,
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
            firstTuner = firstTuner == null ? TailEnd.FORK_TUNER : firstTuner;
            strung = strung == null ? UNKNOWN : strung;
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
     * @param demands how fresh they can have to be
     * @param tailEnds what I can hang on
     * @param cores what sets for it are made of
     * @param setUp what is chosen so far
     * @param drawing that, drawn
     */
    record NewPage(
            List<Size> sizes,
            PegKind[] pegKinds,
            Demand[] demands,
            TailEnd[] tailEnds,
            List<StringCore> cores,
            SetUp setUp,
            InstrumentDrawing drawing) {}
}
