package rosinedpeg.web.kinds;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SentTable;
import rosinedpeg.web.platform.TablePage;
import rosinedpeg.web.platform.Words;

/** Kinds of string as a table, out and in. */
@Controller
class KindTableController {

    private final StringKinds kinds;
    private final KindImport imports;
    private final SentTable tables;
    private final Words words;

    KindTableController(StringKinds kinds, KindImport imports, SentTable tables, Words words) {
        this.kinds = kinds;
        this.imports = imports;
        this.tables = tables;
        this.words = words;
    }

    /** The kinds as a table. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/strings/table.csv")
    ResponseEntity<byte[]> table() {
        return Cells.answer(words.say("kinds.table.file"), KindTable.write(kinds.entered()));
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/strings/import")
    String ask(Model model) {
        return ask(model, Optional.empty());
    }

    private static String ask(Model model, Optional<String> wrong) {
        Page.lay(new TablePage("kinds", "/strings", List.of(KindTable.Column.values()), KindTable.RULES, wrong), model);
        return "table";
    }

    /** Reads a file as far as it has to be read to be shown. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/strings/import")
    String keep(@RequestParam(required = false) @Nullable MultipartFile file, Model model) throws IOException {
        SentTable.Kept kept = tables.keep(file, KindTable.RULES);
        return kept.waits().map(id -> "redirect:/strings/import/" + id).orElseGet(() -> ask(model, kept.wrong()));
    }

    /** Shows what each row of a file that waits would do. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/strings/import/{id}")
    String preview(@PathVariable UUID id, Model model, RedirectAttributes redirect) {
        Optional<KindImport.Preview> preview = imports.preview(id);
        if (preview.isEmpty()) {
            redirect.addFlashAttribute("notice", "table.gone");
            return "redirect:/strings";
        }
        Page.lay(new PreviewPage(id, preview.get()), model);
        return "kinds/preview";
    }

    /** Takes in all of a file that was shown, or nothing. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/strings/import/{id}")
    String take(@PathVariable UUID id, RedirectAttributes redirect) {
        Optional<Integer> added;
        try {
            added = imports.take(id);
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.STRING_KIND_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            // Somebody entered one of them in the same moment: what the file does now is shown anew.
            added = Optional.empty();
        }
        if (added.isEmpty()) {
            return "redirect:/strings/import/" + id;
        }
        redirect.addFlashAttribute("notice", added.get() == 0 ? "table.gone" : "kinds.import.done");
        redirect.addFlashAttribute("noticeOf", added.get());
        return "redirect:/strings";
    }

    /**
     * What a file would do.
     *
     * @param id where it waits
     * @param preview that
     */
    record PreviewPage(UUID id, KindImport.Preview preview) {

        /** {@return the columns that are shown} */
        public KindTable.Column[] columns() {
            return KindTable.Column.values();
        }
    }
}
