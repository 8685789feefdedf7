package rosinedpeg.web.drawing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgeCurve.StringPoint;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.platform.Say;

/** A bridge in millimetres, y downwards from the top plate. */
public final class BridgeDrawing {

    private BridgeDrawing() {}

    /**
     * From the side (the treble side, or the bass side of a left-handed instrument), the tailpiece on the left: x counts
     * from the foot's tailpiece-side edge as in {@link Thrust}. A dashed line is the right angle of a card, another the
     * push of the strings, down to where it meets the foot.
     *
     * @param setUp the instrument
     * @param lean how it leans
     * @return the drawing
     */
    public static View side(SetUp setUp, Lean lean) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double at = Thrust.of(setUp, lean).atMm();
        double top = topX(setUp, lean);
        Pen pen = new Pen();
        pen.line("card", height * 0.008, -height * 0.3, 0, 0, 0, 0, -height * 1.04);
        profile(pen, setUp, lean);
        pen.line("push", height * 0.014, top, -height, at, 0);
        pen.circle("foot-middle", foot / 2, 0, height * 0.014);
        pen.circle("meets", at, 0, height * 0.02);
        return seenFromSide(pen, setUp);
    }

    /** The bridge's profile with the strings over it and the plate below. */
    static void profile(Pen pen, SetUp setUp, Lean lean) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double thickness = setUp.value(Quantity.TOP_THICKNESS);
        double gap = lean.gapMm(height);
        double top = topX(setUp, lean);
        double reach = reach(setUp);
        pen.area(
                "wood",
                0,
                0,
                gap,
                -height,
                gap + thickness,
                -height,
                foot * 0.72 + gap * 0.25,
                -height * 0.25,
                foot,
                -height * 0.06,
                foot,
                0);
        pen.line(
                "string",
                height * 0.01,
                top - reach,
                -height + reach * Math.tan(Math.toRadians(setUp.value(Quantity.BACK_ANGLE))),
                top,
                -height,
                top + reach,
                -height + reach * Math.tan(Math.toRadians(setUp.value(Quantity.FRONT_ANGLE))));
        pen.line("plate", height * 0.02, -reach, 0, foot + reach, 0);
    }

    static View seenFromSide(Pen pen, SetUp setUp) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double reach = reach(setUp);
        return pen.view(-reach, -height * 1.1, setUp.value(Quantity.FOOT_DEPTH) + 2 * reach, height * 1.22);
    }

    static double topX(SetUp setUp, Lean lean) {
        return lean.gapMm(setUp.value(Quantity.BRIDGE_HEIGHT)) + setUp.value(Quantity.TOP_THICKNESS) / 2;
    }

    private static double reach(SetUp setUp) {
        return setUp.value(Quantity.BRIDGE_HEIGHT) * 0.62;
    }

    /**
     * From the tailpiece, the lowest string on the left, on the right of a left-handed instrument: the strings on their
     * curve, the lines between neighbours, and how proud each middle string stands of the line past it.
     *
     * @param setUp the instrument
     * @param strings the strings on it, for their thickness; some may be missing
     * @param say how its figures are written
     * @return the drawing
     */
    public static View front(SetUp setUp, Map<Position, StringSpec> strings, Say say) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double hand = setUp.leftHanded() ? -1 : 1;
        BridgeCurve curve = BridgeCurve.of(setUp);
        List<StringPoint> points = curve.points();
        Pen pen = new Pen();
        body(pen, setUp);
        for (int i = 1; i < points.size() - 1; i++) {
            StringPoint left = points.get(i - 1);
            StringPoint right = points.get(i + 1);
            pen.line("guide", height * 0.007, hand * left.xMm(), -left.yMm(), hand * right.xMm(), -right.yMm());
            double proud = curve.proudMm().get(i - 1);
            double across = Math.atan2(right.yMm() - left.yMm(), right.xMm() - left.xMm());
            StringPoint here = points.get(i);
            pen.line(
                    "proud",
                    height * 0.014,
                    hand * here.xMm(),
                    -here.yMm(),
                    hand * (here.xMm() + proud * Math.sin(across)),
                    -here.yMm() + proud * Math.cos(across));
        }
        for (int i = 0; i < points.size(); i++) {
            StringPoint point = points.get(i);
            Position position = Position.ofNumber(points.size() - i);
            StringSpec string = strings.get(position);
            double radius = string == null ? height * 0.01 : string.diameterMm() / 2;
            pen.circle("string-end", hand * point.xMm(), -point.yMm(), radius);
            pen.text("name", hand * point.xMm(), -point.yMm() - height * 0.07, height * 0.1, "middle", position.name());
            if (i > 0 && i < points.size() - 1) {
                pen.text(
                        "measure",
                        hand * point.xMm(),
                        -point.yMm() + height * 0.2,
                        height * 0.085,
                        "middle",
                        say.mm(curve.proudMm().get(i - 1), 1));
                pen.text(
                        "measure",
                        hand * point.xMm(),
                        -point.yMm() + height * 0.29,
                        height * 0.075,
                        "middle",
                        say.degrees(curve.bowingAngleDeg().get(i - 1), 0));
            }
        }
        return seenFromTailpiece(pen, setUp);
    }

    /** The bridge's body: two feet, a waist, shoulders, and a back that the strings lie on. */
    static void body(Pen pen, SetUp setUp) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double span = setUp.value(Quantity.FOOT_SPAN) / 2;
        double foot = span * 0.34;
        double hand = setUp.leftHanded() ? -1 : 1;
        List<StringPoint> across = new ArrayList<>(BridgeCurve.of(setUp).points());
        if (hand < 0) {
            Collections.reverse(across);
        }
        StringPoint left = across.get(0);
        StringPoint right = across.get(across.size() - 1);
        double beyond = height * 0.08;
        double waist = span * 0.66;
        StringBuilder outline = new StringBuilder(Stroke.move(-span - foot, 0))
                .append(Stroke.curve(
                        -span - foot, -height * 0.09, -waist - foot * 0.4, -height * 0.12, -waist, -height * 0.4))
                .append(Stroke.curve(
                        -waist - height * 0.02,
                        -height * 0.5,
                        hand * left.xMm() - beyond * 1.7,
                        -height * 0.52,
                        hand * left.xMm() - beyond,
                        -left.yMm() + height * 0.13))
                .append(Stroke.curve(
                        hand * left.xMm() - beyond * 0.8,
                        -left.yMm() + height * 0.04,
                        hand * left.xMm() - beyond * 0.3,
                        -left.yMm() + height * 0.01,
                        hand * left.xMm(),
                        -left.yMm()));
        across.subList(1, across.size())
                .forEach(point -> outline.append(Stroke.line(hand * point.xMm(), -point.yMm())));
        outline.append(Stroke.curve(
                        hand * right.xMm() + beyond * 0.3,
                        -right.yMm() + height * 0.01,
                        hand * right.xMm() + beyond * 0.8,
                        -right.yMm() + height * 0.04,
                        hand * right.xMm() + beyond,
                        -right.yMm() + height * 0.13))
                .append(Stroke.curve(
                        hand * right.xMm() + beyond * 1.7,
                        -height * 0.52,
                        waist + height * 0.02,
                        -height * 0.5,
                        waist,
                        -height * 0.4))
                .append(Stroke.curve(waist + foot * 0.4, -height * 0.12, span + foot, -height * 0.09, span + foot, 0))
                .append(Stroke.line(span - foot, 0))
                .append(Stroke.curve(span - foot, -height * 0.17, -span + foot, -height * 0.17, -span + foot, 0))
                .append("Z");
        pen.path("wood", 0, outline.toString());
        double window = span * 0.3;
        pen.path(
                "window",
                0,
                Stroke.move(0, -height * 0.66)
                        + Stroke.curve(
                                window * 0.5, -height * 0.6, window, -height * 0.52, window * 0.8, -height * 0.42)
                        + Stroke.curve(
                                window * 0.5,
                                -height * 0.36,
                                -window * 0.5,
                                -height * 0.36,
                                -window * 0.8,
                                -height * 0.42)
                        + Stroke.curve(-window, -height * 0.52, -window * 0.5, -height * 0.6, 0, -height * 0.66)
                        + "Z");
        double half = span + foot * 2.2;
        pen.line("plate", height * 0.02, -half, 0, half, 0);
    }

    static View seenFromTailpiece(Pen pen, SetUp setUp) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double half = Math.max(
                        setUp.value(Quantity.FOOT_SPAN) / 2 * 1.36,
                        setUp.value(Quantity.BRIDGE_SPACING) / 2 + height * 0.1)
                + height * 0.12;
        return pen.view(-half, -height * 1.2, 2 * half, height * 1.28);
    }
}
