package rosinedpeg.web.drawing;

import java.util.List;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgeCurve.StringPoint;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.pegbox.Pegbox;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/** Shows from where to where something is measured, on a drawing of the instrument itself. */
public final class MeasureDrawing {

    /** A lean at which the gap of a card can be seen in a small drawing. */
    private static final Lean SEEN_LEANING = new Lean(8);

    private final SetUp setUp;
    private final Position position;
    private final double height;
    private final Pen pen = new Pen();

    private MeasureDrawing(SetUp setUp, Position position) {
        this.setUp = setUp;
        this.position = position;
        this.height = setUp.value(Quantity.BRIDGE_HEIGHT);
    }

    /** {@return a small drawing with the distance marked} */
    public static View of(SetUp setUp, Measurable measurable) {
        MeasureDrawing drawing = new MeasureDrawing(setUp, measurable.string().orElse(Position.I));
        return switch (measurable.quantity()) {
            case VIBRATING_LENGTH -> drawing.body();
            case FRONT_ANGLE -> drawing.angle(1, setUp.value(Quantity.FRONT_ANGLE));
            case BACK_ANGLE -> drawing.angle(-1, setUp.value(Quantity.BACK_ANGLE));
            case BRIDGE_HEIGHT, FOOT_DEPTH, TOP_THICKNESS, BRIDGE_GAP -> drawing.profile(measurable.quantity());
            case WARP -> drawing.warp();
            case FOOT_SPAN, BRIDGE_SPACING, FROM_LOWEST_STRING, STRING_HEIGHT, OFF_CENTRE ->
                drawing.front(measurable.quantity());
            case TREBLE_FOOT_OFF_LINE -> drawing.feet(1);
            case BASS_FOOT_OFF_LINE -> drawing.feet(-1);
            case BRIDGE_GROOVE_DEPTH, BRIDGE_GROOVE_WIDTH, NUT_GROOVE_DEPTH, NUT_GROOVE_WIDTH ->
                drawing.groove(measurable.quantity());
            case NUT_SPACING -> drawing.nut();
            case PEGBOX_WIDTH_AT_NUT, PEGBOX_WIDTH_AT_END, PEGBOX_LENGTH, NUT_TO_PEG, HOLE_TO_WALL ->
                drawing.fromAbove(measurable.quantity());
            case PEGBOX_DEPTH, SHAFT_DEPTH -> drawing.fromSide(measurable.quantity());
            case SHAFT_DIAMETER, COLLAR_TO_WALL -> drawing.peg(measurable.quantity());
            case GEAR_RATIO -> drawing.gears();
            case AFTERLENGTH, TAILPIECE_TO_TOP, TUNER_SCREW_LEFT, TUNER_SCREW_IN, LEVER_TO_TOP ->
                drawing.tail(measurable.quantity());
            case TUNER_LEVER_RATIO -> drawing.lever();
            case TAIL_SLOT_WIDTH -> drawing.slot();
            case TAILPIECE_MASS, ADDED_TUNER_MASS -> drawing.scales(measurable.quantity() == Quantity.TAILPIECE_MASS);
        };
    }

    private View body() {
        double length = setUp.value(Quantity.VIBRATING_LENGTH);
        pen.area(
                "ebony", 0, -height * 0.5, length * 0.8, -height * 0.62, length * 0.8, -height * 0.5, 0, -height * 0.3);
        pen.area(
                "bone",
                -height * 0.12,
                -height * 0.62,
                0,
                -height * 0.62,
                0,
                -height * 0.2,
                -height * 0.12,
                -height * 0.2);
        pen.area("wood", length - 1, -height, length + 1, -height, length + height * 0.1, 0, length - height * 0.1, 0);
        pen.line("string", height * 0.03, 0, -height * 0.62, length, -height);
        pen.line("plate", height * 0.06, length * 0.5, 0, length * 1.2, 0);
        pen.distance(0, -height * 1.3, length, -height * 1.3, height * 0.4);
        return pen.view(-height * 0.4, -height * 2.2, length * 1.2 + height * 0.4, height * 3);
    }

