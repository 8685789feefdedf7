package rosinedpeg.core.inspection;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Origin.DEFAULT;
import static rosinedpeg.core.figure.Origin.MEASURED;
import static rosinedpeg.core.figure.Unit.DAY;
import static rosinedpeg.core.figure.Unit.DEGREE;
import static rosinedpeg.core.figure.Unit.GRAM;
import static rosinedpeg.core.figure.Unit.MILLIMETRE;
import static rosinedpeg.core.figure.Unit.MONTH;
import static rosinedpeg.core.figure.Unit.SHARE;
import static rosinedpeg.core.finding.Severity.STOPS;
import static rosinedpeg.core.finding.Severity.TODAY;
import static rosinedpeg.core.finding.Severity.WATCH;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgePlace;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.dates.BridgeWatch;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.tailpiece.TailpieceMass;
import rosinedpeg.core.wear.WearState;

/**
 * Looks an instrument over. Only what was measured or noticed is judged: a usual value stands in for what is missing, but
 * never makes a finding of its own.
 */
public final class Inspection {

    /** An afterlength that sounds further off its target than this, a quarter tone, is said. */
    public static final double AFTERLENGTH_OFF_CENTS = 50;
    /** A curve that a deepening of this share of the bridge's spacing would even is even enough. */
    private static final double EVEN_ENOUGH = 0.008;
    /** A collar that runs out within so many months is said. */
    private static final double COLLAR_WARNING_MONTHS = 12;

    /** What stops the work first, and of two alike what only a repairer can put right. */
    static final Comparator<Finding> WORST_FIRST =
            Comparator.comparing(Finding::severity).reversed().thenComparing(finding -> !finding.refer());

    private final Condition condition;
    private final SetUp setUp;
    private final LocalDate today;
    private final List<Finding> found = new ArrayList<>();

    private Inspection(Condition condition, LocalDate today) {
        this.condition = condition;
        this.setUp = condition.setUp();
        this.today = today;
    }

    /**
     * Looks an instrument over.
     *
     * @param condition what is known of it
     * @param today the day
     * @return everything that is not as it should be, what stops the work first
     */
    public static List<Finding> of(Condition condition, LocalDate today) {
        requireNonNull(today, "today");
        Inspection inspection = new Inspection(condition, today);
        inspection.bridge();
        inspection.strings();
        inspection.pegbox();
        inspection.setUp.positions().forEach(inspection::peg);
        inspection.tailpiece();
        inspection.found.sort(WORST_FIRST);
        return List.copyOf(inspection.found);
    }

    /**
     * What of it has to be put right, or at least seen, before anybody works on the instrument: what stops the work, what
     * only a repairer can put right, and how bridge and tailpiece stand. What a change puts right by itself is not among it.
     *
     * @param condition what is known of the instrument
     * @param today the day
     * @return part of what {@link #of} gives, in the same order
     */
    public static List<Finding> beforeWork(Condition condition, LocalDate today) {
        requireNonNull(today, "today");
        return of(condition, today).stream().filter(Inspection::comesBeforeWork).toList();
    }

    private static boolean comesBeforeWork(Finding finding) {
        boolean today = finding.severity() == TODAY && finding.kind() != FindingKind.BRIDGE_TO_LOOK_AT;
        return finding.stops()
                || today
                        && (finding.refer()
                                || finding.kind().part() == FindingKind.Part.BRIDGE
                                || finding.kind().part() == FindingKind.Part.TAILPIECE);
    }

