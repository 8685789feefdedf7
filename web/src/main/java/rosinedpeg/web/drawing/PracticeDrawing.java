package rosinedpeg.web.drawing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.simulation.PracticeInstrument;
import rosinedpeg.core.simulation.PracticeString;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.winding.WindingChoice;
import rosinedpeg.core.winding.WindingPlan;

/**
 * A practice instrument as it is at one moment, in millimetres: its pegbox from above and from the side with the turns that are on
 * the shafts now, and its bridge from the side. Pegs show how far they are turned: a knob is a blade, broad from one side and thin from
 * the other.
 *
 * @param above its pegbox from above, the scroll up
 * @param side its pegbox from the side
 * @param bridge its bridge from the side, the tailpiece on the left
 */
public record PracticeDrawing(View above, View side, View bridge) {

    /** How near a finger has to come to a nut groove. */
    private static final double GROOVE_MM = 2.6;

    /** A fingertip on a string, and a thumb at the end of a knob, as shares of the shaft. */
    private static final double FINGERTIP = 0.5;

    private static final double THUMB = 0.85;
    /** Where the thumb pushes, in shaft diameters from the outside of the wall. */
    private static final double AT_THE_END = 2.75;

    private static final double THIN = 0.55;
    private static final double SAGS = 0.16;
    private static final double BESIDE = 0.42;
    /** How near a finger has to come to the top of the bridge, as a share of its height; left of that is the card's place. */
    private static final double TOP_SHARE = 0.2;

    private static final double BESIDE_CARD = 0.1;
    /** Under the top so much is seen, as a share of the bridge's height; the sound post is about as thick as the foot is deep, and stands a little behind it. */
    private static final double BENEATH = 0.24;

    private static final double POST = 1.1;
    private static final double BEHIND_FOOT = 0.08;
    /** Where a ball that swings down meets the top, and so many marks are told apart. */
    private static final double SCRATCHED = 0.42;

    private static final double SCRATCHES_APART = 0.06;
    private static final int MOST_SCRATCHES = 4;
    /** Of a tip that is bent away from the eye so much is seen. */
    private static final double TIP = 0.4;

    /**
     * Draws it.
     *
     * @param now the instrument
     * @param inHand the string in hand, if any
     * @return the drawings
     */
    public static PracticeDrawing of(PracticeInstrument now, @Nullable Position inHand) {
        return new PracticeDrawing(above(now, inHand), side(now, inHand), bridge(now));
    }

    private static View above(PracticeInstrument now, @Nullable Position inHand) {
        SetUp setUp = now.start().setUp();
        Pegbox pegbox = new Pegbox(setUp);
        Pen pen = new Pen();
        PegboxDrawing.walls(pen, setUp);
        PegboxDrawing.plates(pen, pegbox);
        for (Position position : setUp.positions()) {
            peg(pen, pegbox, position, turned(now, position), position == inHand);
        }
        for (Position position : setUp.positions()) {
            hole(pen, now, pegbox, position);
        }
        for (Position position : setUp.positions()) {
            string(pen, now, pegbox, position, position == inHand);
        }
        PegboxDrawing.nut(pen, setUp);
        for (Position position : setUp.positions()) {
            double side = pegbox.knobSide(position) * PegboxDrawing.hand(setUp);
            double out = pegbox.halfWidthMm(pegbox.fromNutMm(position)) + PegboxDrawing.wall(setUp);
            pen.circle(
                    "grip at-" + position,
                    side * (out + 1.6 * pegbox.shaftDiameterMm()),
                    -pegbox.fromNutMm(position),
                    1.5 * pegbox.shaftDiameterMm());
            PracticeString there = now.strings().get(position);
            if (there == null || !there.threaded()) {
                pen.circle(
                        "grip-hole at-" + position,
                        PegboxDrawing.hand(setUp) * pegbox.holeXMm(position),
                        -pegbox.fromNutMm(position),
                        pegbox.shaftDiameterMm() / 2);
            }
            pen.circle(
                    "grip-groove at-" + position + (there == null ? " bare" : there.aside() ? " aside" : ""),
                    PegboxDrawing.hand(setUp) * setUp.xAtNutMm(position),
                    -GROOVE_MM * 0.6,
                    GROOVE_MM);
        }
        if (inHand != null) {
            thumb(pen, now, pegbox, inHand);
        }
        return PegboxDrawing.fromAbove(pen, setUp);
    }

