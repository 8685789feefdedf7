package rosinedpeg.web.drawing;

import java.util.Collection;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Side;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.winding.WindingPlan;

/**
 * A strung pegbox in millimetres, from above with the scroll up, and from the side with the scroll on the right. Every
 * coordinate is the core's own: from above x and −y, from the side y and −z. A left-handed instrument is mirrored.
 *
 * @param above seen from above
 * @param side seen from the treble side, from the bass side of a left-handed one
 */
public record PegboxDrawing(View above, View side) {

    /** Thickness of the walls, in shaft diameters. */
    private static final double WALL = 0.65;
    /** Room for what stands outside the walls, in shaft diameters. */
    private static final double HEAD = 4;

    /**
     * Draws a pegbox.
     *
     * @param pegbox the pegbox with its strings
     * @param strings the strings in it
     * @param touches what touches
     * @param marked the string that is worked on, if any
     * @return both views
     */
    public static PegboxDrawing of(
            StrungPegbox pegbox, Collection<StringSpec> strings, List<Touch> touches, @Nullable Position marked) {
        return new PegboxDrawing(above(pegbox, strings, touches, marked), side(pegbox, strings, touches));
    }

    private static View above(
            StrungPegbox strung, Collection<StringSpec> strings, List<Touch> touches, @Nullable Position marked) {
        Pegbox pegbox = strung.pegbox();
        double hand = hand(pegbox.setUp());
        double shaft = pegbox.shaftDiameterMm();
        Pen pen = new Pen();
        walls(pen, pegbox.setUp());
        plates(pen, pegbox);
        for (StringSpec string : strings) {
            peg(pen, pegbox, string.position());
            pen.circle(
                    "hole",
                    hand * pegbox.holeXMm(string.position()),
                    -pegbox.fromNutMm(string.position()),
                    string.diameterMm() * 0.75);
            turns(pen, strung.winding(string.position()), string, shaft, hand, pegbox, marked);
        }
        for (StringSpec string : strings) {
            WindingPlan.Line line = strung.line(string.position());
            pen.line(
                    string.position() == marked ? "string marked" : touched(string.position(), touches),
                    string.diameterMm(),
                    hand * line.from().getX(),
                    -line.from().getY(),
                    hand * line.to().getX(),
                    -line.to().getY());
        }
        nut(pen, pegbox.setUp());
        for (Touch touch : touches) {
            Vector3D at = touch.clearance().at();
            pen.circle("touch", hand * at.getX(), -at.getY(), shaft * 0.45);
        }
        return fromAbove(pen, pegbox.setUp());
    }

    /** The walls and what is between them. */
    static void walls(Pen pen, SetUp setUp) {
        double length = setUp.value(Quantity.PEGBOX_LENGTH);
        double near = setUp.pegboxHalfWidthMm(0);
        double far = setUp.pegboxHalfWidthMm(length);
        double wall = wall(setUp);
        pen.area("wood", -near - wall, 0, -far - wall, -length - wall, far + wall, -length - wall, near + wall, 0);
        pen.area("inside", -near, 0, -far, -length, far, -length, near, 0);
    }

    /** A peg or machine: its shaft, what the hand turns, and its numeral. */
    static void peg(Pen pen, Pegbox pegbox, Position position) {
        SetUp setUp = pegbox.setUp();
        double shaft = pegbox.shaftDiameterMm();
        double y = -pegbox.fromNutMm(position);
        double side = pegbox.knobSide(position) * hand(setUp);
        double out = pegbox.halfWidthMm(-y) + wall(setUp);
        String of = PegHead.shaft(setUp.pegKind()).name().toLowerCase(Locale.ROOT);
        pen.line("shaft " + of, shaft, -side * (out - wall(setUp) * 0.3), y, side * out, y);
        for (PegHead piece : PegHead.of(setUp.pegKind())) {
            pen.line(
                    piece.material().name().toLowerCase(Locale.ROOT),
                    piece.width() * shaft,
                    side * (out + piece.fromOut() * shaft),
                    y + piece.fromAlong() * shaft,
                    side * (out + piece.toOut() * shaft),
                    y + piece.toAlong() * shaft);
        }
        numeral(pen, setUp, position, side * out, y);
    }

    /** On its knob, or beside a machine. */
    static void numeral(Pen pen, SetUp setUp, Position position, double wallX, double y) {
        boolean machine = setUp.pegKind() == PegKind.MACHINE_HEAD;
        double shaft = setUp.value(Quantity.SHAFT_DIAMETER);
        pen.text(
                machine ? "numeral beside" : "numeral",
                wallX + Math.signum(wallX) * shaft * (machine ? 3.25 : 1.56),
                y + shaft * 0.38,
                shaft * 1.05,
                "middle",
                position.name());
    }

