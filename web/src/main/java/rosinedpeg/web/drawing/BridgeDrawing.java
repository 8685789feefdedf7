package rosinedpeg.web.drawing;

import static rosinedpeg.web.drawing.Stroke.line;
import static rosinedpeg.web.drawing.Stroke.move;
import static rosinedpeg.web.drawing.Stroke.number;

import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.Thrust;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;

/**
 * A bridge from the side (the treble side, or the bass side of a left-handed instrument) in millimetres, the tailpiece on the left: x counts from the foot's tailpiece-side edge as
 * in {@link Thrust}, y downwards from the top plate.
 *
 * @param viewBox what is seen
 * @param outline of the bridge
 * @param plate the top plate
 * @param strings the strings before and behind the bridge
 * @param card the right angle held against it
 * @param thrust the line of the strings' push
 * @param heightMm of the bridge, which text is sized by
 * @param atMm where the push meets the foot
 * @param footMm depth of the foot
 * @param gapMm gap between card and bridge at the top
 * @param topMm x of the middle of the top edge
 */
public record BridgeDrawing(
        String viewBox,
        String outline,
        String plate,
        String strings,
        String card,
        String thrust,
        double heightMm,
        double atMm,
        double footMm,
        double gapMm,
        double topMm) {

    /**
     * Draws a bridge.
     *
     * @param setUp the instrument
     * @param lean how it leans
     * @return the drawing
     */
    public static BridgeDrawing of(SetUp setUp, Lean lean) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double foot = setUp.value(Quantity.FOOT_DEPTH);
        double thickness = setUp.value(Quantity.TOP_THICKNESS);
        double gap = height * Math.tan(Math.toRadians(lean.degrees()));
        double at = Thrust.of(setUp, lean).atMm();
        double top = gap + thickness / 2;
        double reach = height * 0.62;
        return new BridgeDrawing(
                number(-reach) + " " + number(-height * 1.1) + " " + number(foot + 2 * reach) + " "
                        + number(height * 1.22),
                move(0, 0)
                        + line(gap, -height)
                        + line(gap + thickness, -height)
                        + line(foot * 0.72 + gap * 0.25, -height * 0.25)
                        + line(foot, -height * 0.06)
                        + line(foot, 0)
                        + "Z",
                move(-reach, 0) + line(foot + reach, 0),
                move(top - reach, -height + reach * Math.tan(Math.toRadians(setUp.value(Quantity.BACK_ANGLE))))
                        + line(top, -height)
                        + line(
                                top + reach,
                                -height + reach * Math.tan(Math.toRadians(setUp.value(Quantity.FRONT_ANGLE)))),
                move(-height * 0.3, 0) + line(0, 0) + line(0, -height * 1.04),
                move(top, -height) + line(at, 0),
                height,
                at,
                foot,
                gap,
                top);
    }
}
