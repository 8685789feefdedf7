package rosinedpeg.web.rack;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Puts more instruments like one on the rack: the eight quarter violins that came in one box. */
@Controller
class CopyController {

    /** More than a school orders at once, and few enough that one sees what one has done. */
    private static final int MOST = 40;

    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final StrungSince strungSince;

    CopyController(Instruments instruments, InstrumentNames instrumentNames, StrungSince strungSince) {
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.strungSince = strungSince;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/copy")
    String ask(@PathVariable UUID id, @ModelAttribute("form") CopyForm form, BindingResult result, Model model) {
        return show(instruments.get(id), model);
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/copy")
    String copy(
            @PathVariable UUID id,
            @ModelAttribute("form") CopyForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        OptionalInt count = Entry.count(result, "count", form.count(), 1, MOST);
        Optional<Instant> since = strungSince.read(result, "since", form.since());
        if (result.hasErrors()) {
            return show(instrument, model);
        }
        List<String> names = names(instrument, count.orElseThrow());
        if (!names.get(0).equals(form.next())) {
            // The first press has taken the names that this one was shown: it is not done twice.
            result.reject("copy.meanwhile");
            return show(instrument, model);
        }
        try {
            instruments.copy(id, names, since);
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.INSTRUMENT_NAME.isViolatedBy(complaint)) {
                throw complaint;
            }
            result.reject("copy.meanwhile");
            return show(instrument, model);
        }
        redirect.addFlashAttribute("notice", names.size() == 1 ? "copy.done.one" : "copy.done");
        redirect.addFlashAttribute(
                "noticeOf", names.get(0) + (names.size() == 1 ? "" : " – " + names.get(names.size() - 1)));
        return "redirect:/";
    }

    private List<String> names(Instrument instrument, int count) {
        return NextNames.after(instrument.name(), count, TypedInstrument.LONGEST_NAME, instrumentNames::taken);
    }

    private String show(Instrument instrument, Model model) {
        Page.lay(new CopyPage(instrument, MOST, names(instrument, 2)), model);
        return "rack/copy";
    }

    /**
     * How many more there are, as typed.
     *
     * @param count how many
     * @param since the day their strings went on; empty when nobody knows
     * @param next what the first of them was to be called when the page was made
     */
    record CopyForm(String count, String since, String next) {

        /** What is not sent is as on an empty form. */
        CopyForm {
            count = count == null ? "1" : count;
            since = since == null ? "" : since;
            next = next == null ? "" : next;
        }
    }

    /**
     * The page on which an instrument is copied.
     *
     * @param instrument the one that is there
     * @param most how many can be added at once
     * @param names what the first two would be called
     */
    record CopyPage(Instrument instrument, int most, List<String> names) {}
}