    private View angle(int side, double degrees) {
        BridgeDrawing.profile(pen, setUp, new Lean(0));
        double top = BridgeDrawing.topX(setUp, new Lean(0));
        double out = height * 0.5;
        pen.line("guide", height * 0.012, top, -height, top + side * out * 1.1, -height);
        double far = Math.toRadians(degrees);
        pen.path(
                "distance",
                height * 0.03,
                Stroke.move(top + side * out, -height)
                        + Stroke.line(top + side * out * Math.cos(far / 2), -height + out * Math.sin(far / 2))
                        + Stroke.line(top + side * out * Math.cos(far), -height + out * Math.sin(far)));
        return BridgeDrawing.seenFromSide(pen, setUp);
    }

    private View profile(Quantity quantity) {
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double thickness = setUp.value(Quantity.TOP_THICKNESS);
        boolean gap = quantity == Quantity.BRIDGE_GAP;
        Lean lean = gap ? SEEN_LEANING : new Lean(0);
        BridgeDrawing.profile(pen, setUp, lean);
        double tick = height * 0.12;
        switch (quantity) {
            case BRIDGE_HEIGHT -> pen.distance(foot + height * 0.2, -height, foot + height * 0.2, 0, tick);
            case FOOT_DEPTH -> pen.distance(0, height * 0.05, foot, height * 0.05, tick);
            case TOP_THICKNESS -> pen.distance(0, -height * 1.04, thickness, -height * 1.04, tick * 0.7);
            default -> {
                pen.line("card", height * 0.015, -height * 0.4, 0, 0, 0, 0, -height * 1.05);
                pen.distance(0, -height, lean.gapMm(height), -height, tick * 0.8);
            }
        }
        return BridgeDrawing.seenFromSide(pen, setUp);
    }

    private View warp() {
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double bent = height * 0.06;
        pen.path(
                "wood",
                0,
                Stroke.move(0, 0)
                        + Stroke.curve(bent * 1.6, -height * 0.35, bent * 1.6, -height * 0.7, 0, -height)
                        + Stroke.line(setUp.value(Quantity.TOP_THICKNESS), -height)
                        + Stroke.curve(foot * 0.6 + bent, -height * 0.6, foot, -height * 0.3, foot, 0)
                        + "Z");
        pen.line("card", height * 0.02, 0, 0, 0, -height * 1.06);
        pen.distance(0, -height * 0.52, bent * 1.2, -height * 0.52, height * 0.1);
        return BridgeDrawing.seenFromSide(pen, setUp);
    }

    private View front(Quantity quantity) {
        double hand = setUp.leftHanded() ? -1 : 1;
        BridgeDrawing.body(pen, setUp);
        List<StringPoint> points = BridgeCurve.of(setUp).points();
        for (StringPoint point : points) {
            pen.circle("string-end", hand * point.xMm(), -point.yMm(), height * 0.02);
        }
        double low = hand * points.get(0).xMm();
        double tick = height * 0.12;
        double above = -height * 1.08;
        switch (quantity) {
            case FOOT_SPAN -> {
                double half = setUp.value(Quantity.FOOT_SPAN) / 2;
                pen.distance(-half, -height * 0.06, half, -height * 0.06, tick);
            }
            case BRIDGE_SPACING -> pen.distance(low, above, -low, above, tick);
            case FROM_LOWEST_STRING -> pen.distance(low, above, hand * setUp.xAtBridgeMm(position), above, tick);
            case STRING_HEIGHT -> {
                double x = hand * setUp.xAtBridgeMm(position);
                pen.distance(x, -setUp.value(Quantity.STRING_HEIGHT, position), x, 0, tick);
            }
            default -> {
                pen.line("guide", height * 0.012, 0, 0, 0, -height * 1.1);
                double off = hand * height * 0.16;
                pen.line("card", height * 0.015, off, 0, off, -height * 1.1);
                pen.distance(0, -height * 0.25, off, -height * 0.25, tick);
            }
        }
        return BridgeDrawing.seenFromTailpiece(pen, setUp);
    }

