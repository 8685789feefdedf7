package rosinedpeg.web.settling;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.SentRecording;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;

/** Readings from a recording of somebody who tunes: it is heard, shown, and then taken. */
@Controller
class RecordingController {

    private final Settlings settlings;
    private final Instruments instruments;
    private final Recordings recordings;
    private final SentRecording sent;
    private final Say say;
    private final Clock clock;

    RecordingController(
            Settlings settlings,
            Instruments instruments,
            Recordings recordings,
            SentRecording sent,
            Say say,
            Clock clock) {
        this.settlings = settlings;
        this.instruments = instruments;
        this.recordings = recordings;
        this.sent = sent;
        this.say = say;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/settling/{fittedId}/recording")
    String ask(@PathVariable UUID fittedId, Model model) {
        model.addAttribute("form", new RecordingForm(Say.fieldTime(clock.instant(), CurrentWorkshop.zone())));
        return ask(settlings.get(fittedId), Optional.empty(), model);
    }

    private static String ask(SettlingString string, Optional<String> wrong, Model model) {
        Page.lay(new AskPage(string, wrong, SentRecording.LARGEST_MEGABYTES, SentRecording.LONGEST_MINUTES), model);
        return "settling/recording";
    }

    /** Hears a recording; what it tells waits to be shown. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/settling/{fittedId}/recording")
    String hear(
            @PathVariable UUID fittedId,
            @RequestParam(required = false) @Nullable MultipartFile file,
            @ModelAttribute("form") RecordingForm form,
            BindingResult result,
            Model model)
            throws IOException {
        SettlingString string = settlings.get(fittedId);
        Instant now = clock.instant();
        Optional<Instant> begunAt = Entry.moment(
                result,
                "begunAt",
                form.begunAt(),
                now.minus(Settlings.SETTLED_AFTER),
                now.plusSeconds(60),
                CurrentWorkshop.zone(),
                say);
        if (begunAt.isEmpty()) {
            return ask(string, Optional.empty(), model);
        }
        Awaited open = Awaited.open(instruments.get(string.instrument().id()).setUp());
        SentRecording.Heard heard = sent.hear(file, open);
        return heard.strings()
                .map(strings -> "redirect:/settling/" + fittedId + "/recording/"
                        + recordings.keep(string.instrument(), begunAt.get(), strings))
                .orElseGet(() -> ask(string, heard.wrong(), model));
    }

    /** Shows what a recording tells of each string. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/settling/{fittedId}/recording/{id}")
    String preview(@PathVariable UUID fittedId, @PathVariable UUID id, Model model, RedirectAttributes redirect) {
        SettlingString string = settlings.get(fittedId);
        Optional<Recordings.Preview> preview = recordings.preview(id);
        if (preview.isEmpty()) {
            redirect.addFlashAttribute("notice", "table.gone");
            return "redirect:/settling/" + fittedId;
        }
        Page.lay(new PreviewPage(string, id, preview.get()), model);
        return "settling/heard";
    }

    /** Takes the readings of the strings that were chosen. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/settling/{fittedId}/recording/{id}")
    String take(
            @PathVariable UUID fittedId,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable Set<Position> strings,
            RedirectAttributes redirect) {
        settlings.get(fittedId);
        Optional<Integer> taken = takeOnce(id, Entry.ticked(strings));
        redirect.addFlashAttribute("notice", taken.isPresent() ? "recording.taken" : "table.gone");
        taken.ifPresent(many -> redirect.addFlashAttribute("noticeOf", many));
        return "redirect:/settling/" + fittedId;
    }

    /** {@return how many readings were taken; empty where another press has taken them} */
    private Optional<Integer> takeOnce(UUID id, Set<Position> strings) {
        try {
            return recordings.take(id, strings);
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.SETTLING_READING_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            return Optional.empty();
        }
    }

    /**
     * A recording as it is described.
     *
     * @param begunAt when it began, as typed
     */
    record RecordingForm(String begunAt) {

        /** What is not sent is as on an empty form. */
        RecordingForm {
            begunAt = Entry.orEmpty(begunAt);
        }
    }

    /**
     * Asks for a recording.
     *
     * @param string the string from whose page it is sent
     * @param wrong what was wrong with the last one
     * @param largestMegabytes how large it may be
     * @param longestMinutes how long it may be
     */
    record AskPage(SettlingString string, Optional<String> wrong, int largestMegabytes, int longestMinutes) {}

    /**
     * What a recording would add.
     *
     * @param string the string from whose page it was sent
     * @param id where it waits
     * @param preview string by string
     */
    record PreviewPage(SettlingString string, UUID id, Recordings.Preview preview) {}
}
