package rosinedpeg.core.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/** The steps of a plan as they are written down, one after the other, with the tension of every string at each. */
final class StepList {

    /** How far backwards a hair is, as a share of the bridge's height. */
    private static final double HAIR = 0.01;

    /** A string that has carried less than this share of its tension has moved in its groove. */
    private static final double MOVED = 0.9;

    private final PlanKind kind;
    private final SetUp setUp;
    private final LoadBands bands;
    private final Guard guard;
    private final Schools.Bridge bridge;
    private final Map<Position, Double> before;
    private final Map<Position, Double> after;
    private final InstrumentLoad load;
    private final Map<Position, Double> atStart;
    private final Map<Position, Double> tensionsN;
    private final List<Step> steps = new ArrayList<>();
    private final List<Finding> refusals = new ArrayList<>();

    StepList(
            PlanKind kind,
            SetUp setUp,
            Particulars particulars,
            Schools.Bridge bridge,
            Map<Position, Double> before,
            Map<Position, Double> after) {
        this.kind = kind;
        this.setUp = setUp;
        this.bands = particulars.bands();
        this.guard = particulars.guard();
        this.bridge = bridge;
        this.before = before;
        this.after = after;
        this.load = new InstrumentLoad(setUp, before);
        this.atStart = new EnumMap<>(before);
        this.tensionsN = new EnumMap<>(before);
    }

    /** {@return an empty list for a change} */
    static StepList of(PlanKind kind, ChangeRequest request) {
        SetUp setUp = request.setUp();
        StepList list = new StepList(
                kind,
                setUp,
                request.particulars(),
                request.schools().bridge(),
                setUp.tensionsN(request.present()),
                setUp.tensionsN(request.afterwards()));
        request.broken().forEach(list::slackAtStart);
        return list;
    }

    SetUp setUp() {
        return setUp;
    }

    InstrumentLoad load() {
        return load;
    }

    Map<Position, Double> before() {
        return before;
    }

    Map<Position, Double> after() {
        return after;
    }

    double tensionAfterN(Position position) {
        return after.get(position);
    }

    double tensionN(Position position) {
        return tensionsN.get(position);
    }

    /** Says that a string carries nothing as the work begins. */
    void slackAtStart(Position position) {
        atStart.put(position, 0.0);
        tensionsN.put(position, 0.0);
    }

    void setTensionN(Position position, double tensionN) {
        tensionsN.put(position, tensionN);
    }

    boolean isService() {
        return kind == PlanKind.SERVICE;
    }

    Guard guard() {
        return guard;
    }

    void add(StepKind stepKind, Position position, Material... materials) {
        add(stepKind, position, List.of(materials), List.of());
    }

    void add(StepKind stepKind, Position position, List<Material> materials, List<Caution> cautions) {
        add(stepKind, position, materials, cautions, Map.of());
    }

    void add(
            StepKind stepKind,
            Position position,
            List<Material> materials,
            List<Caution> cautions,
            Map<StepFigure, Figure> figures) {
        LoadShares shares = load.shares(tensionsN);
        LoadBand band = bands.of(shares.treble());
        List<Caution> all = new ArrayList<>(cautions);
        if (band == LoadBand.THIN) {
            all.add(0, Caution.POST_THIN);
        }
        if (band == LoadBand.UNHELD && kind.recordedRepair()) {
            all.add(0, Caution.POST_UNHELD);
        }
        Map<StepFigure, Figure> known = new EnumMap<>(StepFigure.class);
        known.putAll(figures);
        if (bridge.stance() == Schools.Stance.HAIR_BACKWARDS
                && stepKind.readings().contains(Reading.GAP)
                && stepKind != StepKind.GRAPHITE) {
            double gapMm = -HAIR * setUp.value(Quantity.BRIDGE_HEIGHT);
            known.put(StepFigure.GAP_TO_AIM_FOR, Figure.byDefault(gapMm, Unit.MILLIMETRE));
        }
        Step step = new Step(steps.size(), stepKind, position, materials, all, known, tensionsN, shares, band);
        steps.add(step);
        if (refusals.isEmpty() && !kind.recordedRepair()) {
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
                    Figure.byDefault(bands.thinFrom(), Unit.SHARE)));
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

