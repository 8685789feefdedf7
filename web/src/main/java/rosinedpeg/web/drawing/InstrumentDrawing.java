package rosinedpeg.web.drawing;

import static rosinedpeg.web.drawing.Stroke.curve;
import static rosinedpeg.web.drawing.Stroke.line;
import static rosinedpeg.web.drawing.Stroke.move;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.Place;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * An instrument from the front, scroll up, in millimetres: the bass side is on the left, on the right for a left-handed
 * set-up. Strings, nut, pegs, bridge and tailpiece stand where the set-up says; the body's outline is that of a usual
 * instrument of the same vibrating length.
 *
 * @param viewBox what is seen of it
 * @param under all that lies under the strings, the later over the earlier
 * @param strings the strings, I first, thickness to scale
 * @param ring the place of the step, unless it is the whole instrument
 */
public record InstrumentDrawing(
        String viewBox,
        List<Stroke> under,
        List<Stroke> strings,
        @Nullable Ring ring) {

    /** Thickness of the pegbox's walls, in shaft diameters. */
    private static final double WALL_SHARE = 0.65;

    /** Share of the vibrating length that lies over the neck. */
    private static final double NECK_SHARE = 130 / 328.0;

    private static final double BOARD_SHARE = 0.825;

    private static final double SCROLL_WIDTH = 7;
    private static final double NUT_WIDTH = 4;
    private static final double BRIDGE_WIDTH = 5;

    /**
     * Draws an instrument.
     *
     * @param setUp its geometry
     * @param diametersMm thickness of each string
     * @param states how each string is drawn
     * @param place the part a step happens at
     * @param position the string the step is for, if it is for one
     * @return the drawing
     */
    public static InstrumentDrawing of(
            SetUp setUp,
            Map<Position, Double> diametersMm,
            Map<Position, StringState> states,
            Place place,
            @Nullable Position position) {
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        double after = setUp.value(Quantity.AFTERLENGTH);
        double body = setUp.bodyLengthMm();
        double bodyTop = length * NECK_SHARE;
        double hand = setUp.leftHanded() ? -1 : 1;
        double nutHalf = setUp.value(Quantity.NUT_SPACING) / 2;
        double boardHalf = nutHalf * 1.42;
        double bridgeHalf = setUp.value(Quantity.BRIDGE_SPACING) / 2;
        double boardEnd = length * BOARD_SHARE;
        double boardEndHalf = boardHalf + (bridgeHalf * 1.12 - boardHalf) * BOARD_SHARE;
        double furthest = setUp.positions().stream()
                .mapToDouble(p -> setUp.value(Quantity.NUT_TO_PEG, p))
                .max()
                .orElseThrow();
        Pegbox pegbox = new Pegbox(setUp);
        double boxEnd = -Math.max(furthest * 1.1, setUp.value(Quantity.PEGBOX_LENGTH));
        double wall = setUp.value(Quantity.SHAFT_DIAMETER) * WALL_SHARE;
        double insideHalf = pegbox.halfWidthMm(0);
        double insideEndHalf = pegbox.halfWidthMm(-boxEnd);
        double boxHalf = insideHalf + wall;
        double boxEndHalf = insideEndHalf + wall;
        double curl = boxEndHalf * 1.15;

        List<Stroke> pegs = new ArrayList<>();
        List<Stroke> strings = new ArrayList<>();
        for (Position p : setUp.positions()) {
            double pegY = -setUp.value(Quantity.NUT_TO_PEG, p);
            double side = pegbox.knobSide(p) * hand;
            double wallAt = pegbox.halfWidthMm(-pegY) + wall;
            pegs.addAll(peg(setUp, side, wallAt, pegY, p == position && place == Place.PEG ? "marked" : "plain"));
            strings.add(
                    string(setUp, p, hand, diametersMm.getOrDefault(p, 0.6), states.getOrDefault(p, StringState.ON)));
        }
        double top = boxEnd - curl * 2.6;
        double bottom = bodyTop + body * 1.03;
        double half = body * 0.34;
        List<Stroke> under = new ArrayList<>();
        under.add(new Stroke(scroll(boxEnd, curl), SCROLL_WIDTH, "curl"));
        under.add(new Stroke(
                move(-boxHalf, 0) + line(-boxEndHalf, boxEnd) + line(boxEndHalf, boxEnd) + line(boxHalf, 0) + "Z",
                0,
                "wood"));
        under.add(new Stroke(
                move(-insideHalf, 0)
                        + line(-insideEndHalf, boxEnd * 0.97)
                        + line(insideEndHalf, boxEnd * 0.97)
                        + line(insideHalf, 0)
                        + "Z",
                0,
                "inside"));
        under.addAll(pegs);
        under.add(new Stroke(body(bodyTop, body), 0, "body"));
        under.add(soundHole(1, length, body));
        under.add(soundHole(-1, length, body));
        under.add(new Stroke(
                move(-boardHalf, 0)
                        + line(-boardEndHalf, boardEnd)
                        + line(boardEndHalf, boardEnd)
                        + line(boardHalf, 0)
                        + "Z",
                0,
                "ebony"));
        under.add(new Stroke(
                move(-bridgeHalf * 0.78, length + after)
                        + line(-bridgeHalf * 0.42, bodyTop + body * 0.975)
                        + line(bridgeHalf * 0.42, bodyTop + body * 0.975)
                        + line(bridgeHalf * 0.78, length + after)
                        + "Z",
                0,
                "ebony"));
        under.add(new Stroke(move(-boardHalf, 0) + line(boardHalf, 0), NUT_WIDTH, "bone"));
        under.add(new Stroke(move(-bridgeHalf * 1.2, length) + line(bridgeHalf * 1.2, length), BRIDGE_WIDTH, "bridge"));
        return new InstrumentDrawing(
                Stroke.number(-half) + " " + Stroke.number(top) + " " + Stroke.number(2 * half) + " "
                        + Stroke.number(bottom - top),
                under,
                strings,
                ring(setUp, hand, place, position, half));
    }

    /** {@return what is drawn but for the ring, as SVG} */
    public String svg() {
        return Stroke.svg(under.stream(), Stroke.asStrings(strings));
    }

    /** A peg or machine with its shaft across the pegbox. */
    private static List<Stroke> peg(SetUp setUp, double side, double wallAt, double y, String state) {
        double shaft = setUp.value(Quantity.SHAFT_DIAMETER);
        List<Stroke> strokes = new ArrayList<>();
        strokes.add(new Stroke(
                move(-side * wallAt, y) + line(side * wallAt, y),
                shaft * 0.8,
                named(PegHead.shaft(setUp.pegKind()), state)));
        for (PegHead piece : PegHead.of(setUp.pegKind())) {
            strokes.add(new Stroke(
                    move(side * (wallAt + piece.fromOut() * shaft), y + piece.fromAlong() * shaft)
                            + line(side * (wallAt + piece.toOut() * shaft), y + piece.toAlong() * shaft),
                    piece.width() * shaft,
                    named(piece.material(), state)));
        }
        return strokes;
    }

    private static String named(PegHead.Material material, String state) {
        return material.name().toLowerCase(Locale.ROOT) + "-" + state;
    }

    private static String body(double top, double length) {
        return move(0, top) + half(1, top, length, false) + half(-1, top, length, true) + "Z";
    }

    /** One side of the outline; widths and heights as shares of the body's length. */
    private static String half(double side, double top, double length, boolean upwards) {
        double[][] points = {
            {0, 0},
            {0.09, -0.012},
            {0.236, 0.025},
            {0.236, 0.175},
            {0.236, 0.26},
            {0.188, 0.315},
            {0.212, 0.368},
            {0.17, 0.385},
            {0.155, 0.43},
            {0.155, 0.485},
            {0.155, 0.55},
            {0.185, 0.59},
            {0.258, 0.612},
            {0.238, 0.66},
            {0.292, 0.7},
            {0.292, 0.79},
            {0.292, 0.945},
            {0.13, 1.0},
            {0, 1}
        };
        StringBuilder path = new StringBuilder();
        int last = points.length - 1;
        for (int i = 1; i < points.length; i += 3) {
            double[] a = points[upwards ? last - i : i];
            double[] b = points[upwards ? last - i - 1 : i + 1];
            double[] c = points[upwards ? last - i - 2 : i + 2];
            path.append(curve(
                    side * a[0] * length,
                    top + a[1] * length,
                    side * b[0] * length,
                    top + b[1] * length,
                    side * c[0] * length,
                    top + c[1] * length));
        }
        return path.toString();
    }

    private static Stroke soundHole(double side, double bridgeY, double body) {
        double x = side * body;
        return new Stroke(
                move(x * 0.083, bridgeY - body * 0.088)
                        + curve(
                                x * 0.058,
                                bridgeY - body * 0.118,
                                x * 0.118,
                                bridgeY - body * 0.125,
                                x * 0.113,
                                bridgeY - body * 0.06)
                        + curve(x * 0.106, bridgeY, x * 0.125, bridgeY, x * 0.121, bridgeY + body * 0.06)
                        + curve(
                                x * 0.118,
                                bridgeY + body * 0.125,
                                x * 0.178,
                                bridgeY + body * 0.115,
                                x * 0.158,
                                bridgeY + body * 0.085),
                body * 0.0105,
                "hole");
    }

    private static String scroll(double boxEnd, double curl) {
        return move(-curl * 0.7, boxEnd)
                + curve(-curl * 0.9, boxEnd - curl * 1.5, curl * 0.9, boxEnd - curl * 2.3, curl * 0.95, boxEnd - curl)
                + curve(
                        curl * 0.9,
                        boxEnd - curl * 0.2,
                        -curl * 0.2,
                        boxEnd - curl * 0.3,
                        -curl * 0.1,
                        boxEnd - curl * 0.95)
                + curve(0, boxEnd - curl * 1.35, curl * 0.5, boxEnd - curl * 1.25, curl * 0.42, boxEnd - curl * 0.9);
    }

    private static Stroke string(SetUp setUp, Position position, double hand, double diameterMm, StringState state) {
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        double atNut = hand * setUp.xAtNutMm(position);
        double atBridge = hand * setUp.xAtBridgeMm(position);
        double pegY = -setUp.value(Quantity.NUT_TO_PEG, position);
        double tailY = length + setUp.value(Quantity.AFTERLENGTH);
        StringState drawn = state == null ? StringState.ON : state;
        double atPeg = hand * new Pegbox(setUp).holeXMm(position);
        String upper = move(atPeg, pegY) + (drawn == StringState.SET_ASIDE ? line(atNut * 1.35, 0) : line(atNut, 0));
        return new Stroke(
                upper + line(atBridge, length) + line(atBridge * 0.62, tailY),
                Math.max(diameterMm, length / 700),
                drawn.name().toLowerCase().replace('_', '-'));
    }

    /**
     * Rings round the places of an instrument that somebody may point at, large enough for a finger. The whole of it is
     * pointed at on its lower bout.
     *
     * @param setUp its geometry
     * @return a ring for every place, in the order from scroll to end pin
     */
    public static Map<Place, Ring> places(SetUp setUp) {
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        double body = setUp.bodyLengthMm();
        double radius = length * 0.1;
        Map<Place, Ring> places = new LinkedHashMap<>();
        places.put(Place.PEG, new Ring(0, -setUp.value(Quantity.PEGBOX_LENGTH) * 0.62, radius, radius));
        places.put(Place.NUT, new Ring(0, 0, radius * 0.62, radius));
        places.put(Place.FINGERBOARD, new Ring(0, length * 0.42, radius, radius));
        places.put(Place.BRIDGE, new Ring(0, length, radius, radius));
        places.put(Place.TAIL, new Ring(0, length + setUp.value(Quantity.AFTERLENGTH) * 1.25, radius * 0.8, radius));
        places.put(Place.WHOLE, new Ring(-body * 0.19, length + body * 0.2, radius * 0.8, radius));
        return places;
    }

    private static @Nullable Ring ring(
            SetUp setUp, double hand, Place place, @Nullable Position position, double half) {
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        double radius = length * 0.065;
        return switch (place) {
            case WHOLE -> null;
            case PEG ->
                position == null
                        ? null
                        : new Ring(
                                hand * new Pegbox(setUp).holeXMm(position),
                                -setUp.value(Quantity.NUT_TO_PEG, position),
                                radius * 1.15,
                                half);
            case NUT -> new Ring(position == null ? 0 : hand * setUp.xAtNutMm(position), 0, radius * 0.7, half);
            case FINGERBOARD -> new Ring(0, length * 0.35, radius * 1.5, half);
            case BRIDGE ->
                position == null
                        ? new Ring(0, length, radius * 1.2, half)
                        : new Ring(hand * setUp.xAtBridgeMm(position), length, radius * 0.7, half);
            case TAIL ->
                new Ring(
                        position == null ? 0 : hand * setUp.xAtBridgeMm(position) * 0.62,
                        length + setUp.value(Quantity.AFTERLENGTH),
                        radius * 0.7,
                        half);
        };
    }

    /**
     * The ring round the place of a step, and where its label stands.
     *
     * @param x of its centre
     * @param y of its centre
     * @param radius of it
     * @param half half the width of the drawing
     */
    public record Ring(double x, double y, double radius, double half) {

        /** {@return what is seen from near: the place and a little around it} */
        public String nearViewBox() {
            double wide = radius * 8.4;
            double high = radius * 4.6;
            return Stroke.number(x - wide / 2) + " " + Stroke.number(y - high / 2) + " " + Stroke.number(wide) + " "
                    + Stroke.number(high);
        }

        /** {@return where the line to the label starts} */
        public double leaderX() {
            return x + radius;
        }

        /** {@return where the label ends, at the right edge of the drawing} */
        public double labelX() {
            return half * 0.97;
        }
    }
}
