package rosinedpeg.web.week;

import static java.util.stream.Collectors.toMap;

import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.week.TwoSets;
import rosinedpeg.web.drawing.Strands;
import rosinedpeg.web.drawing.TurnsDrawing;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Change;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Two sets that take turns on one instrument. */
@Controller
class TwoSetsController {

    private static final double WIDE = 900;
    private static final double NARROW = 350;

    private final Instruments instruments;
    private final RestingSet restingSet;
    private final InTurn inTurn;
    private final ShutDays shut;
    private final AsShown asShown;
    private final Say say;
    private final Words words;
    private final Clock clock;

    TwoSetsController(
            Instruments instruments,
            RestingSet restingSet,
            InTurn inTurn,
            ShutDays shut,
            AsShown asShown,
            Say say,
            Words words,
            Clock clock) {
        this.instruments = instruments;
        this.restingSet = restingSet;
        this.inTurn = inTurn;
        this.shut = shut;
        this.asShown = asShown;
        this.say = say;
        this.words = words;
        this.clock = clock;
    }

    /** Shows both sets, and when which of them would go on. */
    @OpenTo(Role.TECHNICIAN)
    @GetMapping("/instruments/{id}/two-sets")
    String show(@PathVariable UUID id, @ModelAttribute("form") TwoSetsForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        TwoSetsForm asked = form;
        if (form.weeks().isBlank() && form.from().isBlank()) {
            Optional<InTurn.Turns> said = inTurn.on(id);
            asked = new TwoSetsForm(
                    Integer.toString(said.map(InTurn.Turns::weeks).orElse(TwoSets.USUAL_WEEKS)),
                    first(instrument, said.map(InTurn.Turns::from), said.map(InTurn.Turns::weeks))
                            .toString(),
                    "");
            model.addAttribute("form", asked);
        }
        return show(instrument, asked, result, model);
    }

    private LocalDate today() {
        return CurrentWorkshop.today(clock);
    }

    /** The first turn that is still to come: when the set that is on has had its weeks. */
    private LocalDate first(Instrument instrument, Optional<LocalDate> from, Optional<Integer> weeks) {
        LocalDate today = today();
        LocalDate changed = instrument.strings().stream()
                .flatMap(string -> string.fittedAt().stream())
                .map(at -> at.atZone(CurrentWorkshop.zone()).toLocalDate())
                .max(LocalDate::compareTo)
                .orElse(today);
        LocalDate next = TwoSets.next(changed, from.orElse(today), weeks.orElse(TwoSets.USUAL_WEEKS));
        return next.isBefore(today) ? today : next;
    }

    private record Typed(int weeks, LocalDate from) {}

    private Optional<Typed> read(TwoSetsForm form, BindingResult result) {
        OptionalInt weeks = Entry.count(result, "weeks", form.weeks(), TwoSets.FEWEST_WEEKS, TwoSets.MOST_WEEKS);
        Optional<LocalDate> from =
                Entry.date(result, "from", form.from(), today(), today().plusWeeks(TwoSets.MOST_WEEKS));
        return weeks.isPresent() && from.isPresent()
                ? Optional.of(new Typed(weeks.getAsInt(), from.get()))
                : Optional.empty();
    }

    private String show(Instrument instrument, TwoSetsForm form, BindingResult result, Model model) {
        Optional<Typed> typed = read(form, result);
        Optional<InTurn.Turns> said = inTurn.on(instrument.id());
        Map<Position, RestingSet.Resting> resting = restingSet.of(instrument);
        List<Position> missing = instrument.setUp().positions().stream()
                .filter(position -> !resting.containsKey(position))
                .toList();
        List<Position> unknown = instrument.strings().stream()
                .filter(string -> string.fittedAt().isEmpty())
                .map(StringOn::position)
                .toList();
        Optional<TwoSets> found = typed.filter(one -> missing.isEmpty() && unknown.isEmpty())
                .map(one -> TwoSets.of(asked(instrument, resting, one)));
        Page.lay(
                new TwoSetsPage(
                        instrument,
                        instrument.drawn(string -> "on"),
                        drawn(instrument, resting),
                        resting,
                        missing,
                        unknown,
                        found,
                        found.map(turns -> drawn(turns, WIDE)),
                        found.map(turns -> drawn(turns, NARROW)),
                        said,
                        mark(said),
                        today(),
                        today().plusWeeks(TwoSets.FURTHEST_WEEKS)),
                model);
        return "week/two-sets";
    }

    private TwoSets.Asked asked(Instrument instrument, Map<Position, RestingSet.Resting> resting, Typed typed) {
        LocalDate today = today();
        return new TwoSets.Asked(
                instrument.strings().stream()
                        .collect(toMap(
                                StringOn::position,
                                on -> new TwoSets.SetString(on.kind().spec().core(), on.wear()))),
                resting.entrySet().stream()
                        .collect(toMap(
                                Map.Entry::getKey,
                                entry -> new TwoSets.SetString(
                                        entry.getValue().kind().spec().core(),
                                        entry.getValue().wear()))),
                instrument.demand().threshold(),
                instrument.hoursPerWeek(),
                today,
                typed.from(),
                typed.weeks(),
                shut.from(instrument.id(), today, TwoSets.FURTHEST_WEEKS * 7),
                shut.played(instrument.id()),
                CurrentWorkshop.zone());
    }

