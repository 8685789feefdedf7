package rosinedpeg.web.buying;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;

/** Who sells what, and how long it takes to come. */
@Controller
class SupplierController {

    private final Suppliers suppliers;
    private final StringKinds kinds;
    private final AsShown asShown;
    private final Words words;

    SupplierController(Suppliers suppliers, StringKinds kinds, AsShown asShown, Words words) {
        this.suppliers = suppliers;
        this.kinds = kinds;
        this.asShown = asShown;
        this.words = words;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/suppliers")
    String all(Model model) {
        model.addAttribute("form", new SupplierForm("", String.valueOf(Supplier.USUAL_LEAD_DAYS), 0));
        return show(Optional.empty(), model);
    }

    /** One of them, to be put right. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/buying/suppliers/{id}")
    String one(@PathVariable UUID id, Model model) {
        Supplier supplier = get(id);
        model.addAttribute(
                "form", new SupplierForm(supplier.name(), String.valueOf(supplier.leadDays()), supplier.version()));
        return show(Optional.of(supplier), model);
    }

    private Supplier get(UUID id) {
        return suppliers.find(id).orElseThrow(() -> new NotFoundException("supplier " + id));
    }

    private String show(Optional<Supplier> edited, Model model) {
        TreeSet<String> makers = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        kinds.entered().stream().map(StringKind::maker).forEach(makers::add);
        Page.lay(
                new SuppliersPage(
                        suppliers.all(), edited, List.copyOf(makers), suppliers.byMaker(), Supplier.MOST_LEAD_DAYS),
                model);
        return "buying/suppliers";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/suppliers")
    String add(
            @ModelAttribute("form") SupplierForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        OptionalInt days = read(form, result);
        if (days.isEmpty() || result.hasErrors()) {
            return show(Optional.empty(), model);
        }
        try {
            suppliers.add(form.name().strip(), days.getAsInt());
        } catch (DataIntegrityViolationException complaint) {
            return taken(complaint, result, Optional.empty(), model);
        }
        redirect.addFlashAttribute("notice", "suppliers.added");
        redirect.addFlashAttribute("noticeOf", form.name().strip());
        return "redirect:/buying/suppliers";
    }

    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/suppliers/{id}")
    String change(
            @PathVariable UUID id,
            @ModelAttribute("form") SupplierForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Supplier supplier = get(id);
        OptionalInt days = read(form, result);
        if (days.isEmpty() || result.hasErrors()) {
            return show(Optional.of(supplier), model);
        }
        try {
            Change.make(
                    () -> suppliers.change(id, form.version(), form.name().strip(), days.getAsInt()),
                    "suppliers.changed",
                    form.name(),
                    redirect);
        } catch (DataIntegrityViolationException complaint) {
            return taken(complaint, result, Optional.of(supplier), model);
        }
        return "redirect:/buying/suppliers";
    }

    private String taken(
            DataIntegrityViolationException complaint, BindingResult result, Optional<Supplier> edited, Model model) {
        if (!Constraint.SUPPLIER_NAME.isViolatedBy(complaint)) {
            throw complaint;
        }
        result.rejectValue("name", "suppliers.name.taken");
        return show(edited, model);
    }

    private static OptionalInt read(SupplierForm form, BindingResult result) {
        String name = form.name().strip();
        if (name.isEmpty() || name.length() > Supplier.LONGEST_NAME) {
            result.rejectValue("name", "suppliers.name.wrong", new Object[] {Supplier.LONGEST_NAME}, null);
        }
        return Entry.count(result, "leadDays", form.leadDays(), 0, Supplier.MOST_LEAD_DAYS);
    }

    /** Says from whom strings of a maker are bought. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/buying/makers")
    String buy(@ModelAttribute("form") MakerForm form, BindingResult result, RedirectAttributes redirect) {
        if (kinds.entered().stream().noneMatch(kind -> kind.maker().equalsIgnoreCase(form.maker()))) {
            throw new NotFoundException("maker " + form.maker());
        }
        Optional<UUID> from = Optional.ofNullable(form.supplier());
        redirect.addFlashAttribute("noticeOf", form.maker());
        Change.make(
                () -> asShown.change(
                        CurrentWorkshop.id(),
                        AsShown.mark(Optional.ofNullable(form.was())),
                        () -> AsShown.mark(Optional.ofNullable(
                                        suppliers.byMaker().get(form.maker().toLowerCase(Locale.ROOT)))
                                .map(Supplier::id)),
                        AsShown.mark(from),
                        () -> suppliers.buy(form.maker(), from)),
                "suppliers.bought",
                form.maker() + ": "
                        + from.map(this::get).map(Supplier::name).orElseGet(() -> words.say("suppliers.nobody")),
                redirect);
        return "redirect:/buying/suppliers";
    }

    /**
     * A supplier, as typed.
     *
     * @param name what the workshop calls them
     * @param leadDays days from sending an order until it is there
     * @param version of what was seen
     */
    record SupplierForm(String name, String leadDays, int version) {
        /** What is not sent is as on an empty form. */
        SupplierForm {
            name = Entry.orEmpty(name);
            leadDays = Entry.orEmpty(leadDays);
        }
    }

    /**
     * From whom strings of a maker are bought.
     *
     * @param maker the maker
     * @param supplier who; null for nobody in particular
     * @param was who was shown; null for nobody in particular
     */
    record MakerForm(
            String maker, @Nullable UUID supplier, @Nullable UUID was) {
        /** What is not sent is as on an empty form. */
        MakerForm {
            maker = Entry.orEmpty(maker);
        }
    }

    /** Who sells what. */
    private record SuppliersPage(
            List<Supplier> suppliers,
            Optional<Supplier> edited,
            List<String> makers,
            Map<String, Supplier> byMaker,
            int most) {}
}
