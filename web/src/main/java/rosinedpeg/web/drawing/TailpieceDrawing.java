package rosinedpeg.web.drawing;

import org.jspecify.annotations.Nullable;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.tailpiece.Afterlength;

/**
 * Between bridge and tail from the side, the bridge on the right, in millimetres: x to the left from the middle of the
 * bridge's top is below 0, y downwards from the top plate. The tailpiece is cut off where its length does not matter.
 */
public final class TailpieceDrawing {

    /** Of the tailpiece, in bridge heights. */
    private static final double THICKNESS = 0.14;

    private TailpieceDrawing() {}

    /**
     * Draws the afterlength with its target, the tailpiece over the top, and the lever of one fine tuner.
     *
     * @param setUp the instrument
     * @param tuned the string whose fine tuner is drawn, if one is
     * @return the drawing
     */
    public static View of(SetUp setUp, @Nullable Position tuned) {
        Pen pen = new Pen();
        draw(pen, setUp, tuned);
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        Afterlength afterlength = Afterlength.of(setUp);
        double[] target = at(setUp, afterlength.targetMm());
        double tick = height * 0.16;
        pen.line("target", height * 0.02, target[0], target[1] - tick, target[0], target[1] + tick);
        double[] fret = at(setUp, afterlength.measuredMm());
        double above = -height * 1.16;
        pen.distance(fret[0], above, 0, above, height * 0.1);
        pen.line("guide", height * 0.008, fret[0], above, fret[0], fret[1]);
        pen.line("guide", height * 0.008, 0, above, 0, -height);
        return view(pen, setUp);
    }

    static void draw(Pen pen, SetUp setUp, @Nullable Position tuned) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double afterlength = setUp.value(Quantity.AFTERLENGTH);
        double[] fret = at(setUp, afterlength);
        double end = endX(setUp);
        double underneath = -setUp.value(Quantity.TAILPIECE_TO_TOP);
        double thickness = height * THICKNESS;
        pen.area(
                "wood",
                -setUp.value(Quantity.TOP_THICKNESS) / 2,
                -height,
                setUp.value(Quantity.TOP_THICKNESS) / 2,
                -height,
                setUp.value(Quantity.FOOT_DEPTH) - setUp.value(Quantity.TOP_THICKNESS) / 2,
                0,
                -setUp.value(Quantity.TOP_THICKNESS) / 2,
                0);
        pen.line("string", height * 0.014, fret[0], fret[1], 0, -height);
        pen.line(
                "string",
                height * 0.014,
                0,
                -height,
                height * 0.5,
                -height + height * 0.5 * Math.tan(Math.toRadians(setUp.value(Quantity.FRONT_ANGLE))));
        double nearest = Math.min(fret[1] + thickness, underneath);
        pen.area(
                "ebony",
                fret[0],
                fret[1] - height * 0.02,
                end,
                underneath - thickness,
                end,
                underneath,
                fret[0] - height * 0.05,
                nearest);
        if (tuned != null && tuned.in(setUp.tailEnds()).hasFineTuner()) {
            double x = fret[0] - height * 0.3;
            double lever = -setUp.value(Quantity.LEVER_TO_TOP, tuned);
            double head = screwHeadY(setUp, tuned);
            pen.line(
                    "lever",
                    height * 0.035,
                    fret[0] + height * 0.03,
                    fret[1] + height * 0.02,
                    x,
                    lever,
                    x - height * 0.16,
                    lever);
            pen.line("screw", height * 0.03, x - height * 0.1, head, x - height * 0.1, lever);
            pen.line("screw", height * 0.07, x - height * 0.17, head, x - height * 0.03, head);
        }
        pen.line("plate", height * 0.03, end - height * 0.1, 0, height * 0.6, 0);
    }

    static View view(Pen pen, SetUp setUp) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double left = endX(setUp) - height * 0.1;
        return pen.view(left, -height * 1.26, height * 0.6 - left, height * 1.34);
    }

    /** {@return y of a fine tuner's head: above the tailpiece by what its screw has left} */
    static double screwHeadY(SetUp setUp, Position tuned) {
        double height = setUp.value(Quantity.BRIDGE_HEIGHT);
        double fretY = at(setUp, setUp.value(Quantity.AFTERLENGTH))[1];
        double endY = -setUp.value(Quantity.TAILPIECE_TO_TOP) - height * THICKNESS;
        double surface = fretY + (endY - fretY) * 0.36;
        return surface - height * 0.03 - setUp.value(Quantity.TUNER_SCREW_LEFT, tuned);
    }

    /** {@return a point so far along the string behind the bridge} */
    static double[] at(SetUp setUp, double alongMm) {
        double angle = Math.toRadians(setUp.value(Quantity.BACK_ANGLE));
        return new double[] {
            -alongMm * Math.cos(angle), -setUp.value(Quantity.BRIDGE_HEIGHT) + alongMm * Math.sin(angle)
        };
    }

    static double endX(SetUp setUp) {
        return at(setUp, setUp.value(Quantity.AFTERLENGTH))[0] - setUp.value(Quantity.BRIDGE_HEIGHT) * 1.1;
    }
}
