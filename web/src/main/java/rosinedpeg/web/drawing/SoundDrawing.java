package rosinedpeg.web.drawing;

import java.util.List;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.estimate.Interval;

/**
 * How a kind of string is said to sound against the one that is on: for each scale a string between its two words, with a mark across
 * its middle for the one that is on, and a bead where the other stands, with a pale stretch in which it lies nine times in ten. To scale
 * along the places of a scale. A scale of which nobody said anything is a broken line.
 */
public final class SoundDrawing {

    private static final double WIDTH = 250;
    private static final double ROW = 16;
    private static final double LEFT = 62;
    private static final double RIGHT = 178;
    private static final double MIDDLE = (LEFT + RIGHT) / 2;
    /** So many places are drawn to either side; what lies further is drawn at the end. */
    private static final double PLACES = 3;

    private static final double PER_PLACE = (RIGHT - MIDDLE) / PLACES;
    private static final double TEXT = 11.5;
    private static final double BESIDE = 7;
    private static final double BEAD = 3.6;

    private SoundDrawing() {}

    /**
     * One scale.
     *
     * @param first the word at its beginning
     * @param second the word at its end
     * @param difference how far the kind lies from the one that is on, in places; null where nobody spoke of it
     */
    public record Scale(
            String first, String second, @Nullable Interval difference) {}

    /** {@return the scales, one below the other} */
    public static View of(List<Scale> scales) {
        Pen pen = new Pen();
        for (int i = 0; i < scales.size(); i++) {
            Scale scale = scales.get(i);
            double y = ROW * i + ROW / 2;
            Interval difference = scale.difference();
            pen.text("end", LEFT - BESIDE, y + TEXT / 3, TEXT, "end", scale.first());
            pen.text("end", RIGHT + BESIDE, y + TEXT / 3, TEXT, "start", scale.second());
            if (difference == null) {
                pen.line("unsaid", 1, LEFT, y, RIGHT, y);
            } else {
                pen.line("band", BEAD * 2, x(difference.low()), y, x(difference.high()), y);
                pen.line("scale", 1.3, LEFT, y, RIGHT, y);
            }
            pen.line("thought", 1.2, MIDDLE, y - ROW / 3, MIDDLE, y + ROW / 3);
            if (difference != null) {
                pen.circle("bead", x(difference.best()), y, BEAD);
            }
        }
        return pen.view(0, 0, WIDTH, ROW * scales.size());
    }

    private static double x(double places) {
        return MIDDLE + PER_PLACE * Math.max(-PLACES, Math.min(PLACES, places));
    }
}
