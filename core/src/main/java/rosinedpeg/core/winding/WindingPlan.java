package rosinedpeg.core.winding;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;

/**
 * How one string is to be wound on its peg.
 *
 * <p>Turns lie side by side. With {@link Lock#FAR_SIDE_THEN_CROSS} as many as needed go on the far side of the hole, so
 * that the last one leaves the shaft in line with the nut groove, or at the wall, as chosen; but at least one, which the
 * crossing turn traps the tip against.
 *
 * @param position the string
 * @param turns all turns at pitch
 * @param farSideTurns those on the side of the hole away from the knob
 * @param knobSideTurns those on the knob's side
 * @param tipMm what stands out beyond the hole
 * @param holeXMm x of the hole, see {@link Pegbox}
 * @param leavesXMm x at which the string leaves the shaft
 * @param fromXMm the lesser x of all turns, edge of the string
 * @param toXMm the greater x of all turns, edge of the string
 * @param wallGapMm from the turns to the wall on the knob's side; below 0 when they do not find room
 * @param sideAngleDeg how far the string bends sideways at the nut, 0 in line with its groove
 * @param shaftDegrees how far the shaft is turned from the first grip to pitch
 * @param knobTurns how far knob or crank are turned, which a gear multiplies
 * @param beforeHangingTurns where the peg end goes on first, the turns on the shaft before the tail end is hung
 * @param bendMm how far beyond the shaft its tip is bent to go into the hole, laid along the instrument, slack
 * @param drawPegOut whether the hole lies so near the wall that a tapered peg is better drawn out to reach it; gears stay where they are
 * @param clockwise the way to turn knob or shaft to tighten, seen from its end
 * @param outcome whether it holds and finds room
 * @param spareMm what is too long for a good number of turns; 0 when it finds room
 * @param trimMm what is to be cut off of it; 0 when nothing may be
 * @param origin measured when all that it rests on was
 */
