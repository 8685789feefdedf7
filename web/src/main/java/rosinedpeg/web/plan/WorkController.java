package rosinedpeg.web.plan;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.drawer.StringKind;
import rosinedpeg.web.drawer.StringKinds;
import rosinedpeg.web.drawing.LoadTrack;
import rosinedpeg.web.findings.Beforehand;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.Htmx;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.OpenTo;
import rosinedpeg.web.platform.Role;

/** Plans work that is not a plain change, and takes it to the bench. */
@Controller
class WorkController {

    private final StringKinds kinds;
    private final Benches benches;
    private final Instruments instruments;
    private final RunStart start;
    private final BenchCard card;
    private final Clock clock;

    WorkController(
            StringKinds kinds, Benches benches, Instruments instruments, RunStart start, BenchCard card, Clock clock) {
        this.kinds = kinds;
        this.benches = benches;
        this.instruments = instruments;
        this.start = start;
        this.card = card;
        this.clock = clock;
    }

    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work")
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
        planned(id, form, result, model);
        return Htmx.asks(request) ? "plan/work :: answer" : "plan/work";
    }

    /** The plan on one sheet of paper. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work/card")
    String card(
            @PathVariable UUID id,
            @ModelAttribute("form") WorkForm form,
            BindingResult result,
            Model model,
            HttpServletRequest request) {
        planned(id, form, result, model);
        model.addAttribute("now", clock.instant());
        model.addAttribute("pdf", BenchCard.address(request));
        return "plan/card";
    }

    /** The same as a PDF. */
    @OpenTo(Role.PLAYER)
    @GetMapping("/instruments/{id}/work/card.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable UUID id, @ModelAttribute("form") WorkForm form, BindingResult result, Model model) {
        ChangePlan plan = planned(id, form, result, model).orElseThrow(() -> new NotFoundException("plan for " + id));
        return card.of(plan, model.asMap());
    }

    @OpenTo(Role.PLAYER)
    @PostMapping("/instruments/{id}/work")
    String start(@PathVariable UUID id, @ModelAttribute("form") WorkForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        Beforehand beforehand = start.tell(instrument, model);
        Optional<ChangePlan> plan = show(instrument, form, result, model);
        if (result.hasErrors()
                || plan.isEmpty()
                || plan.get().refused()
                || !RunStart.mayBegin(beforehand, form, result)) {
            return "plan/work";
        }
        Map<Position, UUID> replacements = new EnumMap<>(Position.class);
        if (form.getKind() == PlanKind.EMERGENCY) {
            replacements.put(form.getString(), form.getNewKind());
        }
        UUID run = start.run(id, beforehand, plan.get(), replacements, reason(form), false);
        return "redirect:/bench/" + run;
    }

    private Optional<ChangePlan> planned(UUID id, WorkForm form, BindingResult result, Model model) {
        Instrument instrument = instruments.strung(id);
        start.tell(instrument, model);
        return show(instrument, form, result, model);
    }

    private static Reason reason(WorkForm form) {
        return switch (form.getKind()) {
            case EMERGENCY -> form.isBroken() ? Reason.BROKEN : Reason.WORN;
            case BRIDGE_DOWN -> Reason.BRIDGE_DOWN;
            default -> Reason.SERVICE;
        };
    }

    /** Works the plan out from the form, as far as it goes. */
    private Optional<ChangePlan> show(Instrument instrument, WorkForm form, BindingResult result, Model model) {
        if (!instrument.setUp().positions().contains(form.getString())) {
            form.setString(Position.I);
        }
        List<StringKind> offered = kinds.of(instrument.setUp().family(), form.getString());
        if (offered.stream().noneMatch(kind -> kind.id().equals(form.getNewKind()))) {
            form.setNewKind(
                    instrument.string(form.getString()).orElseThrow().kind().id());
        }
        model.addAttribute("instrument", instrument);
        model.addAttribute("offered", offered);
        model.addAttribute(
                "workKinds",
                Arrays.stream(PlanKind.values())
                        .filter(kind -> kind != PlanKind.CHANGE && kind != PlanKind.SERVICE)
                        .toList());
        model.addAttribute("pegConditions", PegCondition.values());
        model.addAttribute("friction", instrument.setUp().pegKind().holdsByFriction());
        model.addAttribute("treatments", Schools.Treatment.values());
        model.addAttribute("raisings", Schools.Raising.values());
        model.addAttribute("fits", List.of());
        model.addAttribute("usual", Schools.usual(instrument.setUp().family()).choices());
        model.addAttribute("cardAddress", "/instruments/" + instrument.id() + "/work/card");
        Optional<ChangePlan> plan = plan(instrument, form, offered, result, model);
        plan.ifPresent(there -> {
            model.addAttribute("plan", there);
            model.addAttribute("passages", Passage.of(there));
            model.addAttribute("laidOut", KitController.laidOut(there.kit()));
            model.addAttribute("track", LoadTrack.of(there, -1, 680, 190));
            model.addAttribute("narrowTrack", LoadTrack.of(there, -1, 370, 170));
        });
        return plan;
    }

    private static Optional<ChangePlan> plan(
            Instrument instrument, WorkForm form, List<StringKind> offered, BindingResult result, Model model) {
        Schools schools = Schools.usual(instrument.setUp().family())
                .with(form.getTreatment())
                .with(Schools.USUAL.bridge().stance(), form.getRaising());
        RepairPlanner planner =
                new RepairPlanner(instrument.setUp(), instrument.specs(), schools, instrument.particulars());
        return switch (form.getKind()) {
            case CHANGE, SERVICE -> throw new NotFoundException("a change is planned elsewhere");
            case EMERGENCY -> emergency(instrument, form, offered, model);
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

    private static Optional<ChangePlan> emergency(
            Instrument instrument, WorkForm form, List<StringKind> offered, Model model) {
        Position position = form.getString();
        StringKind kind = offered.stream()
                .filter(one -> one.id().equals(form.getNewKind()))
                .findFirst()
                .orElseThrow();
        List<Finding> fits = FitCheck.of(instrument.setUp(), instrument.specs()).judge(position, kind.spec());
        model.addAttribute("fits", fits);
        if (fits.stream().anyMatch(Finding::stops)) {
            return Optional.empty();
        }
        ChangeRequest request = ChangeRequest.usual(
                        instrument.setUp(), instrument.specs(), Map.of(position, kind.spec()))
                .on(instrument.particulars())
                .withBroken(form.isBroken() ? Set.of(position) : Set.of());
        return Optional.of(RepairPlanner.emergency(request));
    }
}
