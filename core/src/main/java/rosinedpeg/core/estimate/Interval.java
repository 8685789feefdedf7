package rosinedpeg.core.estimate;

import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * A figure with the interval it lies in about nine times in ten.
 *
 * @param low lower end
 * @param best the best guess
 * @param high upper end
 */
public record Interval(double low, double best, double high) {

    /** Checks the figures. */
    public Interval {
        requireFinite("low", low);
        requireFinite("best", best);
        requireFinite("high", high);
    }
}