    private void bridge() {
        if (isMeasured(Quantity.BRIDGE_GAP)) {
            Lean lean = Lean.of(setUp);
            Thrust thrust = Thrust.of(setUp, lean);
            Figure degrees = new Figure(lean.degrees(), DEGREE, MEASURED);
            Figure margin = new Figure(
                    thrust.margin(),
                    SHARE,
                    setUp.weakestOrigin(Quantity.BRIDGE_HEIGHT, Quantity.FRONT_ANGLE, Quantity.BACK_ANGLE));
            switch (thrust.band()) {
                case EASE_TODAY -> add(FindingKind.BRIDGE_TO_EASE, TODAY, degrees, margin);
                case STOP_AND_STRAIGHTEN -> add(FindingKind.BRIDGE_TO_STRAIGHTEN, STOPS, degrees, margin);
                case FALLING -> add(FindingKind.BRIDGE_FALLING, STOPS, degrees, margin);
                case UPRIGHT -> {}
            }
        }
        BridgePlace place = BridgePlace.of(setUp);
        for (BridgePlace.Fault fault : place.faults(setUp)) {
            switch (fault) {
                case WARPED -> refer(null, FindingKind.BRIDGE_WARPED, TODAY, mm(place.warpMm()));
                case TWISTED ->
                    add(FindingKind.BRIDGE_TWISTED, TODAY, new Figure(place.twistDeg(setUp), DEGREE, MEASURED));
                case OFF_ITS_LINE -> add(FindingKind.BRIDGE_OFF_ITS_LINE, TODAY, mm(place.offItsLineMm()));
                case OFF_CENTRE -> add(FindingKind.BRIDGE_OFF_CENTRE, TODAY, mm(place.offCentreMm()));
                case WRONG_WAY_ROUND -> add(FindingKind.BRIDGE_WRONG_WAY_ROUND, TODAY);
            }
        }
        curve();
        guard();
        LocalDate newest = condition.newestStringOn();
        boolean looked = condition.bridgeLookedAtOn() != null
                && !condition.bridgeLookedAtOn().isBefore(today);
        if (newest != null && BridgeWatch.asksOn(newest, today) && !looked) {
            double days = ChronoUnit.DAYS.between(newest, today);
            add(FindingKind.BRIDGE_TO_LOOK_AT, TODAY, new Figure(days, DAY, MEASURED));
        }
    }

    private void curve() {
        if (setUp.positions().stream().allMatch(position -> isMeasured(Quantity.STRING_HEIGHT, position))) {
            BridgeCurve.Evening evening = BridgeCurve.of(setUp).evening();
            double enoughMm = EVEN_ENOUGH * setUp.value(Quantity.BRIDGE_SPACING);
            if (evening.index().isPresent() && evening.byMm() > enoughMm) {
                Position prouder = Position.ofNumber(
                        setUp.positions().size() - evening.index().getAsInt());
                refer(prouder, FindingKind.CURVE_UNEVEN, WATCH, mm(evening.byMm()));
            }
        }
    }

    private void guard() {
        StringSpec first = condition.strings().get(Position.I);
        if (condition.parchment() && condition.tube()) {
            add(Position.I, FindingKind.GUARD_TWICE, WATCH);
        } else if (!condition.parchment()
                && !condition.tube()
                && first != null
                && Guard.isNeeded(setUp.family(), first)
                && isMeasured(Quantity.BRIDGE_GROOVE_DEPTH, Position.I)) {
            add(Position.I, FindingKind.GUARD_MISSING, WATCH);
        }
    }

    private void strings() {
        Rosining rosining = condition.rosining();
        if (rosining.tooOften()) {
            add(
                    FindingKind.ROSIN_TOO_OFTEN,
                    WATCH,
                    new Figure(rosining.times(), Unit.RATIO, MEASURED),
                    Figure.byDefault(rosining.enough(), Unit.RATIO));
        }
        FitCheck fits = FitCheck.of(setUp, condition.strings());
        condition.strings().forEach((position, string) -> {
            fits.judge(position, string).stream()
                    .filter(finding -> finding.severity() != Severity.GOOD)
                    .filter(finding -> finding.kind() != FindingKind.TOO_THICK_FOR_GROOVE)
                    .forEach(found::add);
            groove(
                    Groove.ofBridge(setUp, string),
                    position,
                    Quantity.BRIDGE_GROOVE_DEPTH,
                    Quantity.BRIDGE_GROOVE_WIDTH,
                    List.of(
                            FindingKind.BRIDGE_GROOVE_SHALLOW,
                            FindingKind.BRIDGE_GROOVE_DEEP,
                            FindingKind.BRIDGE_GROOVE_TOO_DEEP,
                            FindingKind.BRIDGE_GROOVE_PINCHES));
            groove(
                    Groove.ofNut(setUp, string),
                    position,
                    Quantity.NUT_GROOVE_DEPTH,
                    Quantity.NUT_GROOVE_WIDTH,
                    List.of(
                            FindingKind.NUT_GROOVE_SHALLOW,
                            FindingKind.NUT_GROOVE_DEEP,
                            FindingKind.NUT_GROOVE_TOO_DEEP,
                            FindingKind.NUT_GROOVE_PINCHES));
            WearState wear = condition.wear().get(position);
            if (wear == WearState.CHANGE_NOW) {
                add(position, FindingKind.STRING_TO_CHANGE_NOW, TODAY);
            } else if (wear == WearState.DUE) {
                add(position, FindingKind.STRING_DUE, WATCH);
            } else if (wear == WearState.AGE_UNKNOWN) {
                add(position, FindingKind.STRING_AGE_UNKNOWN, WATCH);
            }
        });
    }

