package rosinedpeg.core.plan;

import static rosinedpeg.core.plan.StepFigure.CENTS_PER_PEG_DEGREE;
import static rosinedpeg.core.plan.StepFigure.DRAG_LEAN_DRY;
import static rosinedpeg.core.plan.StepFigure.DRAG_LEAN_GRAPHITED;
import static rosinedpeg.core.plan.StepFigure.STRETCH;
import static rosinedpeg.core.plan.StepFigure.TENSION;
import static rosinedpeg.core.plan.StepFigure.TIP;
import static rosinedpeg.core.plan.StepFigure.TURNS;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Permutations;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Turns;

/**
 * Lays out the steps of a change on a violin or viola, following the tension of every string from step to step.
 *
 * <p>After each step the load on both feet of the bridge is worked out as a share of the fully strung load. A plan in
 * which the treble foot falls below its last band, or the bass foot is lifted, is refused, with the step and the share
 * as the reason.
 */
public final class ChangePlanner {

    private static final Comparator<ChangePlan> HELD_BEST = Comparator.comparing(ChangePlan::refused)
            .thenComparing(Comparator.comparingDouble(ChangePlan::leastTreble).reversed())
            .thenComparingLong(ChangePlan::setAsides)
            .thenComparingDouble(ChangePlan::minutes);

    private final ChangeRequest request;
    private final List<Position> order;
    private final SetUp setUp;
    private final Map<Position, Double> before;
    private final Map<Position, Double> after;
    private final InstrumentLoad load;
    private final Map<Position, Double> tensionsN;
    private final List<Step> steps = new ArrayList<>();
    private final List<Finding> refusals = new ArrayList<>();

    private ChangePlanner(ChangeRequest request, List<Position> order) {
        this.request = request;
        this.order = order;
        this.setUp = request.setUp();
        this.before = setUp.tensionsN(request.present());
        this.after = setUp.tensionsN(request.afterwards());
        this.load = new InstrumentLoad(setUp, before);
        this.tensionsN = new EnumMap<>(before);
    }

    /**
     * Plans a change.
     *
     * @param request what is to be changed, and how
     * @return the plan; a refused one still shows its steps, so that one can see where it fails
     * @throws IllegalArgumentException for a cello or bass, whose steps differ
     */
    public static ChangePlan plan(ChangeRequest request) {
        if (!request.setUp().family().restsOnLap()) {
            throw new IllegalArgumentException(
                    "family is " + request.setUp().family() + "; it must be VIOLIN or VIOLA");
        }
        return orders(request.schools().begin(), request.replacements().keySet()).stream()
                .map(order -> new ChangePlanner(request, order).plan())
                .min(HELD_BEST)
                .orElseThrow();
    }

