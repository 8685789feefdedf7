package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.diary.Diary;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** Plans a change and takes it to the bench. */
@Controller
class PlanController {

    private final StringKinds kinds;
    private final Benches benches;
    private final Instruments instruments;
    private final RunStart start;
    private final Diary diary;
    private final Habits habits;
    private final PegLooks pegLooks;
    private final BenchCard card;
    private final ComparisonPicture picture;
    private final Clock clock;

    PlanController(
            StringKinds kinds,
            Benches benches,
            Instruments instruments,
            RunStart start,
            Diary diary,
            Habits habits,
            PegLooks pegLooks,
            BenchCard card,
            ComparisonPicture picture,
            Clock clock) {
        this.kinds = kinds;
        this.benches = benches;
        this.instruments = instruments;
        this.start = start;
        this.diary = diary;
        this.habits = habits;
        this.pegLooks = pegLooks;
        this.card = card;
        this.picture = picture;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan")
    String plan(
            @PathVariable UUID id,
            @ModelAttribute("form") PlanForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Optional<UUID> open = benches.openFor(id);
        if (open.isPresent()) {
            return "redirect:/bench/" + open.get();
        }
        planned(id, form, result, model, request);
        return Htmx.asks(request) ? "plan/plan :: answer" : "plan/plan";
    }

    /** The plan on one sheet of paper. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan/card")
    String card(
            @PathVariable UUID id,
            @ModelAttribute("form") PlanForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        planned(id, form, result, model, request);
        model.addAttribute("now", clock.instant());
        model.addAttribute("pdf", BenchCard.address(request));
        return "plan/card";
    }

    /** The same as a PDF. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan/card.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable UUID id,
            @ModelAttribute("form") PlanForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        ChangePlan plan =
                planned(id, form, result, model, request).orElseThrow(() -> new NotFoundException("plan for " + id));
        return card.of(plan, model.asMap());
    }

    private Optional<ChangePlan> planned(
            UUID id, PlanForm form, BindingResult result, Model model, HttpServletRequest request) {
        Instrument instrument = instruments.strung(id);
        start.tell(instrument, model);
        begin(instrument, form, request);
        return show(instrument, form, result, model);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/plan")
    String start(@PathVariable UUID id, @ModelAttribute("form") PlanForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        Beforehand beforehand = start.tell(instrument, model);
        Optional<ChangePlan> plan = show(instrument, form, result, model);
        boolean fits = model.getAttribute("fits") instanceof Map<?, ?> found
                && found.values().stream()
                        .flatMap(findings -> ((List<?>) findings).stream())
                        .noneMatch(finding -> ((Finding) finding).stops());
        if (result.hasErrors()
                || plan.isEmpty()
                || plan.get().refused()
                || !fits
                || !RunStart.mayBegin(beforehand, form, result)) {
            return "plan/plan";
        }
        Map<Position, UUID> replacements = new EnumMap<>(Position.class);
        form.getStrings()
                .forEach(position -> replacements.put(position, form.getKinds().get(position)));
        boolean keepOld = form.getOldStrings() == Schools.OldStrings.KEPT;
        habits.remember(instrument.setUp().family(), form.schools());
        UUID run = start.run(id, beforehand, plan.get(), replacements, form.getReason(), keepOld);
        return "redirect:/bench/" + run;
    }

    /** What does not come from the form itself, but from a link, at most says which strings, and of which kind. */
    private void begin(Instrument instrument, PlanForm form, HttpServletRequest request) {
        if (request.getParameter("off") == null) {
            Set<Position> wanted = form.getStrings().isEmpty() ? due(instrument) : form.getStrings();
            form.begin(
                    instrument,
                    pegLooks.conditions(instrument.id()),
                    wanted,
                    habits.schools(instrument.setUp().family()));
        }
    }

    private static Set<Position> due(Instrument instrument) {
        Set<Position> due = instrument.strings().stream()
                .filter(string -> string.state().isDue())
                .map(StringOn::position)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Position.class)));
        if (due.isEmpty()) {
            instrument.mostWorn().map(StringOn::position).ifPresent(due::add);
        }
        return due;
    }

    /** Works the plan out from the form, as far as it goes. */
    private Optional<ChangePlan> show(Instrument instrument, PlanForm form, BindingResult result, Model model) {
        form.getStrings().retainAll(instrument.setUp().positions());
        Map<Position, List<StringKind>> offered = new LinkedHashMap<>();
        List<StringKind> ofFamily = kinds.of(instrument.setUp().family());
        for (Position position : instrument.setUp().positions()) {
            offered.put(
                    position,
                    ofFamily.stream()
                            .filter(kind -> kind.spec().position() == position)
                            .toList());
            form.getKinds()
                    .putIfAbsent(
                            position,
                            instrument.string(position).orElseThrow().kind().id());
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("offered", offered);
        model.addAttribute("neighbours", neighbours(instrument));
        model.addAttribute("reasons", Reason.values());
        model.addAttribute("pegConditions", PegCondition.values());
        boolean bass = instrument.setUp().family() == Family.BASS;
        model.addAttribute("bass", bass);
        model.addAttribute("usual", Schools.usual(instrument.setUp().family()).choices());
        model.addAttribute("cardAddress", "/instruments/" + instrument.id() + "/plan/card");
        model.addAttribute("friction", instrument.setUp().pegKind().holdsByFriction());
        model.addAttribute("offs", Schools.Off.values());
        model.addAttribute("begins", Schools.Begin.values());
        model.addAttribute("firstEnds", Schools.FirstEnd.values());
        model.addAttribute("locks", Lock.of(instrument.setUp().family()));
        model.addAttribute("walls", Wall.values());
        model.addAttribute("treatments", Schools.Treatment.values());
        model.addAttribute("lowestWays", Way.values());
        model.addAttribute("spareTips", Schools.SpareTip.values());
        model.addAttribute("feltChoices", Schools.Felts.values());
        model.addAttribute("stances", Schools.Stance.values());
        model.addAttribute("evenings", Schools.Evening.values());
        model.addAttribute("oldStringChoices", Schools.OldStrings.values());

        Map<UUID, StringKind> byId = ofFamily.stream().collect(Collectors.toMap(StringKind::id, Function.identity()));
        Map<Position, StringSpec> replacements = new EnumMap<>(Position.class);
        Map<Position, List<Finding>> fits = new LinkedHashMap<>();
        if (!Lock.of(instrument.setUp().family()).contains(form.getLock())) {
            form.setLock(Schools.USUAL.atPeg().lock());
        }
        FitCheck check = FitCheck.of(instrument.setUp(), instrument.specs());
        for (Position position : form.getStrings()) {
            StringKind kind = byId.get(form.getKinds().get(position));
            if (kind == null) {
                result.rejectValue("kinds[" + position + "]", "plan.kind.missing");
            } else {
                replacements.put(position, kind.spec());
                fits.put(position, check.judge(position, kind.spec(), form.getLock()));
            }
        }
        model.addAttribute("fits", fits);
        if (replacements.size() > 1) {
            check.judgeTogether(replacements).ifPresent(rise -> model.addAttribute("together", rise));
        }
        if (form.getStrings().isEmpty()) {
            result.rejectValue("strings", "plan.strings.missing");
        }
        boolean wrongPosition = replacements.entrySet().stream()
                .anyMatch(entry -> entry.getValue().position() != entry.getKey());
        if (result.hasErrors() || wrongPosition) {
            return Optional.empty();
        }
        ChangeRequest request = ChangeRequest.usual(instrument.setUp(), instrument.specs(), replacements)
                .by(form.schools())
                .on(instrument.particulars())
                .asService(form.getReason() == Reason.SERVICE)
                .covered(over(instrument, form))
                .withBroken(form.getBroken().stream()
                        .filter(replacements::containsKey)
                        .collect(Collectors.toSet()))
                .withPegs(form.getPegs().entrySet().stream()
                        .filter(entry -> entry.getValue() != null)
                        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
        ChangePlan plan = ChangePlanner.plan(request);
        if (replacements.size() > 1) {
            List<Compared> comparison = Compared.of(ChangePlanner.compare(request), request.schools());
            model.addAttribute("comparison", comparison);
            model.addAttribute("picture", picture.of(comparison, request.bands()));
        }
        model.addAttribute("advice", OccasionAdvice.of(diary.toCome(), instrument, replacements, clock.instant()));
        model.addAttribute("plan", plan);
        model.addAttribute("passages", Passage.of(plan));
        model.addAttribute("laidOut", KitController.laidOut(plan.kit()));
        model.addAttribute("myKit", habits.kit());
        model.addAttribute(
                "packets",
                plan.order().stream()
                        .map(position -> Map.entry(
                                position,
                                byId.get(form.getKinds().get(position)).label()))
                        .toList());
        model.addAttribute("track", LoadTrack.of(plan, -1, 680, 190));
        model.addAttribute("narrowTrack", LoadTrack.of(plan, -1, 370, 170));
        return Optional.of(plan);
    }

    private static Map<Position, Set<Position>> over(Instrument instrument, PlanForm form) {
        Map<Position, Set<Position>> over = new EnumMap<>(Position.class);
        form.getOver().forEach((position, covering) -> {
            Set<Position> there = covering == null ? new HashSet<>() : new HashSet<>(covering);
            there.retainAll(instrument.setUp().positions());
            there.remove(position);
            over.put(position, there);
        });
        return over;
    }

    private static Map<Position, List<Position>> neighbours(Instrument instrument) {
        Map<Position, List<Position>> neighbours = new EnumMap<>(Position.class);
        for (Position position : instrument.setUp().positions()) {
            List<Position> beside = new ArrayList<>(instrument.setUp().positions());
            beside.removeIf(other -> !other.isNeighbourOf(position));
            neighbours.put(position, beside);
        }
        return neighbours;
    }
}
