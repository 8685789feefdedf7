package rosinedpeg.web.drawing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pegs.CollarTrend.Collar;
import rosinedpeg.web.platform.Say;

/**
 * A peg's collar distance over the years, with the line through it down to where it is as good as at the wall.
 *
 * @param view the drawing
 */
public record CollarChart(View view) {

    private static final double WIDTH = 300;
    private static final double HEIGHT = 120;
    private static final double LEFT = 30;
    private static final double BOTTOM = 22;
    private static final double TOP = 12;
    private static final double TEXT = 12;
    /** Beyond the last day of interest, a tenth of the whole. */
    private static final double ROOM = 1.1;

    /** {@return the chart, as soon as there are two days to draw a line through} */
    public static @Nullable CollarChart of(List<Collar> collars, CollarTrend trend, LocalDate today) {
        if (trend.mmPerYear().isEmpty()) {
            return null;
        }
        LocalDate first =
                collars.stream().map(Collar::on).min(Comparator.naturalOrder()).orElseThrow();
        LocalDate last = trend.runsOutOn()
                .filter(day -> ChronoUnit.YEARS.between(today, day) < 15)
                .filter(day -> day.isAfter(today))
                .orElse(today);
        double days = Math.max(30, ChronoUnit.DAYS.between(first, last) * ROOM);
        double most = collars.stream().mapToDouble(Collar::distanceMm).max().orElseThrow() * ROOM;
        double perDay = (WIDTH - LEFT - 8) / days;
        double perMm = (HEIGHT - TOP - BOTTOM) / most;
        double floor = HEIGHT - BOTTOM;
        Pen pen = new Pen();
        pen.line("guide", 1, LEFT, floor, WIDTH, floor);
        double wall = floor - CollarTrend.LEAST_MM * perMm;
        pen.line("card", 1, LEFT, wall, WIDTH, wall);
        double startMm = trend.distanceMm(first).orElseThrow();
        double endMm = trend.distanceMm(first.plusDays((long) days)).orElseThrow();
        double reach = endMm >= 0 ? 1 : startMm / (startMm - endMm);
        pen.line(
                "push",
                2,
                LEFT,
                floor - startMm * perMm,
                LEFT + reach * days * perDay,
                floor - Math.max(0, endMm) * perMm);
        for (Collar collar : collars) {
            double x = LEFT + ChronoUnit.DAYS.between(first, collar.on()) * perDay;
            pen.circle("string-end", x, floor - collar.distanceMm() * perMm, 3.4);
        }
        double now = LEFT + ChronoUnit.DAYS.between(first, today) * perDay;
        pen.line("guide", 1, now, TOP, now, floor);
        pen.text("measure", LEFT - 4, floor - most / ROOM * perMm + 4, TEXT, "end", Say.number(most / ROOM, 1));
        pen.text("measure", LEFT - 4, wall + 4, TEXT, "end", Say.number(CollarTrend.LEAST_MM, 0));
        pen.text("measure", LEFT, HEIGHT - 6, TEXT, "start", String.valueOf(first.getYear()));
        trend.runsOutOn()
                .filter(last::equals)
                .ifPresent(day -> pen.text(
                        "measure",
                        LEFT + ChronoUnit.DAYS.between(first, day) * perDay,
                        HEIGHT - 6,
                        TEXT,
                        "end",
                        String.valueOf(day.getYear())));
        return new CollarChart(pen.view(0, 0, WIDTH, HEIGHT));
    }
}
