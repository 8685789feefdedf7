package rosinedpeg.web.drawer;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.TextFile;
import rosinedpeg.web.platform.Words;

/** Packets from a table: shown first, then laid in. */
@Controller
class DrawerTableController {

    private final DrawerImport imports;
    private final Words words;

    DrawerTableController(DrawerImport imports, Words words) {
        this.imports = imports;
        this.words = words;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/import")
    String ask(Model model) {
        return ask(model, Optional.empty());
    }

    private static String ask(Model model, Optional<String> wrong) {
        Page.lay(
                new AskPage(
                        Arrays.stream(DrawerImport.Column.values())
                                .filter(column -> column != DrawerImport.Column.WAS)
                                .toList(),
                        DrawerImport.MOST_ROWS,
                        DrawerImport.LARGEST_BYTES / 1000,
                        wrong),
                model);
        return "drawer/import";
    }

    /** Reads a file as far as it has to be read to be shown. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/import")
    String keep(@RequestParam(required = false) @Nullable MultipartFile file, Model model) throws IOException {
        if (file == null || file.isEmpty()) {
            return ask(model, Optional.of(words.say("kinds.import.empty")));
        }
        if (file.getSize() > DrawerImport.LARGEST_BYTES) {
            return ask(model, Optional.of(words.say("kinds.import.large", DrawerImport.LARGEST_BYTES / 1000)));
        }
        Optional<String> text = TextFile.of(file.getBytes());
        if (text.isEmpty()) {
            return ask(model, Optional.of(words.say("kinds.import.noText")));
        }
        Optional<Object[]> refusal = DrawerImport.refusal(text.get());
        if (refusal.isPresent()) {
            Object[] told = refusal.get();
            return ask(model, Optional.of(words.say(told[0].toString(), Arrays.copyOfRange(told, 1, told.length))));
        }
        return "redirect:/drawer/import/" + imports.keep(text.get());
    }

    /** Shows what a file that waits would do. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/import/{id}")
    String preview(@PathVariable UUID id, Model model, RedirectAttributes redirect) {
        Optional<DrawerImport.Preview> preview = imports.preview(id);
        if (preview.isEmpty()) {
            redirect.addFlashAttribute("notice", "kinds.import.gone");
            return "redirect:/drawer";
        }
        Page.lay(new PreviewPage(id, preview.get()), model);
        return "drawer/preview";
    }

    /** Lays in all of a file that was shown, or nothing. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/import/{id}")
    String take(@PathVariable UUID id, RedirectAttributes redirect) {
        int[] laid = {0};
        boolean[] whole = {true};
        Constraint.DRAWER_STRING_ONCE.once(() -> {
            Optional<Integer> taken = imports.take(id);
            whole[0] = taken.isPresent();
            laid[0] = taken.orElse(0);
        });
        if (!whole[0]) {
            return "redirect:/drawer/import/" + id;
        }
        redirect.addFlashAttribute("notice", laid[0] == 0 ? "kinds.import.gone" : "drawer.import.done");
        redirect.addFlashAttribute("noticeOf", laid[0]);
        return "redirect:/drawer";
    }

    /**
     * The page that asks for a file.
     *
     * @param columns what can stand in it
     * @param mostRows how many rows it may have
     * @param largestKilobytes how large it may be
     * @param wrong what was wrong with the one that was sent
     */
    record AskPage(List<DrawerImport.Column> columns, int mostRows, int largestKilobytes, Optional<String> wrong) {}

    /**
     * What a file would do.
     *
     * @param id where it waits
     * @param preview that
     */
    record PreviewPage(UUID id, DrawerImport.Preview preview) {}
}
