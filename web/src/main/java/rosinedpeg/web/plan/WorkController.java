package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Pace;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.findings.Inspections;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.pegs.PegLooks;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Page;
import rosinedpeg.web.platform.Role;

/** Plans work that is not a plain change, and takes it to the bench. */
@Controller
class WorkController {

    private final StringKinds kinds;
    private final Benches benches;
    private final Instruments instruments;
    private final Inspections inspections;
    private final PegLooks pegLooks;
    private final Habits habits;
    private final RunStart start;
    private final Pace pace;
    private final BenchCard card;
    private final Clock clock;

    WorkController(
            StringKinds kinds,
            Benches benches,
            Instruments instruments,
            Inspections inspections,
            PegLooks pegLooks,
            Habits habits,
            RunStart start,
            Pace pace,
            BenchCard card,
            Clock clock) {
        this.kinds = kinds;
        this.benches = benches;
        this.instruments = instruments;
        this.inspections = inspections;
        this.pegLooks = pegLooks;
        this.habits = habits;
        this.start = start;
        this.pace = pace;
        this.card = card;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work")
    @Transactional(readOnly = true)
    String work(
            @PathVariable UUID id,
            @ModelAttribute("form") WorkForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Optional<UUID> open = benches.openFor(id);
        if (open.isPresent()) {
            return "redirect:/bench/" + open.get();
        }
        Instrument instrument = instruments.strung(id);
        // Whoever comes to the page has said nothing of any peg; whoever leaves one as it is has.
        if (form.getKind() == PlanKind.PEG_SERVICE && form.getPegs().isEmpty()) {
            form.getPegs().putAll(pegLooks.toTreat(id, instrument.setUp().pegKind()));
        }
        Page.lay(page(instrument, form, result), model);
        return Htmx.asks(request) ? "plan/work :: answer" : "plan/work";
    }

    /** The plan on one sheet of paper. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work/card")
    @Transactional(readOnly = true)
    String card(
            @PathVariable UUID id,
            @ModelAttribute("form") WorkForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        Page.lay(onCard(page(instruments.strung(id), form, result), request), model);
        return "plan/card";
    }

    /** The same as a PDF. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work/card.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable UUID id,
            @ModelAttribute("form") WorkForm form,
            BindingResult result,
            HttpServletRequest request) {
        return card.of(onCard(page(instruments.strung(id), form, result), request));
    }

    private CardPage onCard(WorkPage page, HttpServletRequest request) {
        return CardPage.of(page.instrument(), page.beforehand(), page.course(), request, clock.instant());
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/work")
    String start(@PathVariable UUID id, @ModelAttribute("form") WorkForm form, BindingResult result, Model model) {
        WorkPage page = page(instruments.strung(id), form, result);
        if (result.hasErrors()
                || page.course().isEmpty()
                || page.course().get().plan().refused()
                || !RunStart.mayBegin(page.beforehand(), form, result)) {
            Page.lay(page, model);
            return "plan/work";
        }
        Map<Position, UUID> replacements = new EnumMap<>(Position.class);
        if (form.getKind() == PlanKind.EMERGENCY) {
            replacements.put(form.getString(), form.getNewKind());
        }
        UUID run = start.run(
                id,
                page.beforehand(),
                page.course().get().plan(),
                Schools.usual(page.instrument().setUp().family()),
                replacements,
                reason(form),
                false,
                Map.of());
        return "redirect:/bench/" + run;
    }

    private static Reason reason(WorkForm form) {
        return switch (form.getKind()) {
            case EMERGENCY -> form.isBroken() ? Reason.BROKEN : Reason.WORN;
            case BRIDGE_DOWN -> Reason.BRIDGE_DOWN;
            default -> Reason.SERVICE;
        };
    }

    /** Works the plan out from the form, as far as it goes. */
    private WorkPage page(Instrument instrument, WorkForm form, BindingResult result) {
        SetUp setUp = instrument.setUp();
        if (!setUp.positions().contains(form.getString())) {
            form.setString(Position.I);
        }
        List<StringKind> offered = kinds.of(setUp, form.getString());
        if (offered.stream().noneMatch(kind -> kind.id().equals(form.getNewKind()))) {
            form.setNewKind(
                    instrument.string(form.getString()).orElseThrow().kind().id());
        }
        Optional<StringKind> newString = offered.stream()
                .filter(kind ->
                        form.getKind() == PlanKind.EMERGENCY && kind.id().equals(form.getNewKind()))
                .findFirst();
        Optional<StringSpec> string = newString.map(StringKind::spec);
        List<Finding> fits = string.map(
                        spec -> FitCheck.of(setUp, instrument.specs()).judge(form.getString(), spec))
                .orElse(List.of());
        Optional<ChangePlan> plan =
                fits.stream().anyMatch(Finding::stops) ? Optional.empty() : plan(instrument, form, string, result);
        return new WorkPage(
                instrument,
                inspections.beforehand(instrument),
                new WorkPage.Choices(setUp, offered),
                Schools.usual(setUp.family()).choices(),
                "/instruments/" + instrument.id() + "/work/card",
                fits,
                plan.map(there -> Course.of(
                        there,
                        habits.kit(),
                        newString.map(kind -> Map.of(form.getString(), kind)).orElse(Map.of()),
                        pace.here(setUp.family(), Schools.usual(setUp.family()), there.minutes()))));
    }

    private Optional<ChangePlan> plan(
            Instrument instrument, WorkForm form, Optional<StringSpec> string, BindingResult result) {
        Schools schools = Schools.usual(instrument.setUp().family())
                .with(form.getTreatment())
                .with(Schools.USUAL.bridge().stance(), form.getRaising());
        RepairPlanner planner =
                new RepairPlanner(instrument.setUp(), instrument.specs(), schools, instrument.particulars());
        return switch (form.getKind()) {
            case CHANGE, SERVICE -> throw new NotFoundException("a change is planned elsewhere");
            case EMERGENCY -> string.map(spec -> emergency(instrument, form, spec));
            case BRIDGE_DOWN -> Optional.of(planner.bridgeDown());
            case TAILPIECE_CHANGE -> Optional.of(planner.tailpieceChange());
            case GRAPHITE -> Optional.of(planner.graphite());
            case PEG_SERVICE -> {
                Map<Position, PegCondition> pegs = new EnumMap<>(Position.class);
                form.getPegs().forEach((position, condition) -> {
                    if (condition != null && instrument.setUp().positions().contains(position)) {
                        pegs.put(position, condition);
                    }
                });
                if (pegs.isEmpty()) {
                    result.rejectValue("pegs", "work.pegs.missing");
                    yield Optional.empty();
                }
                yield Optional.of(planner.pegService(pegs));
            }
        };
    }

    private ChangePlan emergency(Instrument instrument, WorkForm form, StringSpec string) {
        Position position = form.getString();
        ChangeRequest request = ChangeRequest.usual(instrument.setUp(), instrument.specs(), Map.of(position, string))
                .on(instrument.particulars())
                .withPegs(
                        pegLooks.conditions(instrument.id(), instrument.setUp().pegKind()))
                .withBroken(form.isBroken() ? Set.of(position) : Set.of());
        return RepairPlanner.emergency(request);
    }
}