    /** Where a thumb can push the peg while that is turned. */
    private static void thumb(Pen pen, PracticeInstrument now, Pegbox pegbox, Position position) {
        SetUp setUp = pegbox.setUp();
        PracticeString there = now.strings().get(position);
        if (there == null || !there.threaded() || !setUp.pegKind().holdsByFriction()) {
            return;
        }
        double shaft = pegbox.shaftDiameterMm();
        double y = -pegbox.fromNutMm(position);
        double side = pegbox.knobSide(position) * PegboxDrawing.hand(setUp);
        double end = side * (pegbox.halfWidthMm(-y) + PegboxDrawing.wall(setUp) + AT_THE_END * shaft);
        double in = -side * shaft * 0.3;
        pen.area("hand-pushing", end + in, y, end - in, y - shaft * 0.34, end - in, y + shaft * 0.34);
        pen.circle("grip-pushing at-" + position, end, y, shaft * THUMB);
    }

    private static double turned(PracticeInstrument now, Position position) {
        PracticeString there = now.strings().get(position);
        return there == null ? 0 : there.turnedDegrees();
    }

    private static void peg(Pen pen, Pegbox pegbox, Position position, double degrees, boolean inHand) {
        SetUp setUp = pegbox.setUp();
        double shaft = pegbox.shaftDiameterMm();
        double y = -pegbox.fromNutMm(position);
        double side = pegbox.knobSide(position) * PegboxDrawing.hand(setUp);
        double out = pegbox.halfWidthMm(-y) + PegboxDrawing.wall(setUp);
        String marked = inHand ? " in-hand" : "";
        String of = PegHead.shaft(setUp.pegKind()).name().toLowerCase(Locale.ROOT);
        pen.line("shaft " + of, shaft, -side * (out - PegboxDrawing.wall(setUp) * 0.3), y, side * out, y);
        pen.line("shine", shaft * 0.16, -side * out * 0.9, y - shaft * 0.2, side * out, y - shaft * 0.2);
        double broad = Math.abs(Math.cos(Math.toRadians(degrees)));
        for (PegHead piece : PegHead.of(setUp.pegKind())) {
            boolean turns = piece.material() == PegHead.Material.KNOB || piece.material() == PegHead.Material.KEY;
            double seen = turns ? broad + THIN * (1 - broad) : 1;
            boolean key = piece.material() == PegHead.Material.KEY;
            pen.line(
                    piece.material().name().toLowerCase(Locale.ROOT) + (turns ? marked : ""),
                    piece.width() * shaft * (key ? 1 : seen),
                    side * (out + piece.fromOut() * shaft),
                    y + piece.fromAlong() * shaft * (key ? seen : 1),
                    side * (out + piece.toOut() * shaft),
                    y + piece.toAlong() * shaft * (key ? seen : 1));
        }
        if (setUp.pegKind() != PegKind.MACHINE_HEAD) {
            double collar = side * (out + shaft * 0.68);
            pen.line("ring", shaft * 0.2, collar, y - shaft * 0.56, collar, y + shaft * 0.56);
            // The ridge of the blade goes round with it.
            double ridge = y - Math.sin(Math.toRadians(degrees)) * shaft * 0.62;
            pen.line("shine", shaft * 0.12, side * (out + shaft * 1.05), ridge, side * (out + shaft * 2.15), ridge);
        }
        PegboxDrawing.numeral(pen, setUp, position, side * out, y);
    }

    /** Seen from above while it faces the eye; a tip that is through it stands out on the other side. */
    private static void hole(Pen pen, PracticeInstrument now, Pegbox pegbox, Position position) {
        double hand = PegboxDrawing.hand(pegbox.setUp());
        double shaft = pegbox.shaftDiameterMm();
        double diameter = position.in(now.start().strings()).diameterMm();
        double angle = Math.toRadians(turned(now, position));
        double x = hand * pegbox.holeXMm(position);
        double y = -pegbox.fromNutMm(position) - Math.sin(angle) * shaft / 2;
        if (Math.cos(angle) > -0.2) {
            pen.circle("hole", x, y, Math.max(diameter, shaft * 0.1) * 0.75);
        }
        PracticeString there = now.strings().get(position);
        if (there != null && there.threaded() && there.tipMm() > 0) {
            pen.line(
                    "tip",
                    diameter,
                    x,
                    -pegbox.fromNutMm(position),
                    x,
                    -pegbox.fromNutMm(position) - shaft / 2 - TIP * there.tipMm() * Math.abs(Math.cos(angle)));
        }
    }

