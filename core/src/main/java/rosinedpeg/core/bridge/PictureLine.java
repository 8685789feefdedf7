package rosinedpeg.core.bridge;

import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * A line drawn on a picture, in its pixels: x to the right, y down.
 *
 * @param x1 of one end
 * @param y1 of that end
 * @param x2 of the other
 * @param y2 of the other
 */
public record PictureLine(double x1, double y1, double x2, double y2) {

    /** A shorter line has no sure direction. */
    public static final double SHORTEST = 4;

    /**
     * Checks the ends.
     *
     * @throws IllegalArgumentException when one is not a finite number, or they lie closer than 4 pixels
     */
    public PictureLine {
        requireFinite("x1", x1);
        requireFinite("x2", x2);
        requireFinite("y1", y1);
        requireFinite("y2", y2);
        double length = Math.hypot(x2 - x1, y2 - y1);
        if (!(length >= SHORTEST) || Double.isInfinite(length)) {
            throw new IllegalArgumentException(
                    "the line is " + length + " pixels long; it must be at least " + SHORTEST);
        }
    }

    /** {@return its direction against the picture's lower edge, anticlockwise, in degrees} */
    double directionDeg() {
        return Math.toDegrees(Math.atan2(y1 - y2, x2 - x1));
    }
}
