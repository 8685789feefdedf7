package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
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
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Plans a change and takes it to the bench. */
@Controller
class PlanController {

    private final StringKinds kinds;
    private final Benches benches;
    private final Instruments instruments;
    private final Inspections inspections;
    private final RunStart start;
    private final Occasions occasions;
    private final Habits habits;
    private final PegLooks pegLooks;
    private final Pace pace;
    private final BenchCard card;
    private final ComparisonPicture picture;
    private final DrawerAdvice drawer;
    private final Clock clock;

    PlanController(
            StringKinds kinds,
            Benches benches,
            Instruments instruments,
            Inspections inspections,
            RunStart start,
            Occasions occasions,
            Habits habits,
            PegLooks pegLooks,
            Pace pace,
            BenchCard card,
            ComparisonPicture picture,
            DrawerAdvice drawer,
            Clock clock) {
        this.kinds = kinds;
        this.benches = benches;
        this.instruments = instruments;
        this.inspections = inspections;
        this.start = start;
        this.occasions = occasions;
        this.habits = habits;
        this.pegLooks = pegLooks;
        this.pace = pace;
        this.card = card;
        this.picture = picture;
        this.drawer = drawer;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan")
    @Transactional(readOnly = true)
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
        Page.lay(planned(id, form, result, request), model);
        return Htmx.asks(request) ? "plan/plan :: answer" : "plan/plan";
    }

