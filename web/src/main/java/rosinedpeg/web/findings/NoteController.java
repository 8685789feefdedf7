package rosinedpeg.web.findings;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/**
 * Puts right or takes away what somebody wrote of an instrument. Players do so with their own notes, but for those that wait for a
 * repairer.
 */
@Controller
class NoteController {

    private final Notes notes;
    private final Instruments instruments;

    NoteController(Notes notes, Instruments instruments) {
        this.notes = notes;
        this.instruments = instruments;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/notes/{note}")
    String show(
            @PathVariable UUID id, @PathVariable UUID note, @AuthenticationPrincipal SignedIn account, Model model) {
        Notes.Written written = theirs(id, note, account);
        model.addAttribute("form", new WrittenForm(written.text(), written.refer(), written.version()));
        return show(id, written, model);
    }

    private String show(UUID id, Notes.Written written, Model model) {
        Page.lay(new NotePage(instruments.get(id), written), model);
        return "findings/note";
    }

    private Notes.Written theirs(UUID id, UUID note, SignedIn account) {
        Notes.Written written = notes.written(id, note);
        boolean own = written.by().equals(account.personId()) && !written.refer();
        if (account.role() == Role.PLAYER && !own) {
            throw new AccessDeniedException("a note of somebody else");
        }
        return written;
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/notes/{note}")
    String putRight(
            @PathVariable UUID id,
            @PathVariable UUID note,
            @ModelAttribute("form") WrittenForm form,
            BindingResult result,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect) {
        Notes.Written written = theirs(id, note, account);
        Optional<String> text = Entry.text(result, "text", form.text(), Notes.LONGEST);
        if (text.isEmpty()) {
            return show(id, written, model);
        }
        boolean refer = Boolean.TRUE.equals(form.refer());
        if (!Change.made(() -> notes.putRight(id, note, form.version(), text.get(), refer), result)) {
            return show(id, written, model);
        }
        redirect.addFlashAttribute("notice", "note.putRight");
        return "redirect:/instruments/" + id;
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/notes/{note}/remove")
    String remove(
            @PathVariable UUID id,
            @PathVariable UUID note,
            @RequestParam int version,
            @AuthenticationPrincipal SignedIn account,
            RedirectAttributes redirect) {
        theirs(id, note, account);
        try {
            notes.remove(id, note, version);
        } catch (OptimisticLockingFailureException meanwhile) {
            redirect.addFlashAttribute("notice", "note.meanwhile");
            return "redirect:/instruments/" + id + "/notes/" + note;
        }
        redirect.addFlashAttribute("notice", "note.removed");
        return "redirect:/instruments/" + id;
    }

    /**
     * A note, as typed.
     *
     * @param text what it says
     * @param refer whether it is work for a repairer
     * @param version how often it had been changed when the page was made
     */
    record WrittenForm(String text, @Nullable Boolean refer, Integer version) {

        /** What is not sent is as on an empty form. */
        WrittenForm {
            text = Entry.orEmpty(text);
            version = version == null ? -1 : version;
        }
    }

    /**
     * One note.
     *
     * @param instrument of what
     * @param written as it is on record
     */
    record NotePage(Instrument instrument, Notes.Written written) {}
}
