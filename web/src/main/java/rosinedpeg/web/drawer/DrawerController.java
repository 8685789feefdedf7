package rosinedpeg.web.drawer;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.stock.SecondLife;
import rosinedpeg.core.working.WearFigure;
import rosinedpeg.core.working.WearGrounds;
import rosinedpeg.core.working.Working;
import rosinedpeg.web.drawing.Envelopes;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.working.WorkingView;

/** The drawer as it is looked into: all of it, one kind, one string. */
@Controller
class DrawerController {

    private final Drawer drawer;
    private final Shelves shelves;
    private final Counting counting;
    private final StringKinds kinds;
    private final InstrumentNames instrumentNames;
    private final KindWords kindWords;
    private final Words words;
    private final WorkingView workings;

    DrawerController(
            Drawer drawer,
            Shelves shelves,
            Counting counting,
            StringKinds kinds,
            InstrumentNames instrumentNames,
            KindWords kindWords,
            Words words,
            WorkingView workings) {
        this.drawer = drawer;
        this.shelves = shelves;
        this.counting = counting;
        this.kinds = kinds;
        this.instrumentNames = instrumentNames;
        this.kindWords = kindWords;
        this.words = words;
        this.workings = workings;
    }

    /**
     * The drawer of one family.
     *
     * @param family which; that of the first instruments anything is kept for when none is given
     * @param code what somebody typed or scanned: leads to the string that is marked with it
     */
    @OpenTo(Role.PLAYER)
    @GetMapping("/drawer")
    @Transactional(readOnly = true)
    String drawer(
            @RequestParam(required = false) @Nullable Family family,
            @RequestParam(required = false) @Nullable String code,
            Model model) {
        Optional<InDrawer> marked = code == null ? Optional.empty() : drawer.marked(code);
        if (marked.isPresent()) {
            return "redirect:/drawer/" + marked.get().code();
        }
        Page.lay(
                new DrawerPage(
                        shelves.of(Optional.ofNullable(family)),
                        kinds.entered().isEmpty(),
                        Optional.ofNullable(code).filter(typed -> !typed.isBlank())),
                model);
        return "drawer/drawer";
    }

    /** All that lies there as a table. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/drawer/table.csv")
    ResponseEntity<byte[]> table() {
        Map<UUID, StringKind> known = kinds.all();
        List<InDrawer> lying = drawer.lying(known.keySet()).values().stream()
                .flatMap(List::stream)
                .toList();
        Map<UUID, String> cases = instrumentNames.of(
                lying.stream().map(InDrawer::caseOf).filter(Objects::nonNull).collect(Collectors.toSet()));
        String table = DrawerTable.write(lying, known, drawer.were(lying), cases);
        return Cells.answer(words.say("drawer.table.file"), table);
    }

    /** What lies there of one kind. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/drawer/kinds/{id}")
    String kind(@PathVariable UUID id, @RequestParam(defaultValue = "0") int from, Model model) {
        StringKind kind = kind(id);
        model.addAttribute(
                "form", new ReadyForm(kind.ready().map(String::valueOf).orElse(""), kind.version()));
        return kind(kind, from, model);
    }

    private String kind(StringKind kind, int from, Model model) {
        ListPage<InDrawer> lying = drawer.lying(kind.id(), from);
        Map<UUID, String> cases = instrumentNames.of(lying.shown().stream()
                .map(InDrawer::caseOf)
                .filter(Objects::nonNull)
                .toList());
        Page.lay(
                new HeapPage(
                        shelves.of(kind),
                        lying,
                        drawer.were(lying.shown()),
                        cases,
                        counting.latest(kind.id()),
                        Level.MOST_READY),
                model);
        return "drawer/kind";
    }

    private StringKind kind(UUID id) {
        return kinds.find(id).orElseThrow(() -> new NotFoundException("kind of string " + id));
    }

    /** Says how many of a kind are to lie ready. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/kinds/{id}/ready")
    String ready(
            @PathVariable UUID id,
            @ModelAttribute("form") ReadyForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        StringKind kind = kinds.entered(id);
        OptionalInt typed = form.ready().isBlank()
                ? OptionalInt.empty()
                : Entry.count(result, "ready", form.ready(), 0, Level.MOST_READY);
        Optional<Integer> many = typed.isPresent() ? Optional.of(typed.getAsInt()) : Optional.empty();
        if (result.hasErrors()) {
            return kind(kind, 0, model);
        }
        Change.make(() -> kinds.keepReady(id, form.version(), many), "drawer.ready.kept", form.ready(), redirect);
        return "redirect:/drawer/kinds/" + id;
    }

    /** One string. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/drawer/{code}")
    String one(@PathVariable String code, Model model) {
        InDrawer string = marked(code);
        model.addAttribute(
                "form",
                new PlaceForm(
                        string.place(),
                        string.caseOf() == null
                                ? ""
                                : instrumentNames.of(List.of(string.caseOf())).getOrDefault(string.caseOf(), ""),
                        string.version()));
        return one(string, model);
    }

    private String one(InDrawer string, Model model) {
        Page.lay(
                new StringPage(
                        string,
                        kind(string.kindId()),
                        Optional.ofNullable(drawer.were(List.of(string)).get(string.id())),
                        Optional.ofNullable(string.caseOf())
                                .flatMap(id -> Optional.ofNullable(
                                        instrumentNames.of(List.of(id)).get(id)))),
                model);
        return "drawer/string";
    }

    private InDrawer marked(String code) {
        return Code.read(code).map(drawer::get).orElseThrow(() -> new NotFoundException("string " + code));
    }

    /** Shows how far an old string was used up, and what that rests on. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/drawer/{code}/working/WORN")
    String worn(@PathVariable String code, Model model, HttpServletRequest request) {
        InDrawer string = marked(code);
        OldString was = Optional.ofNullable(drawer.were(List.of(string)).get(string.id()))
                .filter(old -> old.wear().isPresent())
                .orElseThrow(() -> new NotFoundException("old string of known age " + code));
        return workings.showNotOn(
                was.instrumentId(),
                was.position(),
                () -> Working.of(WearFigure.WORN, WearGrounds.ofPast(was.wear().orElseThrow())),
                model,
                request);
    }

    /** Says where a string lies. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/{code}/place")
    String place(
            @PathVariable String code,
            @ModelAttribute("form") PlaceForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        InDrawer string = marked(code);
        Optional<UUID> caseOf = CaseOf.read(result, form.caseOf(), instrumentNames);
        Laid.readPlace(result, form.place());
        if (result.hasErrors()) {
            return one(string, model);
        }
        Change.make(
                () -> drawer.move(
                        new Code(string.code()), form.version(), form.place().strip(), caseOf),
                "drawer.placed",
                form.place(),
                redirect);
        return "redirect:/drawer/" + string.code();
    }

    /**
     * A string leaves the drawer, or is back after all.
     *
     * @param how how it leaves; none when it is back
     */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/drawer/{code}/leave")
    String leave(
            @PathVariable String code,
            @RequestParam(required = false) @Nullable LeftHow how,
            @RequestParam int version,
            RedirectAttributes redirect) {
        InDrawer string = marked(code);
        if (how != null && !how.byHand()) {
            throw new IllegalArgumentException(how + " is for runs");
        }
        Change.make(
                () -> drawer.leave(new Code(string.code()), version, Optional.ofNullable(how)),
                how == null ? "drawer.back" : "drawer.left." + how,
                kindWords.label(kind(string.kindId())) + " " + string.written(),
                redirect);
        return "redirect:/drawer/" + string.code();
    }