    /** The plan on one sheet of paper. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan/card")
    @Transactional(readOnly = true)
    String card(
            @PathVariable UUID id,
            @ModelAttribute("form") PlanForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Page.lay(onCard(planned(id, form, result, request), request), model);
        return "plan/card";
    }

    /** The same as a PDF. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/plan/card.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable UUID id,
            @ModelAttribute("form") PlanForm form,
            BindingResult result,
            HttpServletRequest request) {
        return card.of(onCard(planned(id, form, result, request), request));
    }

    private CardPage onCard(PlanPage page, HttpServletRequest request) {
        return CardPage.of(page.instrument(), page.beforehand(), page.course(), request, clock.instant());
    }

    private PlanPage planned(UUID id, PlanForm form, BindingResult result, HttpServletRequest request) {
        Instrument instrument = instruments.strung(id);
        begin(instrument, form, request);
        return page(instrument, form, result);
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/plan")
    String start(@PathVariable UUID id, @ModelAttribute("form") PlanForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        PlanPage page = page(instrument, form, result);
        if (result.hasErrors()
                || page.course().isEmpty()
                || page.course().get().plan().refused()
                || !page.allFit()
                || !RunStart.mayBegin(page.beforehand(), form, result)) {
            Page.lay(page, model);
            return "plan/plan";
        }
        Map<Position, UUID> replacements = new EnumMap<>(Position.class);
        form.getStrings()
                .forEach(position -> replacements.put(position, form.getKinds().get(position)));
        boolean keepOld = form.getOldStrings() == Schools.OldStrings.KEPT;
        habits.remember(instrument.setUp(), form.schools());
        Map<Position, UUID> picked = new EnumMap<>(Position.class);
        page.fromDrawer()
                .forEach((position, there) -> there.taken().ifPresent(string -> picked.put(position, string.id())));
        UUID run = start.run(
                id,
                page.beforehand(),
                page.course().get().plan(),
                form.schools(),
                replacements,
                form.getReason(),
                keepOld,
                picked);
        return "redirect:/bench/" + run;
    }

    /** What does not come from the form itself, but from a link, at most says which strings, of which kind, and whether the old ones are kept. */
    private void begin(Instrument instrument, PlanForm form, HttpServletRequest request) {
        if (request.getParameter("off") == null) {
            Schools.OldStrings kept = form.getOldStrings();
            Set<Position> wanted = form.getStrings().isEmpty() ? due(instrument) : form.getStrings();
            form.begin(
                    instrument,
                    pegLooks.conditions(instrument.id(), instrument.setUp().pegKind()),
                    wanted,
                    habits.schools(instrument.setUp().family()));
            if (request.getParameter("oldStrings") != null) {
                form.setOldStrings(kept);
            }
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
    private PlanPage page(Instrument instrument, PlanForm form, BindingResult result) {
        Family family = instrument.setUp().family();
        List<StringKind> ofFamily = kinds.of(instrument.setUp());
        complete(form, instrument);
        Map<UUID, StringKind> byId = ofFamily.stream().collect(Collectors.toMap(StringKind::id, Function.identity()));
        Map<Position, StringKind> chosen = new EnumMap<>(Position.class);
        for (Position position : form.getStrings()) {
            StringKind kind = byId.get(form.getKinds().get(position));
            if (kind == null) {
                result.rejectValue("kinds[" + position + "]", "plan.kind.missing");
            } else {
                chosen.put(position, kind);
            }
        }
        if (form.getStrings().isEmpty()) {
            result.rejectValue("strings", "plan.strings.missing");
        }
        Map<Position, StringSpec> replacements = new EnumMap<>(Position.class);
        chosen.forEach((position, kind) -> replacements.put(position, kind.spec()));
        FitCheck check = FitCheck.of(instrument.setUp(), instrument.specs());
        Map<Position, List<Finding>> fits = new LinkedHashMap<>();
        replacements.forEach((position, string) -> fits.put(position, check.judge(position, string, form.getLock())));
        boolean wrongPosition = replacements.entrySet().stream()
                .anyMatch(entry -> entry.getValue().position() != entry.getKey());
        Optional<ChangeRequest> request = result.hasErrors() || wrongPosition
                ? Optional.empty()
                : Optional.of(request(instrument, form, replacements));
        Optional<ChangePlan> planned = request.map(ChangePlanner::plan);
        boolean several = replacements.size() > 1;
        return new PlanPage(
                instrument,
                inspections.beforehand(instrument),
                PlanChoices.of(instrument.setUp(), ofFamily),
                Schools.usual(family).choices(),
                "/instruments/" + instrument.id() + "/plan/card",
                fits,
                several ? check.judgeTogether(replacements) : Optional.empty(),
                drawer.of(instrument, chosen, ofFamily, form.getPackets()),
                planned.map(plan ->
                        Course.of(plan, habits.kit(), chosen, pace.here(family, form.schools(), plan.minutes()))),
                request.filter(there -> several).map(this::comparison),
                planned.map(plan -> OccasionAdvice.of(
                                occasions.toCome(instrument.id()),
                                instrument,
                                inOrder(plan, chosen),
                                form.getOff() == Schools.Off.ONE_A_DAY,
                                clock.instant()))
                        .orElse(List.of()));
    }

    /** What goes on, in the order of the plan. */
    private static Map<Position, StringKind> inOrder(ChangePlan plan, Map<Position, StringKind> chosen) {
        Map<Position, StringKind> inOrder = new LinkedHashMap<>();
        plan.order().forEach(position -> inOrder.put(position, position.in(chosen)));
        return inOrder;
    }

    /** What the form does not say, or says of another instrument, is as it is on this one. */
    private static void complete(PlanForm form, Instrument instrument) {
        form.getStrings().retainAll(instrument.setUp().positions());
        for (Position position : instrument.setUp().positions()) {
            form.getKinds()
                    .putIfAbsent(
                            position,
                            instrument.string(position).orElseThrow().kind().id());
        }
        if (!Lock.of(instrument.setUp().family()).contains(form.getLock())) {
            form.setLock(Schools.USUAL.atPeg().lock());
        }
    }

    private static ChangeRequest request(Instrument instrument, PlanForm form, Map<Position, StringSpec> replacements) {
        return ChangeRequest.usual(instrument.setUp(), instrument.specs(), replacements)
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
    }

    private PlanPage.Comparison comparison(ChangeRequest request) {
        List<Compared> ways = Compared.of(ChangePlanner.compare(request), request.schools());
        return new PlanPage.Comparison(ways, picture.of(ways, request.bands()));
    }

    private static Map<Position, Set<Position>> over(Instrument instrument, PlanForm form) {
        Map<Position, Set<Position>> over = new EnumMap<>(Position.class);
        form.getOver().forEach((position, covering) -> {
            Set<Position> there = covering == null ? new HashSet<>() : new HashSet<>(covering);
            there.removeIf(Objects::isNull);
            there.retainAll(instrument.setUp().positions());
            there.remove(position);
            over.put(position, there);
        });
        return over;
    }
}