    /** From above, scroll up: the line between the nicks, and one foot off it. */
    private View feet(int treble) {
        double hand = setUp.leftHanded() ? -1 : 1;
        double span = setUp.value(Quantity.FOOT_SPAN) / 2;
        double deep = setUp.value(Quantity.FOOT_DEPTH);
        double off = -deep * 0.9;
        double x = hand * treble * span;
        pen.line("guide", span * 0.02, -span * 1.9, 0, span * 1.9, 0);
        for (int side : new int[] {-1, 1}) {
            double nick = side * span * 1.75;
            pen.line("nick", span * 0.07, nick, -span * 0.5, nick + side * span * 0.05, 0, nick, span * 0.5);
            double at = side * hand == treble ? off : 0;
            pen.area(
                    "wood",
                    side * span * 0.64,
                    at - deep / 2,
                    side * span * 1.36,
                    at - deep / 2,
                    side * span * 1.36,
                    at + deep / 2,
                    side * span * 0.64,
                    at + deep / 2);
        }
        pen.distance(x, off, x, 0, span * 0.3);
        return pen.view(-span * 2, -span, span * 4, span * 2);
    }

    private View groove(Quantity quantity) {
        boolean bridge = quantity == Quantity.BRIDGE_GROOVE_DEPTH || quantity == Quantity.BRIDGE_GROOVE_WIDTH;
        double depth = setUp.value(bridge ? Quantity.BRIDGE_GROOVE_DEPTH : Quantity.NUT_GROOVE_DEPTH, position);
        double width = setUp.value(bridge ? Quantity.BRIDGE_GROOVE_WIDTH : Quantity.NUT_GROOVE_WIDTH, position);
        double diameter = Math.max(0.15, Math.min(4, width));
        View drawn = GrooveDrawing.of(new Groove(depth, width, diameter));
        drawn.marks().stream()
                .filter(mark ->
                        !mark.state().equals("distance") && !mark.state().equals("guide"))
                .forEach(mark -> {
                    if (mark instanceof Mark.Path path) {
                        pen.path(path.state(), path.width(), path.path());
                    } else if (mark instanceof Mark.Circle circle) {
                        pen.circle("string-faint", circle.x(), circle.y(), circle.radius());
                    }
                });
        if (quantity == Quantity.BRIDGE_GROOVE_DEPTH || quantity == Quantity.NUT_GROOVE_DEPTH) {
            pen.distance(0, 0, 0, depth, diameter * 0.35);
        } else {
            pen.distance(-width / 2, 0, width / 2, 0, diameter * 0.35);
        }
        return pen.view(drawn.x(), drawn.y(), drawn.width(), drawn.height());
    }

    private View nut() {
        double half = setUp.value(Quantity.NUT_SPACING) / 2;
        double edge = half * 1.35;
        pen.area("bone", -edge, 0, edge, 0, edge, half * 0.5, -edge, half * 0.5);
        pen.area("ebony", -edge, half * 0.5, edge, half * 0.5, edge, half * 0.9, -edge, half * 0.9);
        for (Position each : setUp.positions()) {
            pen.circle("string-end", setUp.xAtNutMm(each) * (setUp.leftHanded() ? -1 : 1), 0, half * 0.05);
        }
        pen.distance(-half, -half * 0.3, half, -half * 0.3, half * 0.25);
        return pen.view(-edge * 1.1, -half * 0.7, edge * 2.2, half * 1.8);
    }

