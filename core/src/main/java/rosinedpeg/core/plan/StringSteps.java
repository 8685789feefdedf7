package rosinedpeg.core.plan;

import static rosinedpeg.core.plan.StepFigure.BEND;
import static rosinedpeg.core.plan.StepFigure.CENTS_PER_PEG_DEGREE;
import static rosinedpeg.core.plan.StepFigure.CRANK_TURNS;
import static rosinedpeg.core.plan.StepFigure.DRAG_LEAN_DRY;
import static rosinedpeg.core.plan.StepFigure.DRAG_LEAN_GRAPHITED;
import static rosinedpeg.core.plan.StepFigure.FAR_SIDE_TURNS;
import static rosinedpeg.core.plan.StepFigure.HALF_TURNS;
import static rosinedpeg.core.plan.StepFigure.PART_CRANK_TURNS;
import static rosinedpeg.core.plan.StepFigure.PART_HALF_TURNS;
import static rosinedpeg.core.plan.StepFigure.PART_TURNS;
import static rosinedpeg.core.plan.StepFigure.SHARE_OF_BREAKING;
import static rosinedpeg.core.plan.StepFigure.SIDE_ANGLE;
import static rosinedpeg.core.plan.StepFigure.STRETCH;
import static rosinedpeg.core.plan.StepFigure.TENSION;
import static rosinedpeg.core.plan.StepFigure.TIP;
import static rosinedpeg.core.plan.StepFigure.TRIM;
import static rosinedpeg.core.plan.StepFigure.TURNS;
import static rosinedpeg.core.plan.StepFigure.WALL_GAP;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.load.InstrumentLoad;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.Lock;
import rosinedpeg.core.winding.Wall;
import rosinedpeg.core.winding.Way;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/** What is done to one string, in the order of the work, on any of the families. */
final class StringSteps {

    private final StepList list;
    private final SetUp setUp;
    private final Schools schools;
    private final StuckShares stuck;

    StringSteps(StepList list, Schools schools, StuckShares stuck) {
        this.list = list;
        this.setUp = list.setUp();
        this.schools = schools;
        this.stuck = stuck;
    }

    private boolean isBass() {
        return setUp.family() == Family.BASS;
    }

    void setAside(Position position) {
        list.testMachine(position);
        list.setTensionN(position, InstrumentLoad.SET_ASIDE * list.tensionN(position));
        list.add(StepKind.SET_ASIDE_NEIGHBOUR, position, List.of(), thick());
    }

    void layBack(Position position, double tensionN) {
        list.setTensionN(position, tensionN);
        list.add(StepKind.RETURN_NEIGHBOUR, position, List.of(Material.TUNER), List.of(Caution.EYES));
        list.checkBridge(position);
    }

    /** Some strings make way while something is done, and come back to pitch. */
    void setAsideDuring(Set<Position> strings, Runnable work) {
        strings.forEach(this::setAside);
        work.run();
        strings.forEach(position -> layBack(position, list.tensionAfterN(position)));
    }

    /** Old string off, or what is left of it, its peg and grooves made ready. */
    void takeOff(Position position, boolean broken, PegCondition peg) {
        remove(position, broken);
        if (schools.oldStrings() == Schools.OldStrings.KEPT && !broken) {
            list.add(StepKind.COIL_OLD_STRING, position, Material.STRING_PACKET);
        } else {
            list.add(StepKind.CUT_UP_OLD_STRING, position, List.of(), List.of(Caution.SHARP_ENDS, Caution.CUTTER));
        }
        list.add(
                StepKind.WIPE_FINGERBOARD,
                position,
                List.of(Material.LINT_FREE_CLOTH, Material.ALCOHOL),
                List.of(Caution.SOLVENT));
        if (list.isService() && position.in(setUp.tailEnds()).hasFineTuner()) {
            list.add(StepKind.SERVICE_FINE_TUNER, position, Material.LINT_FREE_CLOTH);
        }
        treatPeg(position, peg);
        list.graphite(position);
    }

