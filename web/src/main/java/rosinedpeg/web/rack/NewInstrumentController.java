package rosinedpeg.web.rack;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NewInstrument;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Puts a new instrument on the rack. */
@Controller
class NewInstrumentController {

    private static final Range HOURS_PER_WEEK = new Range(0, 60, Unit.HOUR_PER_WEEK);

    private final Instruments instruments;

    NewInstrumentController(Instruments instruments) {
        this.instruments = instruments;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/new")
    String blank(@ModelAttribute("form") InstrumentForm form, Model model) {
        return showNew(model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/new")
    String add(
            @ModelAttribute("form") InstrumentForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Optional<String> name = Entry.text(result, "name", form.name(), 60);
        OptionalDouble hours = Entry.number(result, "hoursPerWeek", form.hoursPerWeek(), HOURS_PER_WEEK);
        OptionalDouble referenceA = Entry.number(result, "referenceA", form.referenceA(), ReferenceA.RANGE);
        String[] size = form.size().split(" ", 2);
        @Nullable Size chosen = null;
        try {
            chosen = Size.of(Family.valueOf(size[0]), size.length > 1 ? size[1] : "");
        } catch (IllegalArgumentException noSuchSize) {
            result.rejectValue("size", "instrument.size.missing");
        }
        List<Pitch> openStrings = tuning(result, form.tuning(), chosen);
        if (name.isPresent() && instruments.nameTaken(name.get())) {
            result.rejectValue("name", "instrument.name.taken");
        }
        if (chosen == null || result.hasErrors()) {
            return showNew(model);
        }
        NewInstrument wanted = new NewInstrument(
                name.orElseThrow(),
                chosen,
                form.leftHanded(),
                new ReferenceA(referenceA.orElseThrow()),
                openStrings,
                tailEnds(form.firstTuner(), openStrings.size()),
                form.pegs() == null ? chosen.family().usualPegs() : form.pegs(),
                hours.orElseThrow(),
                form.demand());
        UUID id;
        try {
            id = instruments.add(wanted);
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.INSTRUMENT_NAME.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("name", "instrument.name.taken");
            return showNew(model);
        }
        redirect.addFlashAttribute("notice", "instrument.added");
        return "redirect:/instruments/" + id;
    }

    /** {@return the pitches that were typed, from I down; the family's own when nothing was} */
    private static List<Pitch> tuning(BindingResult result, String typed, @Nullable Size size) {
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
        Page.lay(new NewPage(sizes, PegKind.values(), Demand.values(), TailEnd.values()), model);
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
            String hoursPerWeek,
            Demand demand) {

        /** What is not sent is as on an empty form. */
        InstrumentForm {
            name = name == null ? "" : name;
            size = size == null ? "VIOLIN 4/4" : size;
            leftHanded = Boolean.TRUE.equals(leftHanded);
            referenceA = referenceA == null ? "440" : referenceA;
            tuning = tuning == null ? "" : tuning;
            firstTuner = firstTuner == null ? TailEnd.FORK_TUNER : firstTuner;
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
     */
    record NewPage(List<Size> sizes, PegKind[] pegKinds, Demand[] demands, TailEnd[] tailEnds) {}
}