    /**
     * The drawer.
     *
     * @param shelf what lies there; empty when nothing is kept or asked for
     * @param noKinds whether no kind of string is entered yet
     * @param unknown what was typed or scanned and is on no string
     */
    record DrawerPage(Optional<Shelf> shelf, boolean noKinds, Optional<String> unknown) {

        /** {@return a compartment in which nothing lies yet} */
        public View open() {
            return Envelopes.of(0, Level.USUAL_READY, 0);
        }
    }

    /**
     * What lies there of a kind.
     *
     * @param heap how many
     * @param lying each of them, as many as fit
     * @param were what the old ones were
     * @param cases what the instruments are called in whose cases some lie
     * @param counts what was found when they were counted
     * @param mostReady how many can be asked for
     */
    record HeapPage(
            Shelf.Compartment heap,
            ListPage<InDrawer> lying,
            Map<UUID, OldString> were,
            Map<UUID, String> cases,
            List<Counted> counts,
            int mostReady) {

        /** {@return how they lie} */
        public View drawing() {
            return Envelopes.of(heap.packets(), heap.ready(), heap.old());
        }
    }

    /**
     * One string.
     *
     * @param string the string
     * @param kind what it is
     * @param was what it was on an instrument; empty for a new one
     * @param inCaseOf what the instrument is called in whose case it lies
     */
    record StringPage(InDrawer string, StringKind kind, Optional<OldString> was, Optional<String> inCaseOf) {

        /** {@return whether an old one may go on an instrument of its size again} */
        public Optional<SecondLife> life() {
            return was.map(old -> SecondLife.of(old.size(), old.worn(), old.signs(), old.size(), List.of()));
        }

        /** {@return how a string can leave by hand} */
        public List<LeftHow> ways() {
            return LeftHow.byHands();
        }
    }

    /**
     * How many are to lie ready.
     *
     * @param ready as typed; empty for as many as is usual
     * @param version how often the kind had been changed when the page was made
     */
    record ReadyForm(String ready, Integer version) {

        /** What is not sent is as on an empty form. */
        ReadyForm {
            ready = Entry.orEmpty(ready);
            version = version == null ? -1 : version;
        }
    }

    /**
     * Where a string lies.
     *
     * @param place as typed
     * @param caseOf the name of the instrument in whose case, as typed
     * @param version how often the string had been changed when the page was made
     */
    record PlaceForm(String place, String caseOf, Integer version) {

        /** What is not sent is as on an empty form. */
        PlaceForm {
            place = Entry.orEmpty(place);
            caseOf = Entry.orEmpty(caseOf);
            version = version == null ? -1 : version;
        }
    }
}