    private View drawn(TwoSets turns, double width) {
        LocalDate today = today();
        return TurnsDrawing.of(
                width,
                today,
                turns.until().map(TwoSets.Due::day).orElse(today.plusWeeks(TwoSets.FURTHEST_WEEKS)),
                turns.turns().stream().map(TwoSets.Turn::day).toList(),
                turns.until().map(TwoSets.Due::day),
                say::month,
                words.say("twoSets.lane.on"),
                words.say("twoSets.lane.rests"));
    }

    private static Strands drawn(Instrument instrument, Map<Position, RestingSet.Resting> resting) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        resting.forEach((position, string) -> strands.put(
                position,
                new Strands.Strand(
                        string.kind().spec().diameterMm(),
                        string.wear().worn(),
                        string.string().id().getMostSignificantBits(),
                        "on")));
        return Strands.of(instrument.setUp(), strands);
    }

    /** Two sets take turns from now on. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/two-sets")
    String begin(
            @PathVariable UUID id,
            @ModelAttribute("form") TwoSetsForm form,
            BindingResult result,
            Model model,
            RedirectAttributes redirect) {
        Instrument instrument = instruments.strung(id);
        Optional<Typed> typed = read(form, result);
        if (typed.isEmpty()) {
            return show(instrument, form, result, model);
        }
        int weeks = typed.get().weeks();
        LocalDate from = typed.get().from();
        boolean made = Change.made(
                () -> asShown.change(
                        id,
                        form.shown(),
                        () -> mark(inTurn.on(id)),
                        mark(weeks, from),
                        () -> inTurn.begin(id, weeks, from)),
                result);
        if (!made) {
            return show(instrument, form, result, model);
        }
        redirect.addFlashAttribute("notice", "twoSets.begun");
        redirect.addFlashAttribute("noticeOf", instrument.name());
        return "redirect:/instruments/" + id + "/two-sets";
    }

    /** {@return the mark of how they take turns} */
    private static String mark(Optional<InTurn.Turns> turns) {
        return turns.map(said -> mark(said.weeks(), said.from())).orElse("");
    }

    private static String mark(int weeks, LocalDate from) {
        return AsShown.mark(weeks, from);
    }

    /** They take no turns any more. */
    @OpenTo(Role.TECHNICIAN)
    @PostMapping("/instruments/{id}/two-sets/end")
    String end(@PathVariable UUID id, @RequestParam(defaultValue = "") String shown, RedirectAttributes redirect) {
        Instrument instrument = instruments.get(id);
        redirect.addFlashAttribute("noticeOf", instrument.name());
        Change.make(
                () -> asShown.change(
                        id, shown, () -> mark(inTurn.on(id)), mark(Optional.empty()), () -> inTurn.end(id)),
                "twoSets.ended",
                words.say("twoSets.end"),
                redirect);
        return "redirect:/instruments/" + id + "/two-sets";
    }

    /** Goes to the plan that puts the resting set on and keeps the other; to the instrument where that set is not whole. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/two-sets/next")
    String next(@PathVariable UUID id) {
        Instrument instrument = instruments.strung(id);
        Map<Position, RestingSet.Resting> resting = restingSet.of(instrument);
        if (!resting.keySet().containsAll(instrument.setUp().positions())) {
            return "redirect:/instruments/" + id;
        }
        UriComponentsBuilder plan = UriComponentsBuilder.fromPath("/instruments/" + id + "/plan")
                .queryParam("oldStrings", Schools.OldStrings.KEPT)
                .queryParam("list", 1);
        resting.forEach((position, string) -> plan.queryParam("strings", position)
                .queryParam("kinds[" + position + "]", string.kind().id())
                .queryParam("packets[" + position + "]", string.string().id()));
        return "redirect:" + plan.encode().toUriString();
    }

    /**
     * Two sets.
     *
     * @param instrument on what
     * @param on the set that is on, drawn
     * @param rests the set that rests, drawn
     * @param resting what it is
     * @param missing the strings it has none for
     * @param unknown the strings that are on and of which nobody knows since when
     * @param found when which goes on; empty where that cannot be said
     * @param picture that drawn
     * @param narrow the same for a narrow screen
     * @param said how they take turns already
     * @param shown the mark of that
     * @param today the day it is
     * @param furthest the last day that is told
     */
    private record TwoSetsPage(
            Instrument instrument,
            Strands on,
            Strands rests,
            Map<Position, RestingSet.Resting> resting,
            List<Position> missing,
            List<Position> unknown,
            Optional<TwoSets> found,
            Optional<View> picture,
            Optional<View> narrow,
            Optional<InTurn.Turns> said,
            String shown,
            LocalDate today,
            LocalDate furthest) {}
}
