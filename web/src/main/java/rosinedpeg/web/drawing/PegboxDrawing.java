package rosinedpeg.web.drawing;

import static rosinedpeg.web.drawing.Stroke.line;
import static rosinedpeg.web.drawing.Stroke.move;
import static rosinedpeg.web.drawing.Stroke.number;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import rosinedpeg.core.clearance.Clearance;
import rosinedpeg.core.clearance.StrungPegbox;
import rosinedpeg.core.clearance.Touch;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
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

    /**
     * One view.
     *
     * @param x left edge of what is seen
     * @param y top edge
     * @param width of what is seen
     * @param height of what is seen
     * @param areas filled outlines
     * @param strokes lines, the later over the earlier
     * @param circles shafts, holes and touches
     * @param labels names of the strings
     */
    public record View(
            double x,
            double y,
            double width,
            double height,
            List<Area> areas,
            List<Stroke> strokes,
            List<Circle> circles,
            List<Label> labels) {

        /** {@return the view box} */
        public String viewBox() {
            return number(x) + " " + number(y) + " " + number(width) + " " + number(height);
        }
    }

    /** A filled outline; {@code state} completes a style class. */
    public record Area(String path, String state) {}

    /** A circle; {@code state} completes a style class. */
    public record Circle(double x, double y, double radius, String state) {}

    /** A string's numeral. */
    public record Label(double x, double y, double size, String anchor, Position position) {}

    /**
     * Draws a pegbox.
     *
     * @param pegbox the pegbox with its strings
     * @param strings the strings in it
     * @param touches what touches
     * @param marked the string that is worked on, or null
     * @return both views
     */
    public static PegboxDrawing of(
            StrungPegbox pegbox, Collection<StringSpec> strings, List<Touch> touches, Position marked) {
        return new PegboxDrawing(above(pegbox, strings, touches, marked), side(pegbox, strings, touches));
    }

    private static View above(
            StrungPegbox strung, Collection<StringSpec> strings, List<Touch> touches, Position marked) {
        Pegbox pegbox = strung.pegbox();
        SetUp setUp = pegbox.setUp();
        double hand = setUp.leftHanded() ? -1 : 1;
        double shaft = pegbox.shaftDiameterMm();
        double wall = WALL * shaft;
        double length = setUp.value(Quantity.PEGBOX_LENGTH);
        double nearHalf = pegbox.halfWidthMm(0);
        double farHalf = pegbox.halfWidthMm(length);
        double knob = shaft * 2.3;
        double half = nearHalf + wall + knob * 1.5;
        List<Area> areas = List.of(
                new Area(
                        move(-nearHalf - wall, 0)
                                + line(-farHalf - wall, -length - wall)
                                + line(farHalf + wall, -length - wall)
                                + line(nearHalf + wall, 0)
                                + "Z",
                        "wood"),
                new Area(
                        move(-nearHalf, 0) + line(-farHalf, -length) + line(farHalf, -length) + line(nearHalf, 0) + "Z",
                        "inside"));
        List<Stroke> strokes = new ArrayList<>();
        List<Circle> circles = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        for (StringSpec string : strings) {
            Position position = string.position();
            double y = -pegbox.fromNutMm(position);
            double side = pegbox.knobSide(position) * hand;
            double out = pegbox.halfWidthMm(-y) + wall;
            strokes.add(new Stroke(move(-side * out, y) + line(side * (out + shaft * 0.6), y), shaft, "shaft"));
            strokes.add(new Stroke(
                    move(side * (out + shaft * 0.9), y) + line(side * (out + knob), y), shaft * 1.9, "knob"));
            circles.add(new Circle(hand * pegbox.holeXMm(position), y, string.diameterMm() * 0.75, "hole"));
            labels.add(new Label(side * (out + knob * 0.68), y + shaft * 0.38, shaft * 1.05, "middle", position));
            String state = position == marked ? "turn marked" : "turn";
            turns(strokes, strung.winding(position), string, y, shaft, hand, state);
        }
        for (StringSpec string : strings) {
            WindingPlan.Line line = strung.line(string.position());
            strokes.add(new Stroke(
                    move(hand * line.from().getX(), -line.from().getY())
                            + line(hand * line.to().getX(), -line.to().getY()),
                    string.diameterMm(),
                    string.position() == marked ? "string marked" : touched(string.position(), touches)));
        }
        strokes.add(new Stroke(move(-nearHalf - wall, 0.8) + line(nearHalf + wall, 0.8), 1.6, "nut"));
        for (Touch touch : touches) {
            Vector3D at = touch.clearance().at();
            circles.add(new Circle(hand * at.getX(), -at.getY(), shaft * 0.45, "touch"));
        }
        double top = -length - wall - shaft * 0.4;
        return new View(-half, top, 2 * half, -top + 3, areas, strokes, circles, labels);
    }

    /** Turns lie side by side; each crosses the shaft a string's width further on. */
    private static void turns(
            List<Stroke> strokes,
            WindingPlan plan,
            StringSpec string,
            double y,
            double shaft,
            double hand,
            String state) {
        double diameter = string.diameterMm();
        int count = (int) Math.round((plan.toXMm() - plan.fromXMm()) / diameter);
        for (int turn = 0; turn < count; turn++) {
            double x = plan.fromXMm() + (turn + 0.5) * (plan.toXMm() - plan.fromXMm()) / count;
            strokes.add(new Stroke(
                    move(hand * (x - diameter * 0.3), y + shaft / 2) + line(hand * (x + diameter * 0.3), y - shaft / 2),
                    diameter * 0.86,
                    state));
        }
    }

    private static View side(StrungPegbox strung, Collection<StringSpec> strings, List<Touch> touches) {
        Pegbox pegbox = strung.pegbox();
        SetUp setUp = pegbox.setUp();
        double shaft = pegbox.shaftDiameterMm();
        double length = setUp.value(Quantity.PEGBOX_LENGTH);
        double floor = -pegbox.floorZMm();
        double margin = shaft * 0.9;
        List<Area> areas = List.of(
                new Area(move(0, 0) + line(length, 0) + line(length, floor) + line(0, floor) + "Z", "inside"),
                new Area(
                        move(0, floor)
                                + line(length, floor)
                                + line(length, floor + margin)
                                + line(0, floor + margin)
                                + "Z",
                        "wood"));
        List<Stroke> strokes = new ArrayList<>();
        List<Circle> circles = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        for (StringSpec string : strings) {
            Vector3D middle = pegbox.onShaft(string.position(), 0);
            circles.add(new Circle(middle.getY(), -middle.getZ(), shaft / 2 + string.diameterMm(), "turns"));
            circles.add(new Circle(middle.getY(), -middle.getZ(), shaft / 2, "shaft"));
            labels.add(
                    new Label(middle.getY(), -middle.getZ() + shaft * 0.2, shaft * 0.62, "middle", string.position()));
            WindingPlan.Line line = strung.line(string.position());
            strokes.add(new Stroke(
                    move(0, 0) + line(line.to().getY(), -line.to().getZ()),
                    string.diameterMm(),
                    touched(string.position(), touches)));
        }
        for (Touch touch : touches) {
            Vector3D at = touch.clearance().at();
            circles.add(new Circle(at.getY(), -at.getZ(), shaft * 0.4, "touch"));
        }
        return new View(-2, -margin, length + 4, floor + 2 * margin, areas, strokes, circles, labels);
    }

    private static String touched(Position position, List<Touch> touches) {
        return touches.stream().map(Touch::clearance).map(Clearance::string).anyMatch(position::equals)
                ? "string touching"
                : "string";
    }
}