public record WindingPlan(
        Position position,
        Turns turns,
        double farSideTurns,
        double knobSideTurns,
        double tipMm,
        double holeXMm,
        double leavesXMm,
        double fromXMm,
        double toXMm,
        double wallGapMm,
        double sideAngleDeg,
        double shaftDegrees,
        double knobTurns,
        double beforeHangingTurns,
        double bendMm,
        boolean drawPegOut,
        boolean clockwise,
        Outcome outcome,
        double spareMm,
        double trimMm,
        Origin origin) {
    /** Checks the parts. */
    public WindingPlan {
        requireFinite("beforeHangingTurns", beforeHangingTurns);
        requireFinite("farSideTurns", farSideTurns);
        requireFinite("fromXMm", fromXMm);
        requireFinite("holeXMm", holeXMm);
        requireFinite("knobSideTurns", knobSideTurns);
        requireFinite("knobTurns", knobTurns);
        requireFinite("leavesXMm", leavesXMm);
        requireNonNull(origin, "origin");
        requireNonNull(outcome, "outcome");
        requireFinite("bendMm", bendMm);
        requireNonNull(position, "position");
        requireFinite("shaftDegrees", shaftDegrees);
        requireFinite("sideAngleDeg", sideAngleDeg);
        requireFinite("spareMm", spareMm);
        requireFinite("tipMm", tipMm);
        requireFinite("toXMm", toXMm);
        requireFinite("trimMm", trimMm);
        requireNonNull(turns, "turns");
        requireFinite("wallGapMm", wallGapMm);
    }

    /** A hole nearer to the wall than this share of the shaft's diameter is hard to reach. */
    private static final double HARD_TO_REACH = 0.4;
    /** Turns on the far side without which crossing over holds nothing. */
    private static final double LEAST_ON_FAR_SIDE = 1;
    /** Turns that a string which is too long is trimmed to. */
    private static final double TRIM_TO_TURNS = 3;

    /** Where the peg end goes on first, this share of the turns is left for after the tail end is hung. */
    private static final double LAST_PART = 1 / 3.0;
    /** Slack, as a share of the vibrating length, without which a tail end does not come to its slot. */
    private static final double SLACK_TO_HANG = 0.03;

    private static final double HARDLY_A_TURN = 0.05;
    /** A last turn no further than this from the wall leans on it. */
    private static final double LEANS_MM = 0.1;

    /** What comes of it. */
    public enum Outcome {
        HOLDS,
        /** Fewer than two turns do not hold: a string for a larger size, or less tip where that is enough. */
        TOO_SHORT,
        /**
         * Crowds the pegbox: made for a larger size. Steel may be bent sharply, then trimmed outside the pegbox; a gut or
         * synthetic core unravels where its silk is cut.
         */
        TOO_LONG
    }

    /**
     * Whether the hole lies so near the wall that the peg is better drawn out to reach it.
     *
     * @param setUp the instrument
     * @param position the string
     * @return that; never for gears, which stay where they are
     */
    public static boolean drawsPegOut(SetUp setUp, Position position) {
        return setUp.pegKind().holdsByFriction()
                && setUp.value(Quantity.HOLE_TO_WALL, position) < HARD_TO_REACH * setUp.value(Quantity.SHAFT_DIAMETER);
    }

    /**
     * Works the winding out.
     *
     * @param setUp the instrument
     * @param string the string
     * @param choice how it is to be wound
     * @return the plan
     */
    public static WindingPlan of(SetUp setUp, StringSpec string, WindingChoice choice) {
        requireNonNull(choice, "choice");
        Lock lock = choice.lock();
        Position position = string.position();
        Pegbox pegbox = new Pegbox(setUp);
        double shaftMm = pegbox.shaftDiameterMm();
        double stringMm = string.diameterMm();
        Turns turns = Turns.of(setUp, string, lock);
        double count = Math.max(0, turns.count());
        int knob = pegbox.knobSide(position);
        double halfWidth = pegbox.halfWidthMm(pegbox.fromNutMm(position));
        double grooveX = setUp.xAtNutMm(position);
        double hole = pegbox.holeXMm(position);

        // Measured from the hole towards the knob.
        double wallAt = halfWidth - hole * knob - stringMm / 2;
        double lineAt = (grooveX - hole) * knob;
        double target = choice.wall() == Wall.WOUND_TO_WALL
                ? wallAt
                : Math.min(lineAt, wallAt - Quantity.GAP_TO_WALL * shaftMm);
        double farSideTurns = farSideTurns(turns, choice, target, stringMm);
        double onFarSideMm = farSideTurns * stringMm;
        double onKnobSideMm = (count - farSideTurns) * stringMm;
        double leaves = onKnobSideMm == 0 ? -onFarSideMm : onKnobSideMm;
        double leavesX = hole + knob * leaves;
        double knobEnd = hole + knob * (onKnobSideMm + stringMm / 2);
        double farEnd = hole - knob * (onFarSideMm + stringMm / 2);
        double ratio = setUp.pegKind().holdsByFriction() ? 1 : setUp.value(Quantity.GEAR_RATIO);
        Outcome outcome = turns.outcome(setUp.family());
        double perTurnMm = Math.PI * (shaftMm + stringMm);
        double spareMm = outcome == Outcome.TOO_LONG
                ? Math.min((turns.count() - TRIM_TO_TURNS) * perTurnMm, string.mostCutMm())
                : 0;
        double stretchMm = setUp.elasticity(string).stretchMm();
        double lastTurns =
                afterHangingTurns(count, stretchMm, setUp.value(Quantity.VIBRATING_LENGTH), shaftMm, stringMm);
        return new WindingPlan(
                position,
                turns,
                farSideTurns,
                count - farSideTurns,
                lock.tipMm(setUp.family(), shaftMm, stringMm),
                hole,
                leavesX,
                Math.min(knobEnd, farEnd),
                Math.max(knobEnd, farEnd),
                wallAt - onKnobSideMm,
                Math.toDegrees(Math.atan((leavesX - grooveX) / pegbox.fromNutMm(position))),
                360 * count,
                count * ratio,
                count - lastTurns,
                turns.count() * perTurnMm - stretchMm,
                drawsPegOut(setUp, position),
                clockwise(setUp, knob, choice.way()),
                outcome,
                spareMm,
                string.core().isSteel() ? spareMm : 0,
                setUp.weakestOrigin(List.of(
                                Measurable.of(Quantity.VIBRATING_LENGTH),
                                Measurable.of(Quantity.AFTERLENGTH),
                                Measurable.of(Quantity.SHAFT_DIAMETER),
                                Measurable.of(Quantity.NUT_TO_PEG, position),
                                Measurable.of(Quantity.HOLE_TO_WALL, position)))
                        .orWeaker(string.origin(StringFigure.TOTAL_LENGTH)));
    }

    /**
     * Where the peg end goes on first, the turns that are left for after the tail end is hung: a third, but so many at least
     * that the slack string still reaches its slot.
     *
     * @param turns all of them at pitch, 0 or more
     * @param stretchMm how much longer the string is at pitch, 0 mm or more
     * @param vibratingLengthMm of the instrument, above 0
     * @param shaftDiameterMm D, above 0
     * @param stringDiameterMm d, above 0
     * @return turns, no more than there are
     */
    public static double afterHangingTurns(
            double turns, double stretchMm, double vibratingLengthMm, double shaftDiameterMm, double stringDiameterMm) {
        requireFinite("turns", turns);
        requireFinite("stretchMm", stretchMm);
        requireFinite("vibratingLengthMm", vibratingLengthMm);
        requireFinite("shaftDiameterMm", shaftDiameterMm);
        requireFinite("stringDiameterMm", stringDiameterMm);
        double reaching =
                (stretchMm + SLACK_TO_HANG * vibratingLengthMm) / (Math.PI * (shaftDiameterMm + stringDiameterMm));
        return Math.min(turns, Math.max(LAST_PART * turns, reaching));
    }

    private static double farSideTurns(Turns turns, WindingChoice choice, double targetMm, double stringMm) {
        double count = Math.max(0, turns.count());
        if (choice.side() == HoleSide.FAR_SIDE) {
            return count;
        }
        if (choice.lock() == Lock.STRAIGHT_TO_WALL) {
            return 0;
        }
        double inLine = turns.farSide(Math.max(0, targetMm), stringMm);
        return Math.min(count, Math.max(LEAST_ON_FAR_SIDE, inLine));
    }

    /** Over the top the upper face of the shaft goes away from the nut. A mirrored instrument turns the other way. */
    private static boolean clockwise(SetUp setUp, int knob, Way way) {
        return (knob > 0) ^ (way == Way.UNDER) ^ setUp.leftHanded();
    }

    /** {@return where the peg end goes on first, the turns on the shaft once the tail end is hung} */
    public double afterHangingTurns() {
        return turns.count() <= 0 ? 0 : turns.count() - beforeHangingTurns;
    }

    /** {@return on which side of its hole the turns lie; less than a twentieth of a turn counts for nothing} */
    public Sides sides() {
        if (farSideTurns < HARDLY_A_TURN) {
            return Sides.ALL_ON_KNOB_SIDE;
        }
        return knobSideTurns < HARDLY_A_TURN ? Sides.ALL_ON_FAR_SIDE : Sides.BOTH;
    }

    /** On which side of its hole a string is wound. */
    public enum Sides {
        ALL_ON_KNOB_SIDE,
        ALL_ON_FAR_SIDE,
        BOTH
    }

    /** {@return how far knob or crank are turned for some of the turns on the shaft} */
    public double knobTurnsOf(double someTurns) {
        requireFinite("someTurns", someTurns);
        return shaftDegrees == 0 ? 0 : someTurns * 360 * knobTurns / shaftDegrees;
    }

    /** {@return whether the last turn leans on the wall on the knob's side} */
    public boolean leansOnWall() {
        return wallGapMm <= LEANS_MM;
    }

    /** {@return how often the hand turns knob or shaft by half a turn} */
    public double halfTurns() {
        return knobTurns * 2;
    }

    /** {@return the line of the string from its nut groove to its shaft} */
    public Line line(Pegbox pegbox, double stringDiameterMm, Way way) {
        requireFinite("stringDiameterMm", stringDiameterMm);
        requireNonNull(way, "way");
        Vector3D end = way == Way.UNDER
                ? pegbox.bottomTangent(position, leavesXMm, stringDiameterMm)
                : pegbox.topTangent(position, leavesXMm, stringDiameterMm);
        return new Line(pegbox.groove(position), end);
    }

    /**
     * A straight piece of string.
     *
     * @param from its groove in the nut
     * @param to where it meets its shaft
     */
    public record Line(Vector3D from, Vector3D to) {
        /** Checks the parts. */
        public Line {
            requireNonNull(from, "from");
            requireNonNull(to, "to");
        }

        /** {@return the point at a distance from the nut along the pegbox} */
        public Vector3D atY(double yMm) {
            requireFinite("yMm", yMm);
            double share = (yMm - from.getY()) / (to.getY() - from.getY());
            return new Vector3D(1 - share, from, share, to);
        }
    }
}