    /** Kinds are those of a shallow, a deep, a too deep and a pinching groove. */
    private void groove(Groove groove, Position position, Quantity depth, Quantity width, List<FindingKind> kinds) {
        if (!isMeasured(depth, position)) {
            return;
        }
        Figure share = new Figure(groove.depthShare(), SHARE, MEASURED);
        switch (groove.depth()) {
            case SHALLOW -> add(position, kinds.get(0), WATCH, share);
            case DEEP -> add(position, kinds.get(1), WATCH, share);
            case TOO_DEEP -> refer(position, kinds.get(2), TODAY, share);
            case GOOD -> {}
        }
        if (isMeasured(width, position) && groove.pinches()) {
            refer(position, kinds.get(3), WATCH, mm(groove.widthMm()), mm(groove.stringDiameterMm()));
        }
    }

    private void pegbox() {
        if (!condition.strings().keySet().containsAll(setUp.positions())) {
            return;
        }
        for (Touch touch : new StrungPegbox(setUp, condition.strings(), Map.of()).touches()) {
            Figure deep = new Figure(-touch.clearance().mm(), MILLIMETRE, pegboxOrigin());
            Position string = touch.clearance().string();
            if (touch.cure() == Touch.Cure.REFER_TO_REPAIRER) {
                refer(string, FindingKind.STRING_TOUCHES_BOTH_WAYS, WATCH, deep);
            } else {
                add(string, FindingKind.STRING_TOUCHES, WATCH, deep);
            }
        }
    }

    private Origin pegboxOrigin() {
        return setUp.weakestOrigin(
                Quantity.SHAFT_DIAMETER,
                Quantity.PEGBOX_DEPTH,
                Quantity.PEGBOX_LENGTH,
                Quantity.PEGBOX_WIDTH_AT_NUT,
                Quantity.PEGBOX_WIDTH_AT_END);
    }

    private void peg(Position position) {
        Optional<PegWood> wood = Optional.ofNullable(condition.pegWood());
        boolean friction = setUp.pegKind().holdsByFriction();
        for (PegDiagnosis diagnosis :
                PegDiagnosis.of(condition.pegSigns().getOrDefault(position, Set.of()), setUp.pegKind(), wood)) {
            switch (diagnosis) {
                case CRACKED -> refer(position, FindingKind.PEG_CRACKED, STOPS);
                case TAPER_MISMATCH -> refer(position, FindingKind.PEG_TAPER_MISMATCH, TODAY);
                case WORN_IN -> refer(position, FindingKind.PEG_WORN_IN, WATCH);
                case SLIPPING -> add(position, friction ? FindingKind.PEG_SLIPS : FindingKind.GEARS_SLIP, TODAY);
                case POLISHED -> add(position, FindingKind.PEG_POLISHED, WATCH);
                case STICKING -> add(position, friction ? FindingKind.PEG_STICKS : FindingKind.GEARS_STIFF, TODAY);
                case FITS -> {}
            }
        }
        CollarTrend trend = new CollarTrend(condition.collars().getOrDefault(position, List.of()), wood);
        trend.monthsLeft(today)
                // Gears do not move in: what is logged is of the pegs before them.
                .filter(months -> friction && months <= COLLAR_WARNING_MONTHS)
                .ifPresent(months -> refer(
                        position,
                        FindingKind.COLLAR_RUNS_OUT,
                        WATCH,
                        new Figure(
                                Math.max(0, months),
                                MONTH,
                                trend.pace().orElseThrow().origin())));
    }