    /** Old string off and nothing else. */
    void remove(Position position, boolean broken) {
        backOutFineTuner(position);
        if (broken) {
            list.setTensionN(position, 0);
            list.add(
                    StepKind.TAKE_OUT_REMAINS,
                    position,
                    List.of(isBass() ? Material.LONG_NOSED_PLIERS : Material.TWEEZERS),
                    List.of(Caution.SHARP_ENDS));
            return;
        }
        list.testMachine(position);
        list.setTensionN(position, 0);
        List<Caution> cautions = new ArrayList<>(List.of(Caution.EYES, Caution.SHARP_ENDS));
        cautions.addAll(thick());
        list.add(
                StepKind.LET_DOWN,
                position,
                List.of(isBass() ? Material.LONG_NOSED_PLIERS : Material.TWEEZERS),
                cautions);
        list.add(StepKind.FREE_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
    }

    private void backOutFineTuner(Position position) {
        if (position.in(setUp.tailEnds()).hasFineTuner()) {
            list.add(StepKind.BACK_OUT_FINE_TUNER, position);
        }
    }

    void treatPeg(Position position, PegCondition condition) {
        if (!setUp.pegKind().holdsByFriction()) {
            list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
            return;
        }
        List<Material> materials = new ArrayList<>(List.of(Material.LINT_FREE_CLOTH));
        List<Caution> cautions = new ArrayList<>(List.of(Caution.PEG));
        condition.treatedWith(schools.treatment()).ifPresent(materials::add);
        if (condition == PegCondition.SLIPS) {
            cautions.add(Caution.NO_LUBRICANT);
        }
        if (materials.contains(Material.CHALK)) {
            cautions.add(Caution.DUST);
        }
        list.add(materials.size() > 1 ? StepKind.TREAT_PEG : StepKind.CLEAN_PEG, position, materials, cautions);
    }

    /** New string on and up to pitch. */
    void putOn(StringSpec string, WindingChoice choice) {
        Position position = string.position();
        if (inChannel(string) && schools.bass().felts() == Schools.Felts.FITTED) {
            list.add(StepKind.FIT_FELT, position, Material.FELTS);
        }
        double wrappedMm = wrappedMm(string, choice);
        StringSpec fitted = wrappedMm > 0 ? string.shortenedBy(wrappedMm) : trim(string, choice);
        guard(string);
        WindingPlan winding = WindingPlan.of(setUp, fitted, choice);
        if (schools.atPeg().firstEnd() == Schools.FirstEnd.PEG_FIRST) {
            lock(position, winding, choice, wrappedMm);
            list.add(
                    StepKind.WIND_FIRST_PART,
                    position,
                    turning(),
                    list.winding(turningCautions()),
                    partOf(winding, winding.beforeHangingTurns()));
            hang(string);
            wind(position, winding, choice, partOf(winding, winding.afterHangingTurns()));
        } else {
            hang(string);
            lock(position, winding, choice, wrappedMm);
            wind(position, winding, choice, Map.of());
        }
        list.add(StepKind.SEAT_IN_GROOVES, position);
        if (!setUp.family().restsOnLap()) {
            list.add(StepKind.PRESS_INTO_BENDS, position, List.of(), thick());
        }
        list.add(StepKind.CLOSE_UP_TURNS, position);
        bringUp(StepKind.BRING_UP, fitted, choice.lock().forBassOnly());
        list.checkBridge(position);
    }

    /** {@return what of a bass string that is too long is wrapped round its standing part instead of cut or wound} */
    private double wrappedMm(StringSpec string, WindingChoice choice) {
        boolean wraps = isBass() && schools.bass().spareTip() == Schools.SpareTip.WRAPPED;
        return wraps ? WindingPlan.of(setUp, string, choice).spareMm() : 0;
    }

    /**
     * Bends and trims the tip where the pegbox asks for it, or a bass string's by choice; steel only, since a gut or synthetic
     * core unravels where its silk is cut.
     *
     * @return the string that is wound, shorter by what was cut off
     */
    private StringSpec trim(StringSpec string, WindingChoice choice) {
        boolean byChoice = isBass() && schools.bass().spareTip() == Schools.SpareTip.TRIMMED_BEFORE_FITTING;
        WindingPlan untrimmed = WindingPlan.of(setUp, string, choice);
        if (!string.core().isSteel() || !(byChoice || !isBass() && untrimmed.trimMm() > 0)) {
            return string;
        }
        StringSpec trimmed = string.shortenedBy(untrimmed.trimMm());
        WindingPlan winding = WindingPlan.of(setUp, trimmed, choice);
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        figures.put(TIP, Figure.byDefault(winding.tipMm(), Unit.MILLIMETRE));
        figures.put(BEND, Figure.workedOut(winding.bendMm(), Unit.MILLIMETRE, winding.origin()));
        if (untrimmed.trimMm() > 0) {
            figures.put(TRIM, Figure.workedOut(untrimmed.trimMm(), Unit.MILLIMETRE, winding.origin()));
        }
        list.add(StepKind.TRIM_TIP, string.position(), List.of(Material.CUTTER), List.of(Caution.CUTTER), figures);
        return trimmed;
    }

    /** A steel I cuts into the bridge without a tube or a parchment; never both. */
    private void guard(StringSpec string) {
        Position position = string.position();
        if (position == Position.I && list.guard() == Guard.PARCHMENT) {
            list.add(StepKind.TAKE_TUBE_OFF, position, List.of(Material.CUTTER), List.of(Caution.CUTTER));
        } else if (Guard.isNeeded(setUp.family(), string)) {
            list.add(StepKind.SLIDE_TUBE_ON, position, Material.TUBE);
        }
    }

    private void hang(StringSpec string) {
        Position position = string.position();
        list.add(StepKind.HANG_TAIL_END, position, List.of(), List.of(Caution.BALL_ON_VARNISH));
        if (!setUp.family().restsOnLap() && position.in(setUp.tailEnds()) == TailEnd.FORK_TUNER) {
            list.add(StepKind.SET_BALL_UPRIGHT, position);
        }
        if (inChannel(string)) {
            list.add(StepKind.DRAW_BALL_INTO_CHANNEL, position, List.of(), List.of(Caution.BALL_UNDER_LOAD));
        }
    }

    /** {@return whether its ball sits in a channel of the tailpiece: a bass string's that is neither knotted nor hung on a tuner} */
    private boolean inChannel(StringSpec string) {
        return isBass() && string.end() == StringEnd.BALL && string.position().in(setUp.tailEnds()) == TailEnd.SLOT;
    }

    private void lock(Position position, WindingPlan winding, WindingChoice choice, double wrappedMm) {
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        figures.put(TIP, Figure.byDefault(winding.tipMm() + wrappedMm, Unit.MILLIMETRE));
        if (choice.lock() == Lock.FAR_SIDE_THEN_CROSS) {
            figures.put(FAR_SIDE_TURNS, Figure.workedOut(winding.farSideTurns(), Unit.TURN, winding.origin()));
        }
        list.add(lockKind(choice.lock()), position, List.of(Material.NEW_STRING), List.of(Caution.SHARP_ENDS), figures);
        // Where the old string had broken, there was none to watch.
        list.testMachine(position);
    }

    private void wind(
            Position position, WindingPlan winding, WindingChoice choice, Map<StepFigure, Figure> partFigures) {
        StepKind kind = windingKind(winding, choice);
        Map<StepFigure, Figure> figures = windingFigures(winding);
        figures.putAll(partFigures);
        if (choice.wall() == Wall.WOUND_TO_WALL && kind != StepKind.WIND_TO_WALL) {
            figures.put(
                    WALL_GAP, Figure.workedOut(Math.max(0, winding.wallGapMm()), Unit.MILLIMETRE, winding.origin()));
        }
        list.add(kind, position, turning(), list.winding(turningCautions()), figures);
    }

    private StepKind windingKind(WindingPlan winding, WindingChoice choice) {
        if (choice.way() == Way.UNDER) {
            return StepKind.WIND_UNDER;
        }
        if (setUp.pegKind() == PegKind.MACHINE_HEAD) {
            return StepKind.WIND_BY_CRANK;
        }
        return choice.wall() == Wall.WOUND_TO_WALL && winding.leansOnWall()
                ? StepKind.WIND_TO_WALL
                : StepKind.WIND_LEAVING_GAP;
    }

    private List<Material> turning() {
        return setUp.pegKind() == PegKind.MACHINE_HEAD ? List.of(Material.WINDER) : List.of();
    }

    private Caution[] turningCautions() {
        return setUp.pegKind() == PegKind.MACHINE_HEAD ? new Caution[] {Caution.POWERED_WINDER} : new Caution[0];
    }

    private Map<StepFigure, Figure> partOf(WindingPlan winding, double turns) {
        boolean machine = setUp.pegKind() == PegKind.MACHINE_HEAD;
        double knobTurns = winding.knobTurnsOf(turns);
        return Map.of(
                PART_TURNS,
                Figure.workedOut(turns, Unit.TURN, winding.origin()),
                machine ? PART_CRANK_TURNS : PART_HALF_TURNS,
                machine
                        ? Figure.workedOut(knobTurns, Unit.TURN, winding.origin())
                        : Figure.workedOut(2 * knobTurns, Unit.HALF_TURN, winding.origin()));
    }

    private static StepKind lockKind(Lock lock) {
        return switch (lock) {
            case FAR_SIDE_THEN_CROSS -> StepKind.LOCK_FAR_SIDE_THEN_CROSS;
            case STRAIGHT_TO_WALL -> StepKind.LOCK_STRAIGHT_TO_WALL;
            case TWICE_THROUGH_HOLE -> StepKind.LOCK_TWICE_THROUGH_HOLE;
            case ROUND_STANDING_PART -> StepKind.LOCK_ROUND_STANDING_PART;
        };
    }

    private Map<StepFigure, Figure> windingFigures(WindingPlan winding) {
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        Origin origin = winding.origin();
        figures.put(TURNS, Figure.workedOut(winding.turns().count(), Unit.TURN, origin));
        if (setUp.pegKind() == PegKind.MACHINE_HEAD) {
            figures.put(CRANK_TURNS, Figure.workedOut(winding.knobTurns(), Unit.TURN, origin));
        } else {
            figures.put(HALF_TURNS, Figure.workedOut(winding.halfTurns(), Unit.HALF_TURN, origin));
        }
        figures.put(SIDE_ANGLE, Figure.workedOut(Math.abs(winding.sideAngleDeg()), Unit.DEGREE, origin));
        return figures;
    }

    /** One string off its peg, its peg treated, and back: the string stays. */
    void servicePeg(StringSpec string, WindingChoice choice, PegCondition peg) {
        Position position = string.position();
        backOutFineTuner(position);
        list.testMachine(position);
        list.setTensionN(position, 0);
        list.add(StepKind.LET_DOWN_AT_PEG, position, List.of(), List.of(Caution.EYES, Caution.SHARP_ENDS));
        treatPeg(position, peg);
        list.graphite(position);
        list.add(
                StepKind.REWIND,
                position,
                turning(),
                list.winding(turningCautions()),
                windingFigures(WindingPlan.of(setUp, string, choice)));
        list.add(StepKind.SEAT_IN_GROOVES, position);
        list.add(StepKind.CLOSE_UP_TURNS, position);
        bringUp(StepKind.BRING_BACK_UP, string, choice.lock().forBassOnly());
        list.checkBridge(position);
    }

    /** Its string stays where it is: gears are turned a little and looked at, and nothing of them is drawn. */
    void seeToGears(Position position) {
        list.testMachine(position);
        list.add(StepKind.LOOK_AT_GEARS, position, Material.GOOD_LIGHT);
    }

    private void bringUp(StepKind kind, StringSpec string, boolean knotted) {
        Position position = string.position();
        Elasticity elasticity = setUp.elasticity(string);
        Origin tension = setUp.weakestOrigin(Quantity.VIBRATING_LENGTH).orWeaker(string.origin(StringFigure.TENSION));
        Origin stretch = tension.orWeaker(string.origin(StringFigure.AXIAL_STIFFNESS));
        Map<StepFigure, Figure> figures = new EnumMap<>(StepFigure.class);
        figures.put(TENSION, Figure.workedOut(elasticity.tensionN(), Unit.NEWTON, tension));
        figures.put(STRETCH, Figure.workedOut(elasticity.stretchMm(), Unit.MILLIMETRE, stretch));
        figures.put(
                CENTS_PER_PEG_DEGREE,
                Figure.workedOut(
                        elasticity.centsPerPegDegree(setUp.value(Quantity.SHAFT_DIAMETER), string.diameterMm()),
                        Unit.CENT_PER_DEGREE,
                        stretch.orWeaker(setUp.weakestOrigin(Quantity.SHAFT_DIAMETER))));
        figures.put(DRAG_LEAN_GRAPHITED, drag(string, stuck.graphited()));
        figures.put(DRAG_LEAN_DRY, drag(string, stuck.dry()));
        figures.put(SHARE_OF_BREAKING, Figure.byDefault(elasticity.tensionN() / string.breakingTensionN(), Unit.SHARE));
        list.setTensionN(position, list.tensionAfterN(position));
        List<Caution> cautions = new ArrayList<>(List.of(Caution.EYES, Caution.BRIDGE));
        if (isBass()) {
            cautions.add(Caution.BALL_UNDER_LOAD);
        }
        if (knotted) {
            cautions.add(Caution.TIP_ON_NEIGHBOUR);
        }
        list.add(kind, position, List.of(Material.TUNER, Material.EYE_PROTECTION), cautions, figures);
    }

    private Figure drag(StringSpec string, Figure stuckShare) {
        double allN =
                setUp.positions().stream().mapToDouble(list::tensionAfterN).sum();
        return Figure.workedOut(
                Drag.ofRaising(setUp, string, stuckShare.value(), allN).degrees(),
                Unit.DEGREE,
                stuckShare.origin().orWeaker(string.origin(StringFigure.TENSION, StringFigure.AXIAL_STIFFNESS)));
    }

    private List<Caution> thick() {
        return isBass() ? List.of(Caution.PINCH_NOT_HOOK) : List.of();
    }
}