    private static void string(Pen pen, PracticeInstrument now, Pegbox pegbox, Position position, boolean inHand) {
        PracticeString there = now.strings().get(position);
        if (there == null) {
            return;
        }
        SetUp setUp = pegbox.setUp();
        double hand = PegboxDrawing.hand(setUp);
        double diameter = there.string().diameterMm();
        double shaft = pegbox.shaftDiameterMm();
        double y = -pegbox.fromNutMm(position);
        double leaves = pegbox.holeXMm(position);
        String state = inHand ? " marked" : "";
        if (there.threaded()) {
            WindingPlan plan = WindingPlan.of(setUp, there.string(), WindingChoice.of(there.lock()));
            int knob = pegbox.knobSide(position);
            int turns = (int) Math.floor(there.turnedDegrees() / 360 + 0.5);
            double far = Math.min(turns, Math.round(plan.farSideTurns()));
            for (int turn = 0; turn < turns; turn++) {
                double at = turn < far ? -(turn + 0.5) : turn - far + 0.5;
                double x = pegbox.holeXMm(position) + knob * at * diameter;
                double leans = there.crossed() && turn == turns - 1 ? diameter * 2.2 : diameter * 0.3;
                pen.line(
                        "turn" + state,
                        diameter * 0.86,
                        hand * (x - leans),
                        y + shaft / 2,
                        hand * (x + leans),
                        y - shaft / 2);
                leaves = x;
            }
        }
        double nutX = hand * setUp.xAtNutMm(position);
        if (there.aside()) {
            nutX += Math.signum(nutX) * -BESIDE * shaft;
        }
        if (!there.whole()) {
            pen.line("string loose" + state, diameter, nutX, 0, nutX, y * 0.3);
            return;
        }
        boolean taut = now.tensionN(position) > 0;
        double endX = hand * leaves;
        double bend = taut ? 0 : SAGS * -y;
        pen.path(
                "string" + (there.aside() ? " loose" : "") + state,
                diameter,
                Stroke.move(nutX, 0) + Stroke.curve(nutX + bend, y * 0.35, endX + bend, y * 0.7, endX, y + shaft / 2));
        if (inHand) {
            // A fingertip that guides it lies on the middle of that curve.
            pen.circle("hand-guiding", (nutX + endX) / 2 + bend * 0.75, y / 2, shaft * FINGERTIP);
        }
    }

    private static View side(PracticeInstrument now, @Nullable Position inHand) {
        SetUp setUp = now.start().setUp();
        Pegbox pegbox = new Pegbox(setUp);
        double shaft = pegbox.shaftDiameterMm();
        Pen pen = new Pen();
        PegboxDrawing.floor(pen, pegbox);
        for (Position position : setUp.positions()) {
            Vector3D middle = pegbox.onShaft(position, 0);
            PracticeString there = now.strings().get(position);
            double diameter = position.in(now.start().strings()).diameterMm();
            if (there != null && there.threaded() && there.turnedDegrees() > 90) {
                pen.circle("turns", middle.getY(), -middle.getZ(), shaft / 2 + diameter);
            }
            pen.circle("shaft", middle.getY(), -middle.getZ(), shaft / 2);
            double angle = Math.toRadians(turned(now, position));
            double across = Math.cos(angle) * shaft / 2;
            double along = Math.sin(angle) * shaft / 2;
            pen.line(
                    "bore",
                    Math.max(diameter, shaft * 0.12),
                    middle.getY() + along,
                    -middle.getZ() - across,
                    middle.getY() - along,
                    -middle.getZ() + across);
            if (there != null && there.whole()) {
                Vector3D top = pegbox.topTangent(position, pegbox.holeXMm(position), diameter);
                double sag = now.tensionN(position) > 0 ? 0 : shaft * 0.7;
                pen.path(
                        "string" + (position == inHand ? " marked" : ""),
                        diameter,
                        Stroke.move(0, 0)
                                + Stroke.curve(
                                        top.getY() * 0.3,
                                        -top.getZ() * 0.3 + sag,
                                        top.getY() * 0.7,
                                        -top.getZ() * 0.7 + sag,
                                        top.getY(),
                                        -top.getZ()));
            }
        }
        return PegboxDrawing.fromSide(pen, pegbox);
    }