    private void tailpiece() {
        if (isMeasured(Quantity.AFTERLENGTH)) {
            Afterlength afterlength = Afterlength.of(setUp);
            if (Math.abs(afterlength.offTarget().value()) > AFTERLENGTH_OFF_CENTS) {
                add(
                        FindingKind.AFTERLENGTH_OFF,
                        WATCH,
                        mm(afterlength.measuredMm()),
                        new Figure(afterlength.targetMm(), MILLIMETRE, setUp.weakestOrigin(Quantity.VIBRATING_LENGTH)));
            }
        }
        TailpieceMass mass = TailpieceMass.of(setUp, condition.tunersBuiltIn());
        if (isMeasured(Quantity.TAILPIECE_MASS) && mass.heavy()) {
            add(
                    FindingKind.TAILPIECE_HEAVY,
                    WATCH,
                    new Figure(mass.totalG(), GRAM, MEASURED),
                    new Figure(TailpieceMass.usual(setUp.family(), 1).totalG(), GRAM, DEFAULT));
        }
        double toTopMm = setUp.value(Quantity.TAILPIECE_TO_TOP);
        if (isMeasured(Quantity.TAILPIECE_TO_TOP) && toTopMm < FineTuner.LEAST_CLEARANCE_MM) {
            add(FindingKind.TAILPIECE_NEAR_TOP, TODAY, mm(toTopMm), clearanceWanted());
        }
        setUp.positions().stream()
                .filter(position -> position.in(setUp.tailEnds()).hasFineTuner())
                .filter(this::tunerIsMeasured)
                .forEach(this::tuner);
    }

    private boolean tunerIsMeasured(Position position) {
        return Stream.of(Quantity.TUNER_SCREW_LEFT, Quantity.TUNER_SCREW_IN, Quantity.LEVER_TO_TOP)
                .anyMatch(quantity -> isMeasured(quantity, position));
    }

    private void tuner(Position position) {
        FineTuner tuner = FineTuner.of(setUp, position);
        switch (tuner.judge()) {
            case LEVER_NEAR_TOP ->
                add(position, FindingKind.TUNER_LEVER_NEAR_TOP, TODAY, mm(tuner.clearanceAtEndMm()), clearanceWanted());
            case NO_TRAVEL_UP -> add(position, FindingKind.TUNER_AT_ITS_END, TODAY, mm(tuner.screwOutMm()));
            case RATTLES -> add(position, FindingKind.TUNER_RATTLES, WATCH, mm(tuner.screwInMm()));
            case GOOD -> {}
        }
    }

    private static Figure clearanceWanted() {
        return Figure.byDefault(FineTuner.LEAST_CLEARANCE_MM, MILLIMETRE);
    }

    private boolean isMeasured(Quantity quantity) {
        return setUp.figure(quantity).origin() == MEASURED;
    }

    private boolean isMeasured(Quantity quantity, Position position) {
        Measurable measurable = Measurable.of(quantity, position);
        return setUp.has(measurable) && setUp.figure(measurable).origin() == MEASURED;
    }

    private static Figure mm(double value) {
        return new Figure(value, MILLIMETRE, MEASURED);
    }

    private void add(FindingKind kind, Severity severity, Figure... figures) {
        add(null, kind, severity, figures);
    }

    private void add(@Nullable Position position, FindingKind kind, Severity severity, Figure... figures) {
        found.add(Finding.on(position, kind, severity, figures));
    }

    private void refer(@Nullable Position position, FindingKind kind, Severity severity, Figure... figures) {
        found.add(new Finding(kind, severity, position, List.of(figures), true));
    }
}
