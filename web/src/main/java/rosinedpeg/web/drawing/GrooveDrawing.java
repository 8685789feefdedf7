package rosinedpeg.web.drawing;

import rosinedpeg.core.grooves.Groove;

/** A groove cut across, with its string in it, to scale within itself: x from the middle, y downwards from the rim. */
public final class GrooveDrawing {

    private GrooveDrawing() {}

    /** {@return the groove, its string, and a dashed line where half of the string would be sunk} */
    public static View of(Groove groove) {
        double diameter = groove.stringDiameterMm();
        double half = groove.widthMm() / 2;
        double depth = groove.depthMm();
        double side = Math.max(diameter, groove.widthMm()) * 1.15;
        double bottom = Math.max(diameter, depth) + diameter * 0.35;
        double floor = Math.min(half, depth);
        Pen pen = new Pen();
        pen.path(
                "wood",
                0,
                Stroke.move(-side, 0)
                        + Stroke.line(-half, 0)
                        + Stroke.line(-half, depth - floor)
                        + Stroke.curve(-half, depth - floor * 0.45, -half * 0.55, depth, 0, depth)
                        + Stroke.curve(half * 0.55, depth, half, depth - floor * 0.45, half, depth - floor)
                        + Stroke.line(half, 0)
                        + Stroke.line(side, 0)
                        + Stroke.line(side, bottom)
                        + Stroke.line(-side, bottom)
                        + "Z");
        pen.circle("string-end", 0, depth - diameter / 2, diameter / 2);
        pen.line("guide", diameter * 0.03, -side, depth - diameter / 2, side, depth - diameter / 2);
        pen.distance(side * 0.86, 0, side * 0.86, depth, diameter * 0.16);
        double top = Math.min(0, depth - diameter) - diameter * 0.2;
        return pen.view(-side, top, 2 * side, bottom - top);
    }
}