    private static View bridge(PracticeInstrument now) {
        View bridge = now.bridgeStands() ? standing(now) : fallen(now.start().setUp());
        double height = now.start().setUp().value(Quantity.BRIDGE_HEIGHT);
        Pen pen = new Pen();
        post(pen, now.start().setUp(), now.postStands());
        for (int scratch = 0; scratch < Math.min(MOST_SCRATCHES, now.scratches()); scratch++) {
            double at = -height * (SCRATCHED + SCRATCHES_APART * scratch);
            pen.line("scratch", height * 0.012, at, -height * 0.03, at + height * 0.05, height * 0.015);
        }
        List<Mark> marks = new ArrayList<>(bridge.marks());
        marks.addAll(pen.marks());
        return new View(bridge.x(), bridge.y(), bridge.width(), bridge.height() + height * BENEATH, marks);
    }

    /** The sound post under the top, behind the foot, as far as there is room; or lying on the back. */
    private static void post(Pen pen, SetUp setUp, boolean stands) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double thick = setUp.value(Quantity.FOOT_DEPTH) * POST;
        double low = height * (BENEATH + 0.1);
        if (stands) {
            double near = -height * BEHIND_FOOT;
            pen.area("wood post", near - thick, height * 0.012, near, height * 0.012, near, low, near - thick, low);
        } else {
            double up = low - thick * 1.3;
            pen.area(
                    "wood post",
                    -height * 0.5,
                    up,
                    height * 0.6,
                    up - thick * 0.3,
                    height * 0.6,
                    up + thick * 0.7,
                    -height * 0.5,
                    up + thick);
        }
    }

    private static View standing(PracticeInstrument now) {
        SetUp setUp = now.start().setUp();
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        View standing = BridgeDrawing.side(setUp, now.lean());
        List<Mark> marks = new ArrayList<>(standing.marks());
        double half = height / 2;
        marks.add(new Mark.Path(
                Stroke.move(-half, -height)
                        + Stroke.line(-height * BESIDE_CARD, -height)
                        + Stroke.line(-height * BESIDE_CARD, 0)
                        + Stroke.line(-half, 0)
                        + "z",
                0,
                "grip-card"));
        marks.add(new Mark.Circle(
                BridgeDrawing.topX(setUp, now.lean()), -height * 0.9, height * TOP_SHARE, "grip-bridge"));
        return new View(standing.x(), standing.y(), standing.width(), standing.height(), marks);
    }

    private static View fallen(SetUp setUp) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double thickness = setUp.value(Quantity.TOP_THICKNESS);
        double reach = height * 0.62;
        Pen pen = new Pen();
        pen.area("wood", 0, 0, height, 0, height, -thickness, height * 0.25, -foot * 0.72, 0, -foot);
        pen.path(
                "string",
                height * 0.01,
                Stroke.move(-reach, -height * 0.16)
                        + Stroke.curve(0, height * 0.02, height, -height * 0.06, foot + reach + height, -height * 0.2));
        pen.line("plate", height * 0.02, -reach, 0, foot + reach, 0);
        pen.area("grip-fallen", 0, 0, height, 0, height, -height * 0.4, 0, -height * 0.4);
        return BridgeDrawing.seenFromSide(pen, setUp);
    }

    /** {@return the strings over the board, to scale: those that are off dotted} */
    public static Strands strands(PracticeInstrument now) {
        Map<Position, Strands.Strand> strands = new EnumMap<>(Position.class);
        now.start().setUp().positions().forEach(position -> {
            PracticeString there = now.strings().get(position);
            boolean on = there != null && there.whole();
            strands.put(
                    position,
                    new Strands.Strand(
                            position.in(now.start().strings()).diameterMm(),
                            0,
                            0,
                            (on ? "on" : "off") + " at-" + position));
        });
        return Strands.of(now.start().setUp(), strands);
    }
}
