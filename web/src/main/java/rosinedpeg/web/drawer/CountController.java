package rosinedpeg.web.drawer;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.setup.Family;
import rosinedpeg.web.platform.Constraint;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** An inventory: the drawer of one family is counted, compartment by compartment. */
@Controller
class CountController {

    private final Shelves shelves;
    private final Counting counting;

    CountController(Shelves shelves, Counting counting) {
        this.shelves = shelves;
        this.counting = counting;
    }

    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/count")
    String ask(@RequestParam(required = false) @Nullable Family family, Model model) {
        model.addAttribute(
                "form",
                new CountForm(Map.of(), Map.of(), family, UUID.randomUUID().toString()));
        return show(Optional.ofNullable(family), model);
    }

    /** Takes in what was found; what was left empty was not counted. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/count")
    String count(
            @ModelAttribute("form") CountForm form, BindingResult result, Model model, RedirectAttributes redirect) {
        Map<UUID, Counting.Found> found = new LinkedHashMap<>();
        form.found().forEach((kind, typed) -> {
            if (!typed.isBlank()) {
                OptionalInt count = Entry.count(result, "found[" + kind + "]", typed, 0, Counted.MOST);
                OptionalInt shown = form.shownOf(kind);
                if (count.isPresent() && shown.isPresent()) {
                    found.put(kind, new Counting.Found(shown.getAsInt(), count.getAsInt()));
                }
            }
        });
        if (found.isEmpty() && !result.hasErrors()) {
            result.reject("drawer.count.none");
        }
        if (result.hasErrors()) {
            return show(Optional.ofNullable(form.family()), model);
        }
        Constraint.DRAWER_COUNT_ONCE.once(() -> counting.count(found, Entry.press(form.press())));
        long other = found.values().stream()
                .filter(one -> one.count() != one.shown())
                .count();
        redirect.addFlashAttribute("notice", other == 0 ? "drawer.counted.same" : "drawer.counted");
        redirect.addFlashAttribute("noticeOf", other);
        return "redirect:/drawer" + (form.family() == null ? "" : "?family=" + form.family());
    }

    private String show(Optional<Family> family, Model model) {
        Optional<Shelf> shelf = shelves.of(family);
        Page.lay(
                new CountPage(
                        shelf,
                        shelf.stream()
                                .flatMap(one -> one.rows().stream())
                                .flatMap(row -> row.compartments().values().stream())
                                .flatMap(List::stream)
                                .toList(),
                        Counted.MOST),
                model);
        return "drawer/count";
    }

    /**
     * What was found, as typed.
     *
     * @param found how many of each kind; empty where it was not counted
     * @param shown how many the page showed
     * @param family of which family
     * @param press the press of the button
     */
    record CountForm(
            Map<UUID, String> found,
            Map<UUID, String> shown,
            @Nullable Family family,
            String press) {

        /** What is not sent is as on an empty form. */
        CountForm {
            found = found == null ? new HashMap<>() : found;
            shown = shown == null ? new HashMap<>() : shown;
            press = Entry.orEmpty(press);
        }

        private OptionalInt shownOf(UUID kind) {
            String typed = shown.getOrDefault(kind, "");
            return typed.matches("\\d{1,5}") ? OptionalInt.of(Integer.parseInt(typed)) : OptionalInt.empty();
        }
    }

    /**
     * The page that asks for it.
     *
     * @param shelf the drawer; empty when nothing is kept
     * @param heaps what is counted, in the order it lies in
     * @param most how many of one kind can be found
     */
    record CountPage(Optional<Shelf> shelf, List<Shelf.Compartment> heaps, int most) {}
}
