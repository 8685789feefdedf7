package rosinedpeg.web.buying;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SentTable;
import rosinedpeg.web.platform.TablePage;

/** An order from a table: sent, shown, written. */
@Controller
class OrderTableController {

    private final OrderImport imports;
    private final Purchases purchases;
    private final Suppliers suppliers;
    private final SentTable tables;

    OrderTableController(OrderImport imports, Purchases purchases, Suppliers suppliers, SentTable tables) {
        this.imports = imports;
        this.purchases = purchases;
        this.suppliers = suppliers;
        this.tables = tables;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/import")
    String ask(Model model) {
        return ask(model, Optional.empty());
    }

    private static String ask(Model model, Optional<String> wrong) {
        Page.lay(
                new TablePage("buying", "/buying", List.of(OrderImport.Column.values()), OrderImport.RULES, wrong),
                model);
        return "table";
    }

    /** Reads a file as far as it has to be read to be shown. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/import")
    String keep(@RequestParam(required = false) @Nullable MultipartFile file, Model model) throws IOException {
        SentTable.Kept kept = tables.keep(file, OrderImport.RULES);
        return kept.waits().map(id -> "redirect:/buying/import/" + id).orElseGet(() -> ask(model, kept.wrong()));
    }

    /** Shows what a file that waits would order. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/import/{id}")
    String preview(@PathVariable UUID id, Model model, RedirectAttributes redirect) {
        Optional<OrderImport.Preview> preview = imports.preview(id);
        if (preview.isEmpty()) {
            redirect.addFlashAttribute("notice", "table.gone");
            return "redirect:/buying";
        }
        Page.lay(new PreviewPage(id, preview.get(), suppliers.all(), purchases.written()), model);
        return "buying/preview";
    }

    /**
     * Writes the order of a file that was shown, all of it or nothing.
     *
     * @param supplier who it goes to; null where that was not said
     * @param seen how many orders there were when it was shown
     */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/import/{id}")
    String take(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable UUID supplier,
            @RequestParam(defaultValue = "-1") long seen,
            RedirectAttributes redirect) {
        try {
            if (imports.take(id, Optional.ofNullable(supplier), seen)) {
                return "redirect:/buying/" + id;
            }
        } catch (OptimisticLockingFailureException meanwhile) {
            redirect.addFlashAttribute("notice", "buying.meanwhile");
        }
        return "redirect:/buying/import/" + id;
    }

    /**
     * What a file would order.
     *
     * @param id where it waits
     * @param preview that
     * @param suppliers who it can go to
     * @param written how many orders there are
     */
    record PreviewPage(UUID id, OrderImport.Preview preview, List<Supplier> suppliers, long written) {}
}
