package rosinedpeg.web.diary;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.OpenToStrangers;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.TextFile;
import rosinedpeg.web.platform.Words;

/** Calendars into the diary, and the diary out to calendar programs. */
@Controller
class CalendarController {

    private static final Pattern KIND_FIELD = Pattern.compile("kind-(\\d{1,4})");

    private final CalendarImport imports;
    private final DiaryFeeds feeds;
    private final DiaryCalendar calendar;
    private final Words words;

    CalendarController(CalendarImport imports, DiaryFeeds feeds, DiaryCalendar calendar, Words words) {
        this.imports = imports;
        this.feeds = feeds;
        this.calendar = calendar;
        this.words = words;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/diary/import")
    String ask(Model model) {
        return ask(model, Optional.empty(), "");
    }

    private static String ask(Model model, Optional<String> wrong, String pasted) {
        Page.lay(new AskPage(CalendarFile.LARGEST_BYTES / 1000, wrong, pasted), model);
        return "diary/import";
    }

    /** Reads a calendar, sent as a file or pasted, as far as it has to be read to be shown. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/diary/import")
    String keep(
            @RequestParam(required = false) @Nullable MultipartFile file,
            @RequestParam(defaultValue = "") String pasted,
            Model model)
            throws IOException {
        byte[] bytes = file != null && !file.isEmpty()
                ? file.getBytes()
                : pasted.strip().getBytes(UTF_8);
        if (bytes.length == 0) {
            return ask(model, Optional.of(words.say("diary.import.empty")), pasted);
        }
        if (bytes.length > CalendarFile.LARGEST_BYTES) {
            return ask(model, Optional.of(words.say("diary.import.large", CalendarFile.LARGEST_BYTES / 1000)), "");
        }
        Optional<String> text = TextFile.of(bytes);
        if (text.isEmpty()) {
            return ask(model, Optional.of(words.say("diary.import.noCalendar")), pasted);
        }
        CalendarFile.Read read = imports.read(text.get(), CurrentWorkshop.zone());
        if (read.refusal().isPresent()) {
            return ask(
                    model,
                    Optional.of(words.say(read.refusal().get(), read.told().toArray())),
                    pasted);
        }
        return "redirect:/diary/import/" + imports.keep(text.get());
    }

    /** Shows what stands in a calendar that waits. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/diary/import/{id}")
    String preview(@PathVariable UUID id, Model model, RedirectAttributes redirect) {
        Optional<List<CalendarImport.Row>> rows = imports.preview(id, CurrentWorkshop.zone());
        if (rows.isEmpty()) {
            redirect.addFlashAttribute("notice", "diary.import.gone");
            return "redirect:/diary";
        }
        Page.lay(
                new PreviewPage(
                        id,
                        rows.get(),
                        rows.get().stream().mapToInt(CalendarImport.Row::fresh).sum(),
                        CalendarFile.MOST_OF_ONE,
                        CalendarFile.LONGEST.toDays()),
                model);
        return "diary/preview";
    }

    /**
     * Takes in what was chosen.
     *
     * @param chosen for each entry, as kind-0, what it is to be
     */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/diary/import/{id}")
    String take(@PathVariable UUID id, @RequestParam Map<String, String> chosen, RedirectAttributes redirect) {
        Map<Integer, OccasionKind> kinds = new HashMap<>();
        for (Map.Entry<String, String> field : chosen.entrySet()) {
            Matcher named = KIND_FIELD.matcher(field.getKey());
            if (named.matches()) {
                kind(field.getValue()).ifPresent(kind -> kinds.put(Integer.valueOf(named.group(1)), kind));
            }
        }
        Optional<Integer> entered;
        try {
            entered = imports.take(id, kinds, CurrentWorkshop.zone());
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.OCCASION_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            // Somebody entered one of them in the same moment: what the calendar does now is shown anew.
            return "redirect:/diary/import/" + id;
        }
        redirect.addFlashAttribute("notice", entered.isEmpty() ? "diary.import.gone" : "diary.import.done");
        redirect.addFlashAttribute("noticeOf", entered.orElse(0));
        return "redirect:/diary";
    }

    private static Optional<OccasionKind> kind(String chosen) {
        return Arrays.stream(OccasionKind.values())
                .filter(kind -> kind.name().equals(chosen))
                .findFirst();
    }

    /** Shows the addresses at which one's calendar programs read the diary. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/diary/feeds")
    String feeds(Model model) {
        Page.lay(new FeedsPage(feeds.of(CurrentWorkshop.account().orElseThrow()), DiaryFeeds.MOST), model);
        return "diary/feeds";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/diary/feeds")
    String make(RedirectAttributes redirect) {
        Optional<String> secret = feeds.make(CurrentWorkshop.account().orElseThrow());
        secret.ifPresentOrElse(
                one -> redirect.addFlashAttribute(
                        "address",
                        ServletUriComponentsBuilder.fromCurrentContextPath()
                                .path("/feeds/" + one + ".ics")
                                .toUriString()),
                () -> {
                    redirect.addFlashAttribute("notice", "diary.feeds.many");
                    redirect.addFlashAttribute("noticeOf", DiaryFeeds.MOST);
                });
        return "redirect:/diary/feeds";
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/diary/feeds/{id}/end")
    String end(@PathVariable UUID id, RedirectAttributes redirect) {
        feeds.end(CurrentWorkshop.account().orElseThrow(), id);
        redirect.addFlashAttribute("notice", "diary.feeds.ended");
        return "redirect:/diary/feeds";
    }

    /** The diary as a calendar program reads it: whoever has the address is let in, and to nothing else. */
    @OpenToStrangers
    @GetMapping("/feeds/{secret}.ics")
    ResponseEntity<String> feed(@PathVariable String secret) {
        DiaryFeeds.Owner owner = feeds.open(secret).orElseThrow(() -> new NotFoundException("a feed with that secret"));
        String written =
                CurrentWorkshop.in(owner.workshopId(), owner.personId(), owner.zone(), () -> calendar.of(owner));
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", UTF_8))
                .cacheControl(CacheControl.noStore())
                .body(written);
    }

    /**
     * The page that asks for a calendar.
     *
     * @param largestKilobytes how large it may be
     * @param wrong what was wrong with the one that was sent
     * @param pasted what was pasted
     */
    record AskPage(int largestKilobytes, Optional<String> wrong, String pasted) {}

    /**
     * What stands in a calendar.
     *
     * @param id where it waits
     * @param rows entry by entry
     * @param fresh how many dates there are that the workshop does not have yet
     * @param mostOfOne how often one entry may be repeated
     * @param longestDays how long one may last
     */
    record PreviewPage(UUID id, List<CalendarImport.Row> rows, int fresh, int mostOfOne, long longestDays) {}

    /**
     * One's addresses.
     *
     * @param feeds them
     * @param most how many one may have
     */
    record FeedsPage(List<DiaryFeeds.Feed> feeds, int most) {}
}
