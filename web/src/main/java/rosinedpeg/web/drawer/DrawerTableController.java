package rosinedpeg.web.drawer;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SentTable;
import rosinedpeg.web.platform.TablePage;
import rosinedpeg.web.platform.WaitingFile;

/** Packets from a table: shown first, then laid in. */
@Controller
class DrawerTableController {

    /** So many kinds are listed at a time. */
    private static final int MOST_SHOWN = 40;

    private final DrawerImport imports;
    private final LaidLater later;
    private final Drawer drawer;
    private final SentTable tables;

    DrawerTableController(DrawerImport imports, LaidLater later, Drawer drawer, SentTable tables) {
        this.imports = imports;
        this.later = later;
        this.drawer = drawer;
        this.tables = tables;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/import")
    String ask(Model model) {
        return ask(model, Optional.empty());
    }

    private static String ask(Model model, Optional<String> wrong) {
        Page.lay(new TablePage("drawer", "/drawer", DrawerImport.Column.TO_FILL_IN, DrawerImport.RULES, wrong), model);
        return "table";
    }

    /** Reads a file as far as it has to be read to be shown. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/import")
    String keep(@RequestParam(required = false) @Nullable MultipartFile file, Model model) throws IOException {
        SentTable.Kept kept = tables.keep(file, DrawerImport.RULES);
        return kept.waits().map(id -> "redirect:/drawer/import/" + id).orElseGet(() -> ask(model, kept.wrong()));
    }

    /** Shows what a file that waits would do, or that it is being laid in; then this page asks again until it is. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/import/{id}")
    String preview(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String from,
            Model model,
            RedirectAttributes redirect,
            HttpServletResponse response) {
        Optional<WaitingFile.State> state = imports.state(id);
        if (state.equals(Optional.of(WaitingFile.State.ASKED))) {
            response.setHeader("Refresh", "1");
            return "drawer/laying";
        }
        Optional<DrawerImport.Preview> preview = imports.preview(id);
        if (state.isEmpty() || preview.isEmpty()) {
            return over(id, redirect);
        }
        Page.lay(
                new PreviewPage(
                        id,
                        preview.get(),
                        ListPage.of(preview.get().kinds(), ListPage.after(from), MOST_SHOWN),
                        state.get() == WaitingFile.State.FAILED),
                model);
        return "drawer/preview";
    }

    /** Has all of a file laid in that was shown, or nothing. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/import/{id}")
    String take(@PathVariable UUID id, RedirectAttributes redirect) {
        try {
            Optional<WaitingFile.State> state = imports.ask(id);
            if (state.isPresent()) {
                if (state.get() == WaitingFile.State.ASKED) {
                    later.layNow();
                }
                return "redirect:/drawer/import/" + id;
            }
        } catch (DataIntegrityViolationException complaint) {
            if (!Constraint.DRAWER_STRING_ONCE.isViolatedBy(complaint)) {
                throw complaint;
            }
            // The same press, sent twice at one moment: the other one has laid them in.
        }
        return over(id, redirect);
    }

    /** A file that waits no longer was laid in, or waited for too long. */
    private String over(UUID id, RedirectAttributes redirect) {
        int laid = drawer.laid(id);
        redirect.addFlashAttribute("notice", laid == 0 ? "table.gone" : "drawer.import.done");
        redirect.addFlashAttribute("noticeOf", laid);
        return "redirect:/drawer";
    }

    /**
     * What a file would do.
     *
     * @param id where it waits
     * @param preview that
     * @param kinds how many of each kind, as much as is shown of it
     * @param failed whether it was to be laid in and could not be
     */
    record PreviewPage(UUID id, DrawerImport.Preview preview, ListPage<DrawerImport.OfKind> kinds, boolean failed) {}
}