    private View fromAbove(Quantity quantity) {
        Pegbox pegbox = new Pegbox(setUp);
        double hand = setUp.leftHanded() ? -1 : 1;
        double length = setUp.value(Quantity.PEGBOX_LENGTH);
        PegboxDrawing.walls(pen, setUp);
        PegboxDrawing.plates(pen, pegbox);
        setUp.positions().forEach(each -> PegboxDrawing.peg(pen, pegbox, each));
        PegboxDrawing.nut(pen, setUp);
        double tick = setUp.value(Quantity.SHAFT_DIAMETER) * 0.8;
        switch (quantity) {
            case PEGBOX_WIDTH_AT_NUT ->
                pen.distance(-pegbox.halfWidthMm(0), -tick * 0.6, pegbox.halfWidthMm(0), -tick * 0.6, tick);
            case PEGBOX_WIDTH_AT_END ->
                pen.distance(-pegbox.halfWidthMm(length), -length, pegbox.halfWidthMm(length), -length, tick);
            case PEGBOX_LENGTH -> pen.distance(0, 0, 0, -length, tick);
            case NUT_TO_PEG -> pen.distance(0, 0, 0, -pegbox.fromNutMm(position), tick);
            default -> {
                double y = -pegbox.fromNutMm(position);
                double wall = hand * pegbox.knobSide(position) * pegbox.halfWidthMm(-y);
                pen.distance(hand * pegbox.holeXMm(position), y, wall, y, tick);
            }
        }
        return PegboxDrawing.fromAbove(pen, setUp);
    }

    private View fromSide(Quantity quantity) {
        Pegbox pegbox = new Pegbox(setUp);
        double shaft = pegbox.shaftDiameterMm();
        double length = setUp.value(Quantity.PEGBOX_LENGTH);
        PegboxDrawing.floor(pen, pegbox);
        setUp.positions().forEach(each -> PegboxDrawing.shaftEnd(pen, pegbox, each));
        pen.line("card", shaft * 0.08, 0, 0, length, 0);
        if (quantity == Quantity.PEGBOX_DEPTH) {
            double x = shaft * 0.7;
            pen.distance(x, 0, x, -pegbox.floorZMm(), shaft * 0.6);
        } else {
            double x = pegbox.fromNutMm(position);
            pen.distance(x, 0, x, setUp.value(Quantity.SHAFT_DEPTH, position), shaft * 0.6);
        }
        return PegboxDrawing.fromSide(pen, pegbox);
    }

    /** A peg in its two walls, the knob on the right. */
    private View peg(Quantity quantity) {
        double shaft = setUp.value(Quantity.SHAFT_DIAMETER);
        double wall = shaft * 0.7;
        double inside = shaft * 1.9;
        pen.area("wood", -wall, -shaft * 1.5, 0, -shaft * 1.5, 0, shaft * 1.5, -wall, shaft * 1.5);
        pen.area(
                "wood",
                inside,
                -shaft * 1.5,
                inside + wall,
                -shaft * 1.5,
                inside + wall,
                shaft * 1.5,
                inside,
                shaft * 1.5);
        double collar = inside + wall + shaft * 1.3;
        pen.line("shaft", shaft, -wall * 1.3, 0, collar, 0);
        pen.line("collar", shaft * 1.4, collar, 0, collar + shaft * 0.25, 0);
        pen.line("knob", shaft * 1.9, collar + shaft * 1.2, 0, collar + shaft * 2, 0);
        if (quantity == Quantity.SHAFT_DIAMETER) {
            pen.distance(inside / 2, -shaft / 2, inside / 2, shaft / 2, shaft * 0.5);
        } else {
            pen.distance(inside + wall, -shaft * 0.9, collar, -shaft * 0.9, shaft * 0.5);
        }
        return pen.view(-wall * 1.6, -shaft * 1.7, collar + shaft * 3.2 + wall * 1.6, shaft * 3.4);
    }

