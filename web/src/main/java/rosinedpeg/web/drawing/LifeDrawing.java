package rosinedpeg.web.drawing;

import java.util.List;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.estimate.KaplanMeier.Watched;
import rosinedpeg.web.platform.Say;

/**
 * How long strings of a kind last: ten of them, drawn out from the left, each to where it ends. To scale along the hours; every end has
 * a pale stretch in which it truly lies, nine times in ten. Below them stand the workshop's own strings, those that are over
 * as diamonds, those still good as rings.
 */
public final class LifeDrawing {

    private static final double WIDTH = 480;
    private static final double LEFT = 16;
    private static final double RIGHT = 20;
    private static final double TOP = 10;
    private static final double ROW = 13;
    /** Two kinds lie a little apart. */
    private static final double BESIDE = 4.5;

    private static final double BAND = 7;
    private static final double BAND_BESIDE = 4;
    private static final double OWN = 15;
    private static final double TEXT = 12;
    private static final double FRAY = 3.4;
    private static final double MARK = 3.6;
    /** Beyond the last end. */
    private static final double ROOM = 1.06;

    private static final int MOST_TICKS = 6;
    private static final double[] STEPS = {1, 2, 5};

    private static final double STRAND_WIDTH = 230;
    private static final double STRAND_HEIGHT = 18;

    private LifeDrawing() {}

    /**
     * One kind.
     *
     * @param endsHours where each of ten ends, in h, the first to end first
     * @param own the workshop's own strings, in h
     */
    public record Kind(List<Interval> endsHours, List<Watched> own) {

        private double mostHours() {
            return Math.max(
                    endsHours.stream().mapToDouble(Interval::high).max().orElse(1),
                    own.stream().mapToDouble(Watched::length).max().orElse(1));
        }
    }

    /** {@return ten strings of a kind, and beside them ten of another where one is given} */
    public static View ten(Kind kind, @Nullable Kind other) {
        Pen pen = new Pen();
        double most = Math.max(kind.mostHours(), other == null ? 0 : other.mostHours()) * ROOM;
        double perHour = (WIDTH - LEFT - RIGHT) / most;
        double floor = TOP + kind.endsHours().size() * ROW + 4;
        double axis = floor + OWN * (other == null ? 1 : 2);
        ticks(pen, most, perHour, axis);
        strands(pen, kind, "", perHour, other == null ? 0 : -BESIDE / 2);
        own(pen, kind, "", perHour, floor + OWN / 2);
        if (other != null) {
            strands(pen, other, " other", perHour, BESIDE / 2);
            own(pen, other, " other", perHour, floor + OWN * 3 / 2);
        }
        return pen.view(0, 0, WIDTH, axis + 20);
    }

    private static void ticks(Pen pen, double most, double perHour, double axis) {
        double step = step(most);
        for (int tick = 0; tick * step <= most; tick++) {
            double x = LEFT + tick * step * perHour;
            pen.line("tick", 1, x, TOP - 4, x, axis);
            pen.text("measure", x, axis + 14, TEXT, "middle", Say.number(tick * step, 0));
        }
    }

    /** The smallest round step that needs few enough ticks. */
    private static double step(double most) {
        for (double ten = 1; ; ten *= 10) {
            for (double step : STEPS) {
                if (most / (step * ten) <= MOST_TICKS) {
                    return step * ten;
                }
            }
        }
    }

    private static void strands(Pen pen, Kind kind, String which, double perHour, double beside) {
        double y = TOP + kind.endsHours().size() * ROW - ROW / 2 + beside;
        for (Interval end : kind.endsHours()) {
            double x = LEFT + end.best() * perHour;
            pen.line(
                    "band" + which,
                    beside == 0 ? BAND : BAND_BESIDE,
                    LEFT + end.low() * perHour,
                    y,
                    LEFT + end.high() * perHour,
                    y);
            pen.line("lasting" + which, 1.7, LEFT, y, x, y);
            pen.line("fray" + which, 1, x + FRAY, y - FRAY, x, y, x + FRAY, y + FRAY);
            y -= ROW;
        }
    }

    private static void own(Pen pen, Kind kind, String which, double perHour, double y) {
        for (Watched string : kind.own()) {
            double x = LEFT + string.length() * perHour;
            if (string.over()) {
                pen.area("over" + which, x, y - MARK, x + MARK, y, x, y + MARK, x - MARK, y);
            } else {
                pen.circle("still-good" + which, x, y, MARK - 0.6);
            }
        }
    }

    /**
     * One string as long as half of its kind last, among others on one scale.
     *
     * @param hours how long that is, in h
     * @param thoughtHours how long it was thought to be, in h: a mark across it
     * @param mostHours the whole width, in h
     * @return the drawing
     */
    public static View one(double hours, double thoughtHours, double mostHours) {
        Pen pen = new Pen();
        double perHour = (STRAND_WIDTH - 2 * FRAY - 4) / mostHours;
        double y = STRAND_HEIGHT / 2;
        double x = 2 + hours * perHour;
        pen.line("lasting", 2, 2, y, x, y);
        pen.line("fray", 1.2, x + FRAY, y - FRAY, x, y, x + FRAY, y + FRAY);
        double thought = 2 + thoughtHours * perHour;
        pen.line("thought", 1.2, thought, 2, thought, STRAND_HEIGHT - 2);
        return pen.view(0, 0, STRAND_WIDTH, STRAND_HEIGHT);
    }
}
