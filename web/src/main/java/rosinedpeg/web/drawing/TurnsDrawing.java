package rosinedpeg.web.drawing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * Two sets that take turns, as two strings over the months, to scale in time: what is above is on the instrument, what is below rests.
 * They cross where they change places; where a string of the upper is due, it frays.
 */
public final class TurnsDrawing {

    private static final double HEIGHT = 96;
    private static final double ON = 20;
    private static final double RESTS = 56;
    private static final double FROM = 44;
    private static final double CROSSING_DAYS = 3;
    private static final double CALLED = 46;
    private static final double FRAY = 14;
    private static final double DAYS_IN_A_MONTH = 30;
    private static final double THICK = 3.4;

    private TurnsDrawing() {}

    /**
     * Draws them.
     *
     * @param width of the drawing
     * @param from the first day
     * @param furthest the last day
     * @param turns the days on which they change places, in order
     * @param until the day a string is due; empty where that is later
     * @param month what a month is called, by its first day
     * @param on what is written beside what is on
     * @param rests what is written beside what rests
     * @return the drawing
     */
    public static View of(
            double width,
            LocalDate from,
            LocalDate furthest,
            List<LocalDate> turns,
            Optional<LocalDate> until,
            Function<LocalDate, String> month,
            String on,
            String rests) {
        double perDay = (width - FROM - FRAY) / ChronoUnit.DAYS.between(from, furthest);
        int months = (int) Math.ceil(CALLED / (perDay * DAYS_IN_A_MONTH));
        ToDoubleFunction<LocalDate> x = day -> FROM + perDay * ChronoUnit.DAYS.between(from, day);
        Pen pen = new Pen();
        for (LocalDate first = from.withDayOfMonth(1).plusMonths(1);
                first.isBefore(furthest);
                first = first.plusMonths(months)) {
            double at = x.applyAsDouble(first);
            pen.line("tick", 1, at, 8, at, RESTS + 12);
            pen.text("month", at + 4, HEIGHT - 12, 12, "start", month.apply(first));
        }
        LocalDate last = until.orElse(furthest);
        strand(pen, "second", x, perDay, turns, last, false);
        strand(pen, "first", x, perDay, turns, last, true);
        until.ifPresent(day -> {
            double at = x.applyAsDouble(day);
            for (double spread : new double[] {-9, -3, 4, 10}) {
                pen.line("fray", 1.2, at, ON, at + 11, ON + spread);
            }
        });
        pen.text("lane", 0, ON + 4, 12, "start", on);
        pen.text("lane", 0, RESTS + 4, 12, "start", rests);
        return pen.view(0, 0, width, HEIGHT);
    }

    private static void strand(
            Pen pen,
            String state,
            ToDoubleFunction<LocalDate> x,
            double perDay,
            List<LocalDate> turns,
            LocalDate last,
            boolean above) {
        double half = CROSSING_DAYS * perDay / 2;
        double y = above ? ON : RESTS;
        StringBuilder path = new StringBuilder(Stroke.move(FROM, y));
        for (LocalDate turn : turns) {
            double at = Math.max(FROM + half, x.applyAsDouble(turn));
            double to = y == ON ? RESTS : ON;
            path.append(Stroke.line(at - half, y)).append(Stroke.curve(at, y, at, to, at + half, to));
            y = to;
        }
        path.append(Stroke.line(Math.max(FROM + half, x.applyAsDouble(last)), y));
        pen.path(state, THICK, path.toString());
    }
}
