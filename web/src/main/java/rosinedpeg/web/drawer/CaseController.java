package rosinedpeg.web.drawer;

import static java.util.Objects.requireNonNull;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** The case of an instrument: which strings are to lie in it, and which do. */
@Controller
class CaseController {

    private final Instruments instruments;
    private final StringKinds kinds;
    private final Drawer drawer;
    private final CaseKits kits;
    private final AsShown asShown;

    CaseController(Instruments instruments, StringKinds kinds, Drawer drawer, CaseKits kits, AsShown asShown) {
        this.instruments = instruments;
        this.kinds = kinds;
        this.drawer = drawer;
        this.kits = kits;
        this.asShown = asShown;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/case")
    String show(@PathVariable UUID id, Model model) {
        Map<Position, String> wanted = new EnumMap<>(Position.class);
        Map<Position, Integer> said = kits.wanted(id);
        said.forEach((position, many) -> wanted.put(position, String.valueOf(many)));
        model.addAttribute("form", new CaseForm(wanted, AsShown.mark(said)));
        return lay(id, model);
    }

    private String lay(UUID id, Model model) {
        Instrument instrument = instruments.get(id);
        Map<Position, Integer> wanted = kits.wanted(id);
        List<InDrawer> lying = kits.lying(id);
        Map<UUID, StringKind> known =
                kinds.some(lying.stream().map(InDrawer::kindId).collect(Collectors.toSet()));
        Map<Position, List<InDrawer>> byPlace = lying.stream()
                .collect(Collectors.groupingBy(string ->
                        requireNonNull(known.get(string.kindId())).spec().position()));
        Map<UUID, Integer> inDrawer = drawer.heaps().stream()
                .filter(heap -> !heap.old() && !heap.inCases())
                .collect(Collectors.toMap(Heap::kindId, heap -> (int) heap.count(), Integer::sum));
        Page.lay(
                new CasePage(
                        instrument,
                        instrument.setUp().positions().stream()
                                .map(position -> Compartment.of(
                                        position,
                                        instrument.string(position).map(StringOn::kind),
                                        byPlace.getOrDefault(position, List.of()),
                                        wanted.getOrDefault(position, 0),
                                        inDrawer))
                                .toList(),
                        known,
                        CaseKits.MOST),
                model);
        return "drawer/case";
    }

    /** Says what is to lie in it. */
    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/case")
    String want(
            @PathVariable UUID id,
            @ModelAttribute("form") CaseForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Map<Position, Integer> wanted = new EnumMap<>(Position.class);
        form.wanted().forEach((position, typed) -> {
            OptionalInt many = typed.isBlank()
                    ? OptionalInt.of(0)
                    : Entry.count(result, "wanted[" + position + "]", typed, 0, CaseKits.MOST);
            many.ifPresent(strings -> wanted.put(position, strings));
        });
        if (result.hasErrors()) {
            return lay(id, model);
        }
        Map<Position, Integer> after = new EnumMap<>(wanted);
        after.values().removeIf(many -> many == 0);
        boolean made = Change.made(
                () -> asShown.change(
                        id,
                        form.shown(),
                        () -> AsShown.mark(kits.wanted(id)),
                        AsShown.mark(after),
                        () -> kits.want(id, wanted)),
                result);
        if (!made) {
            return lay(id, model);
        }
        redirect.addFlashAttribute("notice", "case.kept");
        return "redirect:/instruments/" + id + "/case";
    }

    /**
     * Puts a string from the drawer into it.
     *
     * @param kind what kind
     */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/case/put")
    String put(
            @PathVariable UUID id, @RequestParam(required = false) @Nullable UUID kind, RedirectAttributes redirect) {
        Optional<InDrawer> put = Optional.ofNullable(kind).flatMap(kinds::find).flatMap(one -> kits.put(id, one));
        redirect.addFlashAttribute("notice", put.isPresent() ? "case.put" : "case.none");
        put.ifPresent(string -> redirect.addFlashAttribute("noticeOf", string.written()));
        return "redirect:/instruments/" + id + "/case";
    }

    /**
     * What is to lie in a case, as typed.
     *
     * @param wanted how many for each place
     * @param shown the mark of that as it was shown
     */
    record CaseForm(Map<Position, String> wanted, String shown) {
        /** What is not sent is as on an empty form. */
        CaseForm {
            wanted = wanted == null ? new HashMap<>() : wanted;
            shown = Entry.orEmpty(shown);
        }
    }

    /**
     * The strings for one place.
     *
     * @param position the place
     * @param on what is on there, if that is known
     * @param lying what lies in the case for it
     * @param wanted how many are to
     * @param level how well that is filled
     * @param inDrawer how many of what is on lie in the drawer
     */
    record Compartment(
            Position position, Optional<StringKind> on, List<InDrawer> lying, int wanted, Level level, int inDrawer) {

        private static Compartment of(
                Position position,
                Optional<StringKind> on,
                List<InDrawer> lying,
                int wanted,
                Map<UUID, Integer> inDrawer) {
            return new Compartment(
                    position,
                    on,
                    lying,
                    wanted,
                    Level.of(lying.size(), wanted),
                    on.flatMap(kind -> Optional.ofNullable(inDrawer.get(kind.id())))
                            .orElse(0));
        }
    }

    /**
     * The case of an instrument.
     *
     * @param instrument the instrument
     * @param compartments what is for each place
     * @param known the kinds of what lies there, by their ids
     * @param most so many of one lie in it at most
     */
    private record CasePage(
            Instrument instrument, List<Compartment> compartments, Map<UUID, StringKind> known, int most) {}
}
