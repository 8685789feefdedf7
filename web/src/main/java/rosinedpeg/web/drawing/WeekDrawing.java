package rosinedpeg.web.drawing;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import rosinedpeg.core.dates.OccasionKind;

/**
 * A week as one strand, to scale in time. What is played stands on it as a bridge, the taller the better strings have to hold;
 * where a string has to be changed by, a peg hangs from it; what new strings still have to lose hangs below it, and thins out.
 */
public final class WeekDrawing {

    private static final double WIDTH = 700;
    private static final double HEIGHT = 74;
    private static final double STRAND = 38;
    private static final double DEEPEST = 13;
    private static final int SAMPLES = 7 * 12;

    private WeekDrawing() {}

    /**
     * Draws a week.
     *
     * @param dayStarts when each of its days begins, and when the last is over: eight moments
     * @param dayNames what each is called, seven
     * @param played what is played in it
     * @param changes until when something has to be changed in it
     * @param toLose the share of its loss that the least settled new string has still to come at a moment, 0 to 1
     * @param now the present moment
     * @return the drawing
     */
    public static View of(
            List<Instant> dayStarts,
            List<String> dayNames,
            List<Played> played,
            List<Instant> changes,
            ToDoubleFunction<Instant> toLose,
            Instant now) {
        Instant from = dayStarts.get(0);
        Duration week = Duration.between(from, dayStarts.get(dayStarts.size() - 1));
        ToDoubleFunction<Instant> x =
                moment -> WIDTH * Duration.between(from, moment).toSeconds() / week.toSeconds();
        Pen pen = new Pen();
        loss(pen, from, week, toLose);
        for (int day = 0; day < dayNames.size(); day++) {
            double at = x.applyAsDouble(dayStarts.get(day));
            pen.line("tick", 1, at, STRAND - 5, at, STRAND + 5);
            pen.text("day", at + 4, HEIGHT - 4, 11, "start", dayNames.get(day));
        }
        pen.line("strand", 1.8, 0, STRAND, WIDTH, STRAND);
        for (Instant change : changes) {
            double at = x.applyAsDouble(change);
            pen.line("shaft", 2.4, at, STRAND, at, STRAND + 12).circle("knob", at, STRAND + 15, 4.2);
        }
        for (Played one : played) {
            pen.path(
                    one.kind().name().toLowerCase(Locale.ROOT),
                    1.2,
                    bridge(x.applyAsDouble(one.at()), STRAND, one.kind()));
        }
        if (!now.isBefore(from) && now.isBefore(dayStarts.get(dayStarts.size() - 1))) {
            double at = x.applyAsDouble(now);
            pen.line("now", 1.4, at, 6, at, STRAND + 16);
        }
        return pen.view(0, 0, WIDTH, HEIGHT);
    }

    private static void loss(Pen pen, Instant from, Duration week, ToDoubleFunction<Instant> toLose) {
        double[] points = new double[2 * (SAMPLES + 1) + 4];
        boolean any = false;
        for (int i = 0; i <= SAMPLES; i++) {
            double share = toLose.applyAsDouble(from.plus(week.multipliedBy(i).dividedBy(SAMPLES)));
            any |= share > 0;
            points[2 * i] = WIDTH * i / SAMPLES;
            points[2 * i + 1] = STRAND + DEEPEST * share;
        }
        points[points.length - 4] = WIDTH;
        points[points.length - 3] = STRAND;
        points[points.length - 1] = STRAND;
        if (any) {
            pen.area("loss", points);
        }
    }

    private static double tall(OccasionKind kind) {
        return switch (kind) {
            case CONCERT -> 30;
            case REHEARSAL -> 21;
            case LESSON, TERM, HOLIDAY -> 14;
        };
    }

    /** A bridge seen from the tailpiece, the taller the better strings have to hold, its feet on a strand: a quarter wider than it is high, as bridges are. */
    static String bridge(double x, double feet, OccasionKind kind) {
        double height = tall(kind);
        Outline outline = new Outline(x, feet, height * 1.25, height);
        return outline.move(-0.5, 0)
                + outline.line(-0.5, 0.07)
                + outline.line(-0.4, 0.13)
                + outline.curve(-0.35, 0.3, -0.27, 0.38, -0.36, 0.52)
                + outline.curve(-0.46, 0.66, -0.34, 0.86, -0.24, 0.9)
                + outline.curve(-0.1, 1.02, 0.12, 1, 0.24, 0.84)
                + outline.curve(0.34, 0.78, 0.46, 0.66, 0.36, 0.52)
                + outline.curve(0.27, 0.38, 0.35, 0.3, 0.4, 0.13)
                + outline.line(0.5, 0.07)
                + outline.line(0.5, 0)
                + outline.line(0.28, 0)
                + outline.curve(0.24, 0.2, 0.12, 0.28, 0, 0.28)
                + outline.curve(-0.12, 0.28, -0.24, 0.2, -0.28, 0)
                + "Z";
    }

    /** Turns parts of width and height above its feet into the drawing's own. */
    private record Outline(double x, double feet, double wide, double high) {

        String move(double across, double up) {
            return "M" + point(across, up);
        }

        String line(double across, double up) {
            return "L" + point(across, up);
        }

        String curve(double across1, double up1, double across2, double up2, double across, double up) {
            return "C" + point(across1, up1) + " " + point(across2, up2) + " " + point(across, up);
        }

        private String point(double across, double up) {
            return Stroke.number(x + across * wide) + " " + Stroke.number(feet - up * high);
        }
    }

    /**
     * Something that is played.
     *
     * @param kind what sort of date it is
     * @param at when it begins
     */
    public record Played(OccasionKind kind, Instant at) {}
}
