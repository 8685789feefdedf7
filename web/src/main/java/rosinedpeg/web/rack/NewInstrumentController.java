package rosinedpeg.web.rack;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
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
        NewInstrument wanted = new NewInstrument(
                name.orElseThrow(),
                chosen,
                form.isLeftHanded(),
                new ReferenceA(referenceA.orElseThrow()),
                openStrings,
                tailEnds(form.getFirstTuner(), openStrings.size()),
                form.getPegs() == null ? chosen.family().usualPegs() : form.getPegs(),
                hours.orElseThrow(),
                form.getDemand());
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
        return "rack/new";
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