    /** The plates that machines sit on, one along each cheek that has any. */
    static void plates(Pen pen, Pegbox pegbox) {
        SetUp setUp = pegbox.setUp();
        if (setUp.pegKind() != PegKind.MACHINE_HEAD) {
            return;
        }
        double shaft = pegbox.shaftDiameterMm();
        for (Side side : Side.values()) {
            DoubleSummaryStatistics places = setUp.positions().stream()
                    .filter(position -> setUp.pegSide(position) == side)
                    .mapToDouble(pegbox::fromNutMm)
                    .summaryStatistics();
            if (places.getCount() > 0) {
                double near = places.getMin() - PegHead.PLATE_BEYOND * shaft;
                double far = places.getMax() + PegHead.PLATE_BEYOND * shaft;
                double across = side.sign() * hand(setUp);
                double thick = PegHead.PLATE * shaft / 2;
                pen.line(
                        "metal",
                        PegHead.PLATE * shaft,
                        across * (pegbox.halfWidthMm(near) + wall(setUp) + thick),
                        -near,
                        across * (pegbox.halfWidthMm(far) + wall(setUp) + thick),
                        -far);
            }
        }
    }

    static void nut(Pen pen, SetUp setUp) {
        double half = setUp.pegboxHalfWidthMm(0) + wall(setUp);
        pen.line("nut", 1.6, -half, 0.8, half, 0.8);
    }

    static View fromAbove(Pen pen, SetUp setUp) {
        double shaft = setUp.value(Quantity.SHAFT_DIAMETER);
        double half = setUp.pegboxHalfWidthMm(0) + wall(setUp) + shaft * HEAD;
        double top = -setUp.value(Quantity.PEGBOX_LENGTH) - wall(setUp) - shaft * 0.4;
        return pen.view(-half, top, 2 * half, -top + 3);
    }

    static double hand(SetUp setUp) {
        return setUp.leftHanded() ? -1 : 1;
    }

    static double wall(SetUp setUp) {
        return WALL * setUp.value(Quantity.SHAFT_DIAMETER);
    }

    /** Turns lie side by side; each crosses the shaft a string's width further on. */
    private static void turns(
            Pen pen,
            WindingPlan plan,
            StringSpec string,
            double shaft,
            double hand,
            Pegbox pegbox,
            @Nullable Position marked) {
        double diameter = string.diameterMm();
        double y = -pegbox.fromNutMm(string.position());
        int count = (int) Math.round((plan.toXMm() - plan.fromXMm()) / diameter);
        for (int turn = 0; turn < count; turn++) {
            double x = plan.fromXMm() + (turn + 0.5) * (plan.toXMm() - plan.fromXMm()) / count;
            pen.line(
                    string.position() == marked ? "turn marked" : "turn",
                    diameter * 0.86,
                    hand * (x - diameter * 0.3),
                    y + shaft / 2,
                    hand * (x + diameter * 0.3),
                    y - shaft / 2);
        }
    }

    private static View side(StrungPegbox strung, Collection<StringSpec> strings, List<Touch> touches) {
        Pegbox pegbox = strung.pegbox();
        double shaft = pegbox.shaftDiameterMm();
        Pen pen = new Pen();
        floor(pen, pegbox);
        for (StringSpec string : strings) {
            Vector3D middle = pegbox.onShaft(string.position(), 0);
            pen.circle("turns", middle.getY(), -middle.getZ(), shaft / 2 + string.diameterMm());
        }
        for (StringSpec string : strings) {
            shaftEnd(pen, pegbox, string.position());
        }
        for (StringSpec string : strings) {
            WindingPlan.Line line = strung.line(string.position());
            pen.line(
                    touched(string.position(), touches),
                    string.diameterMm(),
                    0,
                    0,
                    line.to().getY(),
                    -line.to().getZ());
        }
        for (Touch touch : touches) {
            Vector3D at = touch.clearance().at();
            pen.circle("touch", at.getY(), -at.getZ(), shaft * 0.4);
        }
        return fromSide(pen, pegbox);
    }

    static void floor(Pen pen, Pegbox pegbox) {
        double length = pegbox.setUp().value(Quantity.PEGBOX_LENGTH);
        double floor = -pegbox.floorZMm();
        double below = floor + pegbox.shaftDiameterMm() * 0.9;
        pen.area("inside", 0, 0, length, 0, length, floor, 0, floor);
        pen.area("wood", 0, floor, length, floor, length, below, 0, below);
    }

    static void shaftEnd(Pen pen, Pegbox pegbox, Position position) {
        double shaft = pegbox.shaftDiameterMm();
        Vector3D middle = pegbox.onShaft(position, 0);
        pen.circle("shaft", middle.getY(), -middle.getZ(), shaft / 2);
        pen.text("numeral", middle.getY(), -middle.getZ() + shaft * 0.2, shaft * 0.62, "middle", position.name());
    }

    static View fromSide(Pen pen, Pegbox pegbox) {
        double margin = pegbox.shaftDiameterMm() * 0.9;
        double length = pegbox.setUp().value(Quantity.PEGBOX_LENGTH);
        return pen.view(-2, -margin, length + 4, -pegbox.floorZMm() + 2 * margin);
    }

    private static String touched(Position position, List<Touch> touches) {
        return touches.stream().map(Touch::clearance).map(Clearance::string).anyMatch(position::equals)
                ? "string touching"
                : "string";
    }
}
