package rosinedpeg.core.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bridge.BridgeEasing;
import rosinedpeg.core.bridge.Lean;
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
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/** The steps of a plan as they are written down, one after the other, with the tension of every string at each. */
final class StepList {

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
    private final Set<Position> testedMachines = EnumSet.noneOf(Position.class);
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
        this.before = new EnumMap<>(before);
        this.after = new EnumMap<>(after);
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
        return position.in(after);
    }

    /** {@return what every string carries now, in N} */
    Map<Position, Double> tensionsN() {
        return new EnumMap<>(tensionsN);
    }

    /** {@return whether too little load is left on the post} */
    boolean unheld() {
        return bands.of(load.shares(tensionsN).treble()) == LoadBand.UNHELD;
    }

    /** {@return whether nothing carries anything} */
    boolean slack() {
        return tensionsN.values().stream().allMatch(tensionN -> tensionN == 0);
    }

    double tensionN(Position position) {
        return position.in(tensionsN);
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

    void add(StepKind stepKind, @Nullable Position position, Material... materials) {
        add(stepKind, position, List.of(materials), List.of());
    }

    void add(StepKind stepKind, @Nullable Position position, List<Material> materials, List<Caution> cautions) {
        add(stepKind, position, materials, cautions, Map.of());
    }

    void add(
            StepKind stepKind,
            @Nullable Position position,
            List<Material> materials,
            List<Caution> cautions,
            Map<StepFigure, Figure> figures) {
        LoadShares shares = load.shares(tensionsN);
        LoadBand band = bands.of(shares.treble());
        Set<Caution> all = new LinkedHashSet<>(ofLoad(shares, band));
        all.addAll(cautions);
        Map<StepFigure, Figure> known = new EnumMap<>(StepFigure.class);
        known.putAll(figures);
        if (bridge.stance() == Schools.Stance.HAIR_BACKWARDS
                && stepKind.readings().contains(Reading.GAP)
                && stepKind != StepKind.GRAPHITE) {
            known.put(StepFigure.GAP_TO_AIM_FOR, Figure.byDefault(Lean.hairBackwardsGapMm(setUp), Unit.MILLIMETRE));
        }
        Step step =
                new Step(steps.size(), stepKind, position, materials, List.copyOf(all), known, tensionsN, shares, band);
        steps.add(step);
        if (refusals.isEmpty() && !kind.recordedRepair()) {
            refuseIfLetGo(step);
        }
    }

    /** What the load that is left asks to take care of, whatever kind of work it is. */
    private List<Caution> ofLoad(LoadShares shares, LoadBand band) {
        List<Caution> cautions = new ArrayList<>();
        if (band == LoadBand.THIN) {
            cautions.add(Caution.POST_THIN);
        } else if (band == LoadBand.UNHELD) {
            cautions.add(Caution.POST_UNHELD);
        }
        boolean anyPresses = tensionsN.values().stream().anyMatch(tensionN -> tensionN > 0);
        if (anyPresses && shares.bassFootLifts()) {
            cautions.add(Caution.BASS_FOOT_UNHELD);
        } else if (anyPresses && shares.bassBand().compareTo(LoadBand.THIN) >= 0) {
            cautions.add(Caution.BASS_FOOT_THIN);
        }
        return cautions;
    }

    private void refuseIfLetGo(Step step) {
        Origin origin = InstrumentLoad.origin(setUp);
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
     * Begins work on a strung instrument: looked over, in tune, hands washed, rested, the bridge's place marked.
     *
     * @param kit what to lay out beforehand; nothing to leave that step out
     */
    void open(Material... kit) {
        add(StepKind.LOOK_OVER, null, Material.GOOD_LIGHT);
        add(
                StepKind.TUNE_AND_STRAIGHTEN,
                null,
                List.of(Material.TUNER, Material.RIGHT_ANGLE_CARD),
                atBridge(Caution.BRIDGE));
        if (kit.length > 0) {
            add(StepKind.LAY_OUT_KIT, null, kit);
        }
        add(StepKind.WASH_HANDS, null);
        rest();
        add(StepKind.MARK_BRIDGE, null, Material.SOFT_PENCIL);
    }

    /** Everything is on and in tune; the instrument rests until the next day. */
    void restTillTomorrow() {
        add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        add(StepKind.REST_TILL_TOMORROW, null);
    }

    /** Rounds the work off: tuned round, bridge looked at, fine tuners looked at, recorded. */
    void finish() {
        add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        if (bridge.evening() == Schools.Evening.LIFTED_A_HAIR) {
            add(StepKind.LIFT_A_HAIR, null, List.of(), List.of(Caution.EYES, Caution.BRIDGE));
            add(StepKind.TUNING_ROUND, null, List.of(Material.TUNER), List.of(Caution.EYES));
        }
        add(StepKind.LAST_BRIDGE_CHECK, null, List.of(Material.RIGHT_ANGLE_CARD), atBridge());
        if (setUp.hasFineTuners()) {
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
    void settleGuard() {
        Double fullN = after.get(Position.I);
        boolean moved =
                fullN != null && steps.stream().anyMatch(step -> Position.I.in(step.tensionsAfterN()) < MOVED * fullN);
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

    /** Lays the instrument down for work in which all tension comes off, whatever its size. */
    void layFlat() {
        if (setUp.family() == Family.BASS) {
            rest();
        } else {
            add(
                    StepKind.LAY_FLAT,
                    null,
                    List.of(Material.BLANKET, Material.CLOTH_UNDER_TAILPIECE),
                    List.of(Caution.NO_WEIGHT_ON_SOUND_HOLES));
        }
    }

    /** Before anything is raised again: does the post stand? */
    void lookForPost() {
        add(StepKind.LOOK_FOR_POST, null, Material.GOOD_LIGHT);
    }

    /** A look at the bridge, which is all that says it stands. */
    void checkBridge(@Nullable Position position) {
        add(StepKind.CHECK_BRIDGE, position, List.of(Material.RIGHT_ANGLE_CARD), atBridge(Caution.BRIDGE));
    }

    /** Graphite in a string's grooves, the hand held so that the lead cannot slip. */
    void graphite(Position position) {
        add(StepKind.GRAPHITE, position, List.of(Material.SOFT_PENCIL), List.of(Caution.PENCIL_SLIPS));
    }

    /** Large instruments are leant over at their bridge, with the forearms near the sound holes. */
    private List<Caution> atBridge(Caution... cautions) {
        List<Caution> all = new ArrayList<>(List.of(cautions));
        if (!setUp.family().restsOnLap()) {
            all.add(Caution.NO_WEIGHT_ON_SOUND_HOLES);
        }
        return all;
    }

    /**
     * Eases the bridge upright: at pitch where that can be done, otherwise with part of the tension on.
     *
     * @param easing how; its direction has its own step
     */
    void easeBridge(BridgeEasing easing) {
        Map<Position, Double> carriedN = new EnumMap<>(tensionsN);
        if (easing.atPartTension()) {
            letDownTo(BridgeEasing.PART_TENSION);
        }
        add(
                easing.backwards() ? StepKind.EASE_BRIDGE_FORWARDS : StepKind.EASE_BRIDGE_BACK,
                null,
                List.of(Material.RIGHT_ANGLE_CARD),
                List.of(Caution.BRIDGE, Caution.NO_WEIGHT_ON_SOUND_HOLES));
        if (easing.atPartTension()) {
            raise(StepKind.RAISE_ALL, carriedN, 1);
            checkBridge(null);
        }
    }

    /** Lets every string down to a share of what it carries. */
    void letDownTo(double share) {
        testMachines();
        tensionsN.replaceAll((position, tensionN) -> share * tensionN);
        add(
                StepKind.LET_ALL_DOWN_A_LITTLE,
                null,
                List.of(Material.TUNER),
                List.of(Caution.EYES, Caution.BRIDGE),
                toShare(share));
    }

    /** Lets every string down altogether. */
    void letAllDown() {
        testMachines();
        tensionsN.replaceAll((position, tensionN) -> 0.0);
        add(StepKind.LET_ALL_DOWN, null, List.of(), List.of(Caution.EYES));
    }

    /**
     * Raises some strings together.
     *
     * @param stepKind which step it is
     * @param fullN the strings, each with its full tension in N
     * @param share to what share of that
     */
    void raise(StepKind stepKind, Map<Position, Double> fullN, double share) {
        testMachines();
        fullN.forEach((position, tensionN) -> tensionsN.put(position, share * tensionN));
        add(
                stepKind,
                null,
                List.of(Material.TUNER, Material.EYE_PROTECTION),
                List.of(Caution.EYES, Caution.BRIDGE),
                toShare(share));
    }

    private static Map<StepFigure, Figure> toShare(double share) {
        return Map.of(
                StepFigure.TENSION_SHARE, Figure.byDefault(share, Unit.SHARE),
                StepFigure.BELOW_PITCH,
                        Figure.byDefault(Cents.ofTensionFraction(share).value(), Unit.CENT));
    }

    /** The way a string's machine turns is tried once, before it is turned for the first time. */
    void testMachine(Position position) {
        if (setUp.pegKind() == PegKind.MACHINE_HEAD && testedMachines.add(position)) {
            tryMachine(position);
        }
    }

    /** The same for all of them at once. */
    void testMachines() {
        if (setUp.pegKind() == PegKind.MACHINE_HEAD && testedMachines.addAll(setUp.positions())) {
            tryMachine(null);
        }
    }

    private void tryMachine(@Nullable Position position) {
        add(StepKind.TEST_MACHINE_DIRECTION, position, List.of(Material.WINDER), List.of(Caution.POWERED_WINDER));
    }

    /** What was tried before these steps need not be tried again. */
    void tested(Collection<Step> earlier) {
        for (Step step : earlier) {
            if (step.kind() == StepKind.TEST_MACHINE_DIRECTION) {
                testedMachines.addAll(step.position() == null ? setUp.positions() : List.of(step.position()));
            }
        }
    }

    /** {@return what to take care of when a string is wound} */
    List<Caution> winding(Caution... cautions) {
        List<Caution> all = new ArrayList<>(List.of(cautions));
        if (setUp.size().forChildren()) {
            all.add(Caution.ADULT_WINDS);
        }
        return all;
    }

    List<Step> steps() {
        return steps;
    }

    ChangePlan plan(List<Position> order, List<StepKind> owed) {
        return new ChangePlan(kind, setUp, order, before, atStart, after, bands, steps, owed, refusals);
    }
}
