package rosinedpeg.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;

/**
 * What a new string has lost and is expected to lose, over the hours since it came to pitch.
 *
 * @param width of the drawing
 * @param height of the drawing
 * @param curve the forecast
 * @param hours marks along the hours
 * @param cents marks along the cents
 * @param readings what was read
 * @param nowX where the present hour is
 * @param rehearsalX from where it holds for a rehearsal
 * @param concertX from where it holds for a concert
 */
public record SettlingChart(
        double width,
        double height,
        String curve,
        List<Mark> hours,
        List<Mark> cents,
        List<Point> readings,
        double nowX,
        double rehearsalX,
        double concertX) {

    private static final double LEFT = 52;
    private static final double RIGHT = 18;
    private static final double TOP = 30;
    private static final double BOTTOM = 34;
    private static final double TEXT = 13;
    private static final double[] HOUR_STEPS = {2, 6, 12, 24, 48, 72, 168};
    private static final double[] CENT_STEPS = {5, 10, 20, 50, 100, 200};

    /**
     * Draws a forecast with readings.
     *
     * @param forecast what is expected
     * @param nowHours the present hour
     * @param readings hours and cents lost
     * @param width of the drawing
     * @param height of the drawing
     * @return the drawing
     */
    public static SettlingChart of(
            SettlingForecast forecast, double nowHours, List<double[]> readings, double width, double height) {
        double concert = forecast.steadyAtHours(Steadiness.CONCERT);
        double last = Math.max(concert * 1.35, nowHours * 1.08);
        double most = Math.max(
                forecast.lostCents(last),
                readings.stream().mapToDouble(reading -> reading[1]).max().orElse(0));
        double perHour = (width - LEFT - RIGHT) / last;
        double perCent = (height - TOP - BOTTOM) / (most * 1.08);
        StringBuilder curve = new StringBuilder(Stroke.move(LEFT, TOP));
        int pieces = 90;
        for (int i = 1; i <= pieces; i++) {
            // Closer together at the start, where the curve is steep.
            double hour = last * Math.pow((double) i / pieces, 2);
            curve.append(Stroke.line(LEFT + hour * perHour, TOP + forecast.lostCents(hour) * perCent));
        }
        List<Mark> hours = new ArrayList<>();
        double hourStep = step(HOUR_STEPS, last, (int) ((width - LEFT - RIGHT) / 74));
        for (double hour = 0; hour <= last; hour += hourStep) {
            hours.add(new Mark(LEFT + hour * perHour, hour));
        }
        List<Mark> cents = new ArrayList<>();
        double centStep = step(CENT_STEPS, most, (int) ((height - TOP - BOTTOM) / 26));
        for (double cent = 0; cent <= most * 1.05; cent += centStep) {
            cents.add(new Mark(TOP + cent * perCent, cent));
        }
        List<Point> points = readings.stream()
                .map(reading -> new Point(LEFT + reading[0] * perHour, TOP + reading[1] * perCent))
                .toList();
        return new SettlingChart(
                width,
                height,
                curve.toString(),
                hours,
                cents,
                points,
                LEFT + nowHours * perHour,
                LEFT + forecast.steadyAtHours(Steadiness.REHEARSAL) * perHour,
                LEFT + concert * perHour);
    }

    private static double step(double[] steps, double span, int marks) {
        for (double step : steps) {
            if (span / step <= marks) {
                return step;
            }
        }
        return steps[steps.length - 1];
    }

    /**
     * What is drawn, as SVG.
     *
     * @param centsSaid how a number of cents is written beside its mark
     * @param hoursSaid how a number of hours is
     * @param rehearsal what stands where it holds for a rehearsal
     * @param concert what stands where it holds for a concert
     * @param now what stands at the present hour
     * @return that
     */
    public String svg(
            DoubleFunction<String> centsSaid,
            DoubleFunction<String> hoursSaid,
            String rehearsal,
            String concert,
            String now) {
        Pen pen = new Pen();
        for (Mark mark : cents) {
            pen.line("axis", 1, left(), mark.at(), right(), mark.at());
            pen.text("", left() - 8, mark.at() + 4, TEXT, "end", centsSaid.apply(mark.value()));
        }
        hours.forEach(mark -> pen.text("", mark.at(), bottom() + 22, TEXT, "middle", hoursSaid.apply(mark.value())));
        pen.line("from rehearsal", 1.6, rehearsalX, top() - 8, rehearsalX, bottom());
        pen.line("from", 1.6, concertX, top() - 8, concertX, bottom());
        pen.text("strong", rehearsalX, top() - 13, TEXT, "middle", rehearsal);
        pen.text("strong", concertX, top() - 13, TEXT, "middle", concert);
        pen.path("curve", 2.4, curve);
        pen.line("now", 1.8, nowX, top(), nowX, bottom());
        pen.text("strong", nowX + 5, bottom() - 7, TEXT, "start", now);
        readings.forEach(point -> pen.circle("point", point.x(), point.y(), 5));
        return pen.view(0, 0, width, height).svg();
    }

    /** {@return where the axes meet, across} */
    public double left() {
        return LEFT;
    }

    /** {@return the right end of the hours} */
    public double right() {
        return width - RIGHT;
    }

    /** {@return where nothing is lost yet} */
    public double top() {
        return TOP;
    }

    /** {@return the lower end of the cents} */
    public double bottom() {
        return height - BOTTOM;
    }

    /** A mark on an axis. */
    public record Mark(double at, double value) {}

    /** A reading. */
    public record Point(double x, double y) {}
}