    /**
     * The same change by every school of how many strings are off and where to begin.
     *
     * @param request what is to be changed; its own choice of these two does not matter
     * @return a plan for each, the one that holds the post best first, refused ones last; of a single string there is
     *     only one way
     */
    public static Map<Schools, ChangePlan> compare(ChangeRequest request) {
        Map<Schools, ChangePlan> plans = new LinkedHashMap<>();
        boolean several = request.replacements().size() > 1;
        for (Schools.Off off : several ? Schools.Off.values() : new Schools.Off[] {Schools.Off.ONE_AT_A_TIME}) {
            for (Schools.Begin begin :
                    several ? Schools.Begin.values() : new Schools.Begin[] {Schools.Begin.BEST_HELD}) {
                Schools schools = request.schools().with(off, begin);
                plans.put(schools, plan(request.by(schools)));
            }
        }
        return plans.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(HELD_BEST))
                .collect(Collectors.toMap(
                        Map.Entry::getKey, Map.Entry::getValue, (first, second) -> first, LinkedHashMap::new));
    }

    /** {@return the orders a school leaves open: one, or every one of them for best held} */
    private static List<List<Position>> orders(Schools.Begin begin, Set<Position> chosen) {
        Comparator<Position> comparator = switch (begin) {
            case TOP_DOWN -> Comparator.naturalOrder();
            case BOTTOM_UP -> Comparator.reverseOrder();
            case INNER_FIRST, BEST_HELD ->
                Comparator.comparing((Position position) -> position == Position.I || position.number() >= 4)
                        .thenComparing(Comparator.naturalOrder());
        };
        List<Position> sorted = chosen.stream().sorted(comparator).toList();
        return begin == Schools.Begin.BEST_HELD ? Permutations.of(sorted) : List.of(sorted);
    }

    private ChangePlan plan() {
        add(StepKind.LOOK_OVER, null, Material.GOOD_LIGHT);
        add(
                StepKind.TUNE_AND_STRAIGHTEN,
                null,
                List.of(Material.TUNER, Material.RIGHT_ANGLE_CARD),
                List.of(Caution.BRIDGE));
        add(StepKind.LAY_OUT_KIT, null, Material.NEW_STRING, Material.EYE_PROTECTION);
        add(StepKind.REST_INSTRUMENT, null, Material.CLOTH_UNDER_TAILPIECE);
        add(StepKind.MARK_BRIDGE, null, Material.SOFT_PENCIL);
        if (request.schools().off() == Schools.Off.ONE_AT_A_TIME) {
            for (Position position : order) {
                takeOff(position);
                putOn(position);
            }
        } else {
            order.forEach(this::takeOff);
            List<Position> backOn = new ArrayList<>(order);
            Collections.reverse(backOn);
            backOn.forEach(this::putOn);
        }
        add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        add(StepKind.LAST_BRIDGE_CHECK, null, Material.RIGHT_ANGLE_CARD);
        if (setUp.positions().stream().anyMatch(p -> setUp.tailEnds().get(p).hasFineTuner())) {
            add(StepKind.CHECK_FINE_TUNERS, null);
        }
        add(StepKind.RECORD, null);
        return new ChangePlan(setUp, order, before, after, request.bands(), steps, refusals);
    }

    private void takeOff(Position position) {
        if (setUp.tailEnds().get(position).hasFineTuner()) {
            add(StepKind.BACK_OUT_FINE_TUNER, position);
        }
        Position neighbour = request.setAsides().get(position);
        if (neighbour != null && tensionsN.get(neighbour) > 0) {
            tensionsN.put(neighbour, InstrumentLoad.SET_ASIDE * tensionsN.get(neighbour));
            add(StepKind.SET_ASIDE_NEIGHBOUR, neighbour);
        }
        tensionsN.put(position, 0.0);
        add(StepKind.LET_DOWN, position, List.of(Material.TWEEZERS), List.of(Caution.EYES, Caution.SHARP_ENDS));
        add(StepKind.FREE_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
        if (request.schools().oldStrings() == Schools.OldStrings.KEPT) {
            add(StepKind.COIL_OLD_STRING, position, Material.STRING_PACKET);
        } else {
            add(StepKind.CUT_UP_OLD_STRING, position, List.of(), List.of(Caution.SHARP_ENDS));
        }
        add(
                StepKind.WIPE_FINGERBOARD,
                position,
                List.of(Material.LINT_FREE_CLOTH, Material.ALCOHOL),
                List.of(Caution.SOLVENT));
        treatPeg(position);
        add(StepKind.GRAPHITE, position, Material.SOFT_PENCIL);
    }

    private void treatPeg(Position position) {
        PegCondition condition = request.peg(position);
        List<Material> materials = new ArrayList<>(List.of(Material.LINT_FREE_CLOTH));
        List<Caution> cautions = new ArrayList<>(List.of(Caution.PEG));
        condition.treatedWith(request.schools().treatment()).ifPresent(materials::add);
        if (condition == PegCondition.SLIPS) {
            cautions.add(Caution.NO_LUBRICANT);
        }
        if (materials.contains(Material.CHALK)) {
            cautions.add(Caution.DUST);
        }
        add(materials.size() > 1 ? StepKind.TREAT_PEG : StepKind.CLEAN_PEG, position, materials, cautions);
    }

    private void putOn(Position position) {
        StringSpec string = request.replacements().get(position);
        if (request.schools().firstEnd() == Schools.FirstEnd.PEG_FIRST) {
            lockAndWind(position, string);
            add(StepKind.HANG_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
        } else {
            add(StepKind.HANG_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
            lockAndWind(position, string);
        }
        add(StepKind.SEAT_IN_GROOVES, position);
        bringUp(position, string);
        add(StepKind.CHECK_BRIDGE, position, List.of(Material.RIGHT_ANGLE_CARD), List.of(Caution.BRIDGE));
        Position neighbour = request.setAsides().get(position);
        if (neighbour != null && tensionsN.get(neighbour) > 0) {
            tensionsN.put(neighbour, after.get(neighbour));
            add(StepKind.RETURN_NEIGHBOUR, neighbour, List.of(Material.TUNER), List.of(Caution.EYES));
        }
    }

    private void lockAndWind(Position position, StringSpec string) {
        Schools schools = request.schools();
        Origin scaleOrigin = setUp.weakestOrigin(Quantity.VIBRATING_LENGTH, Quantity.AFTERLENGTH);
        add(
                schools.lock() == Schools.Lock.FAR_SIDE_THEN_CROSS
                        ? StepKind.LOCK_FAR_SIDE_THEN_CROSS
                        : StepKind.LOCK_STRAIGHT_TO_WALL,
                position,
                List.of(Material.NEW_STRING),
                List.of(Caution.SHARP_ENDS),
                Map.of(TIP, Figure.byDefault(Turns.tipMm(setUp.family()), Unit.MILLIMETRE)));
        add(
                schools.wall() == Schools.Wall.WOUND_TO_WALL ? StepKind.WIND_TO_WALL : StepKind.WIND_LEAVING_GAP,
                position,
                List.of(),
                List.of(Caution.ADULT_WINDS),
                Map.of(TURNS, Figure.workedOut(Turns.of(setUp, string).count(), Unit.TURN, scaleOrigin)));
    }

    private void bringUp(Position position, StringSpec string) {
        Elasticity elasticity = setUp.elasticity(string);
        Origin scaleOrigin = setUp.weakestOrigin(Quantity.VIBRATING_LENGTH);
        double loadShare = after.get(position)
                / after.values().stream().mapToDouble(Double::doubleValue).sum();
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        figures.put(TENSION, Figure.workedOut(elasticity.tensionN(), Unit.NEWTON, scaleOrigin));
        figures.put(STRETCH, Figure.workedOut(elasticity.stretchMm(), Unit.MILLIMETRE, scaleOrigin));
        figures.put(
                CENTS_PER_PEG_DEGREE,
                Figure.workedOut(
                        elasticity.centsPerPegDegree(setUp.value(Quantity.SHAFT_DIAMETER), string.diameterMm()),
                        Unit.CENT_PER_DEGREE,
                        setUp.weakestOrigin(Quantity.VIBRATING_LENGTH, Quantity.SHAFT_DIAMETER)));
        figures.put(DRAG_LEAN_GRAPHITED, drag(position, string, Drag.GRAPHITED, loadShare));
        figures.put(DRAG_LEAN_DRY, drag(position, string, Drag.DRY, loadShare));
        tensionsN.put(position, after.get(position));
        add(
                StepKind.BRING_UP,
                position,
                List.of(Material.TUNER, Material.EYE_PROTECTION),
                List.of(Caution.EYES, Caution.BRIDGE),
                figures);
    }

    private Figure drag(Position position, StringSpec string, double stuckShare, double loadShare) {
        return Figure.byDefault(
                Drag.lean(
                                after.get(position),
                                string.axialStiffnessN(),
                                setUp.value(Quantity.AFTERLENGTH),
                                stuckShare,
                                loadShare,
                                setUp.value(Quantity.BRIDGE_HEIGHT))
                        .degrees(),
                Unit.DEGREE);
    }

    private void add(StepKind kind, Position position, Material... materials) {
        add(kind, position, List.of(materials), List.of());
    }

    private void add(StepKind kind, Position position, List<Material> materials, List<Caution> cautions) {
        add(kind, position, materials, cautions, Map.of());
    }

    private void add(
            StepKind kind,
            Position position,
            List<Material> materials,
            List<Caution> cautions,
            Map<StepFigure, Figure> figures) {
        LoadShares shares = load.shares(tensionsN);
        LoadBand band = request.bands().of(shares.treble());
        List<Caution> all = new ArrayList<>(cautions);
        if (band == LoadBand.THIN) {
            all.add(0, Caution.POST_THIN);
        }
        Step step = new Step(steps.size(), kind, position, materials, all, figures, tensionsN, shares, band);
        steps.add(step);
        if (refusals.isEmpty()) {
            refuseIfLetGo(step);
        }
    }

    private void refuseIfLetGo(Step step) {
        Origin origin = setUp.weakestOrigin(Quantity.FOOT_SPAN, Quantity.BRIDGE_SPACING);
        LoadShares shares = step.sharesAfter();
        if (step.bandAfter() == LoadBand.UNHELD) {
            refusals.add(Finding.on(
                    step.position(),
                    FindingKind.POST_LET_GO,
                    Severity.STOPS,
                    Figure.workedOut(shares.treble(), Unit.SHARE, origin),
                    Figure.byDefault(request.bands().thinFrom(), Unit.SHARE)));
        }
        if (shares.bassFootLifts()) {
            refusals.add(Finding.on(
                    step.position(),
                    FindingKind.BASS_FOOT_LIFTS,
                    Severity.STOPS,
                    Figure.workedOut(shares.bass(), Unit.SHARE, origin),
                    Figure.byDefault(0, Unit.SHARE)));
        }
    }
}
