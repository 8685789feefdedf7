package rosinedpeg.web.rack;

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
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.OtherTuning;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentEdit;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NeverUsed;
import rosinedpeg.web.instrument.Retired;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** Puts right what is on record of an instrument, takes one off the rack and brings it back. */
@Controller
class EditController {

    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final Benches benches;
    private final NeverUsed neverUsed;

    EditController(Instruments instruments, InstrumentNames instrumentNames, Benches benches, NeverUsed neverUsed) {
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.benches = benches;
        this.neverUsed = neverUsed;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/edit")
    String edit(@PathVariable UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        model.addAttribute("form", EditForm.of(instrument));
        return show(instrument, model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/edit")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") EditForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        InstrumentEdit before = InstrumentEdit.of(instrument);
        Optional<String> name = TypedInstrument.name(result, form.name());
        if (name.isPresent() && instrumentNames.taken(name.get(), id)) {
            result.rejectValue("name", "instrument.name.taken");
        }
        Optional<Size> size = Entry.size(form.size())
                .filter(chosen -> chosen.family() == before.size().family());
        if (size.isEmpty()) {
            result.rejectValue("size", "instrument.size.missing");
        }
        Optional<ReferenceA> referenceA = TypedInstrument.referenceA(result, form.referenceA());
        List<Pitch> openStrings = TypedInstrument.tuning(result, form.tuning(), before.size());
        if (!result.hasFieldErrors("tuning")
                && openStrings.size() != before.openStrings().size()) {
            result.rejectValue(
                    "tuning",
                    "edit.tuning.count",
                    new Object[] {before.openStrings().size()},
                    null);
        }
        OptionalDouble hours = TypedInstrument.hoursPerWeek(result, form.hoursPerWeek());
        if (result.hasErrors()) {
            return show(instrument, model);
        }
        InstrumentEdit after = new InstrumentEdit(
                name.orElseThrow(),
                size.orElseThrow(),
                form.leftHanded(),
                referenceA.orElseThrow(),
                openStrings,
                hours.orElseThrow(),
                form.demand());
        if (!after.sameSetUp(before) && benches.openFor(id).isPresent()) {
            result.reject("edit.onBench");
            return show(instrument, model);
        }
        try {
            if (!Change.made(() -> instruments.edit(id, form.version(), after), result)) {
                return show(instrument, model);
            }
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.INSTRUMENT_NAME.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.rejectValue("name", "instrument.name.taken");
            return show(instrument, model);
        }
        redirect.addFlashAttribute("notice", "edit.done");
        return "redirect:/instruments/" + id;
    }

    /** Takes it off the rack; what is on the bench has to be put together first. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/retire")
    String retire(@PathVariable UUID id, RedirectAttributes redirect) {
        if (benches.openFor(id).isPresent()) {
            redirect.addFlashAttribute("notice", "retire.onBench");
        } else {
            instruments.retire(id);
            redirect.addFlashAttribute("notice", "retire.done");
        }
        return "redirect:/instruments/" + id;
    }

    /** Removes what was entered and never used; of anything else the record stays. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/remove")
    String remove(@PathVariable UUID id, RedirectAttributes redirect) {
        if (neverUsed.remove(id)) {
            redirect.addFlashAttribute("notice", "remove.done");
            return "redirect:/";
        }
        redirect.addFlashAttribute("notice", "remove.used");
        return "redirect:/instruments/" + id + "/edit";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/bring-back")
    String bringBack(@PathVariable UUID id, RedirectAttributes redirect) {
        instruments.bringBack(id);
        redirect.addFlashAttribute("notice", "retire.back");
        return "redirect:/instruments/" + id;
    }

    /**
     * The instruments that have left the rack.
     *
     * @param from how many have been shown already
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/retired")
    String retired(@RequestParam(defaultValue = "0") int from, Model model) {
        Page.lay(new RetiredPage(instruments.retired(from)), model);
        return "rack/retired";
    }

    private String show(Instrument instrument, Model model) {
        Page.lay(
                new EditPage(
                        instrument,
                        Size.of(instrument.setUp().family()),
                        Demand.values(),
                        neverUsed.is(instrument.id())),
                model);
        return "rack/edit";
    }

    /**
     * What is on record of an instrument, as typed.
     *
     * @param name what it is called
     * @param size its family and size
     * @param leftHanded whether it is strung the other way round
     * @param referenceA its A
     * @param tuning its open strings, from I down
     * @param hoursPerWeek how much it is played
     * @param demand how fresh its strings have to be
     * @param version how often it had been changed when the page was made
     */
    record EditForm(
            String name,
            String size,
            Boolean leftHanded,
            String referenceA,
            String tuning,
            String hoursPerWeek,
            Demand demand,
            Integer version) {

        /** What is not sent is as on an empty form. */
        EditForm {
            name = name == null ? "" : name;
            size = size == null ? "" : size;
            leftHanded = Boolean.TRUE.equals(leftHanded);
            referenceA = referenceA == null ? "" : referenceA;
            tuning = tuning == null ? "" : tuning;
            hoursPerWeek = hoursPerWeek == null ? "" : hoursPerWeek;
            demand = demand == null ? Demand.STUDY : demand;
            version = version == null ? -1 : version;
        }

        static EditForm of(Instrument instrument) {
            SetUp setUp = instrument.setUp();
            return new EditForm(
                    instrument.name(),
                    setUp.size().family() + " " + setUp.size().code(),
                    setUp.leftHanded(),
                    Say.number(setUp.referenceA().hertz(), 1),
                    RackWords.spelt(setUp.openStrings()),
                    Say.number(instrument.hoursPerWeek(), 1),
                    instrument.demand(),
                    instrument.version());
        }
    }

    /**
     * The page on which what is on record is put right.
     *
     * @param instrument as it is on record
     * @param sizes those of its family
     * @param demands how fresh its strings can have to be
     * @param neverUsed whether nothing was ever done with it
     */
    record EditPage(Instrument instrument, List<Size> sizes, Demand[] demands, boolean neverUsed) {

        /** {@return what is ordinary beside the usual tuning, for so many strings as it has} */
        public List<OtherTuning> tunings() {
            SetUp setUp = instrument.setUp();
            return OtherTuning.of(setUp.family(), setUp.positions().size());
        }
    }

    /**
     * The instruments that have left the rack.
     *
     * @param part those that fit on the page, the last first
     */
    record RetiredPage(ListPage<Retired> part) {}
}
