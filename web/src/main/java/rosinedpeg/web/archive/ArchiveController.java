package rosinedpeg.web.archive;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Paper;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.platform.Words;

/** The whole workshop as one archive, out and in. */
@Controller
class ArchiveController {

    private final WorkshopArchives archives;
    private final Words words;
    private final DataSize largest;

    ArchiveController(WorkshopArchives archives, Words words, @Value("${peg.archive.largest}") DataSize largest) {
        this.archives = archives;
        this.words = words;
        this.largest = largest;
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/workshop/archive")
    String show(@AuthenticationPrincipal SignedIn account, Model model) {
        return show(account, Optional.empty(), model);
    }

    private String show(SignedIn account, Optional<String> wrong, Model model) {
        Page.lay(new ArchivePage(archives.isEmpty(account.workshopId()), largest.toMegabytes(), wrong), model);
        return "archive/archive";
    }

    @OpenTo(Role.KEEPER)
    @GetMapping("/workshop/archive.zip")
    void write(@AuthenticationPrincipal SignedIn account, HttpServletResponse response) throws IOException {
        SentFile.send(
                archives.write(account.workshopId()),
                "application/zip",
                Paper.saved(account.workshopName(), "zip"),
                response);
    }

    @OpenTo(Role.KEEPER)
    @PostMapping("/workshop/archive")
    String take(
            @RequestParam(required = false) @Nullable MultipartFile file,
            @AuthenticationPrincipal SignedIn account,
            Model model,
            RedirectAttributes redirect)
            throws IOException {
        try {
            Optional<Integer> instruments = SentFile.read(file, sent -> archives.take(account.workshopId(), sent));
            if (instruments.isEmpty()) {
                return show(account, Optional.of(words.say("archive.wrong.none")), model);
            }
            redirect.addFlashAttribute("notice", "archive.taken");
            redirect.addFlashAttribute("noticeOf", instruments.get());
            return "redirect:/";
        } catch (UnreadableArchiveException wrong) {
            return show(account, Optional.of(words.say(wrong.key(), wrong.told())), model);
        }
    }

    /**
     * The page of the archive.
     *
     * @param empty whether nothing is on record, so that an archive can be taken in
     * @param largestMegabytes how large an archive may be
     * @param wrong what was wrong with the one that was sent
     */
    record ArchivePage(boolean empty, long largestMegabytes, Optional<String> wrong) {}
}