    private View gears() {
        pen.circle("gear", 0, 0, 5);
        pen.circle("turns", 0, 0, 1.6);
        pen.circle("gear", 6.4, 0, 1.6);
        pen.line("shaft", 0.9, 6.4, 0, 12, 0, 12, 3);
        return pen.view(-6, -6, 20, 12);
    }

    private View tail(Quantity quantity) {
        TailpieceDrawing.draw(pen, setUp, position);
        double tick = height * 0.13;
        double[] fret = TailpieceDrawing.at(setUp, setUp.value(Quantity.AFTERLENGTH));
        double screwX = fret[0] - height * 0.4;
        switch (quantity) {
            case AFTERLENGTH -> pen.distance(fret[0], fret[1], 0, -height, tick);
            case TAILPIECE_TO_TOP -> {
                double x = TailpieceDrawing.endX(setUp);
                pen.distance(x, -setUp.value(Quantity.TAILPIECE_TO_TOP), x, 0, tick);
            }
            case LEVER_TO_TOP ->
                pen.distance(
                        fret[0] - height * 0.3,
                        -setUp.value(Quantity.LEVER_TO_TOP, position),
                        fret[0] - height * 0.3,
                        0,
                        tick);
            case TUNER_SCREW_LEFT -> {
                double head = TailpieceDrawing.screwHeadY(setUp, position);
                pen.distance(screwX, head, screwX, head + setUp.value(Quantity.TUNER_SCREW_LEFT, position), tick);
            }
            default -> {
                double head =
                        TailpieceDrawing.screwHeadY(setUp, position) + setUp.value(Quantity.TUNER_SCREW_LEFT, position);
                pen.distance(screwX, head, screwX, head + setUp.value(Quantity.TUNER_SCREW_IN, position), tick);
            }
        }
        return TailpieceDrawing.view(pen, setUp);
    }

    /** A fine tuner's lever from its side: the screw presses the long arm down, the other draws the string, about one pin. */
    private View lever() {
        double screwArm = 10;
        double stringArm = screwArm * setUp.value(Quantity.TUNER_LEVER_RATIO, position);
        pen.line("lever", 1.1, -screwArm, 0, 0, 0, 0, stringArm);
        pen.line("screw", 0.9, -screwArm, -0.4, -screwArm, -6);
        pen.line("screw", 1.4, -screwArm - 1.6, -6, -screwArm + 1.6, -6);
        pen.line("string", 0.5, 0, stringArm, 11, stringArm);
        pen.circle("inside", 0, 0, 0.8);
        pen.distance(-screwArm, 2.4, 0, 2.4, 1);
        pen.distance(2.6, 0, 2.6, stringArm, 1);
        return pen.view(-14, -9, 28, stringArm + 13);
    }

    private View slot() {
        double width = setUp.value(Quantity.TAIL_SLOT_WIDTH, position);
        pen.area("ebony", -width * 3, -width * 3, width * 3, -width * 3, width * 3, width * 5, -width * 3, width * 5);
        pen.circle("inside", 0, width * 3, width * 1.1);
        pen.area("inside", -width / 2, -width * 2, width / 2, -width * 2, width / 2, width * 3, -width / 2, width * 3);
        pen.distance(-width / 2, 0, width / 2, 0, width * 0.9);
        return pen.view(-width * 6, -width * 3, width * 12, width * 8);
    }

    private View scales(boolean tailpiece) {
        pen.area("ebony", -6, 0, 6, 0, 5, 1.4, -5, 1.4);
        pen.area("shaft", -1, 1.4, 1, 1.4, 3.5, 6, -3.5, 6);
        if (tailpiece) {
            pen.area("wood", -4, -0.3, -5, -2, 4.6, -3.2, 5.4, -0.3);
        } else {
            pen.line("screw", 0.7, -1, -0.6, 2, -0.6);
            pen.line("lever", 0.8, 0, -0.6, 0, -3.4);
            pen.line("screw", 0.9, -1, -3.4, 1, -3.4);
        }
        return pen.view(-10, -5, 20, 12);
    }
}