    /**
     * Begins work on a strung instrument: looked over, in tune, rested, the bridge's place marked.
     *
     * @param kit what to lay out beforehand; nothing to leave that step out
     */
    void open(Material... kit) {
        add(StepKind.LOOK_OVER, null, Material.GOOD_LIGHT);
        add(
                StepKind.TUNE_AND_STRAIGHTEN,
                null,
                List.of(Material.TUNER, Material.RIGHT_ANGLE_CARD),
                List.of(Caution.BRIDGE));
        if (kit.length > 0) {
            add(StepKind.LAY_OUT_KIT, null, kit);
        }
        rest();
        add(StepKind.MARK_BRIDGE, null, Material.SOFT_PENCIL);
    }

    /** Rounds the work off: tuned round, bridge looked at, fine tuners looked at, recorded. */
    void finish() {
        add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        if (bridge.evening() == Schools.Evening.LIFTED_A_HAIR) {
            add(StepKind.LIFT_A_HAIR, null, List.of(), List.of(Caution.EYES, Caution.BRIDGE));
            add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        }
        add(StepKind.LAST_BRIDGE_CHECK, null, Material.RIGHT_ANGLE_CARD);
        if (setUp.positions().stream().anyMatch(p -> setUp.tailEnds().get(p).hasFineTuner())) {
            add(StepKind.CHECK_FINE_TUNERS, null);
        }
        settleGuard();
        if (isService()) {
            add(
                    StepKind.CLEAN_BODY,
                    null,
                    List.of(Material.LINT_FREE_CLOTH),
                    List.of(Caution.SOLVENT, Caution.NO_WEIGHT_ON_SOUND_HOLES));
        }
        add(StepKind.RECORD, null);
    }

    /** What guards the groove of I is put right once I has moved. */
    private void settleGuard() {
        Double fullN = after.get(Position.I);
        boolean moved = fullN != null
                && steps.stream().anyMatch(step -> step.tensionsAfterN().get(Position.I) < MOVED * fullN);
        boolean tubeOn = guard == Guard.TUBE || steps.stream().anyMatch(step -> step.kind() == StepKind.SLIDE_TUBE_ON);
        if (moved && tubeOn) {
            add(StepKind.SEAT_TUBE, Position.I, List.of(), List.of(Caution.BRIDGE));
        } else if (moved && guard == Guard.PARCHMENT) {
            add(StepKind.LOOK_AT_PARCHMENT, Position.I);
        }
    }

    /** Lays the instrument as its size asks for. */
    void rest() {
        switch (setUp.family()) {
            case VIOLIN, VIOLA -> add(StepKind.REST_INSTRUMENT, null, Material.CLOTH_UNDER_TAILPIECE);
            case CELLO ->
                add(
                        StepKind.LAY_ON_BACK,
                        null,
                        List.of(Material.BLANKET, Material.CLOTH_UNDER_TAILPIECE),
                        List.of(Caution.NO_WEIGHT_ON_SOUND_HOLES));
            case BASS ->
                add(
                        StepKind.LAY_ON_BACK_AND_BLOCK,
                        null,
                        List.of(Material.BLANKET, Material.BLOCKS, Material.CLOTH_UNDER_TAILPIECE),
                        List.of(Caution.LIFTING, Caution.NO_WEIGHT_ON_SOUND_HOLES));
        }
    }

    List<Step> steps() {
        return steps;
    }

    ChangePlan plan(List<Position> order, List<StepKind> owed) {
        return new ChangePlan(kind, setUp, order, before, atStart, after, bands, steps, owed, refusals);
    }
}
