package rosinedpeg.web.drawing;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * A week at the bench, to scale in time. On top the strand of the week with a bridge for whatever is played; below it a bench for
 * each day and person, as long as their minutes, on which the strings of the day lie one behind the other, each as long as it takes;
 * what finds no room falls over the edge. Under the benches each instrument's new strings run on until they hold, and thin out.
 */
public final class BenchWeekDrawing {

    private static final double WIDTH = 700;
    private static final int DAYS = 7;
    private static final double DAY = WIDTH / DAYS;
    private static final double STRAND = 34;
    private static final double NAMES = STRAND + 13;
    private static final double FIRST_BENCH = 66;
    private static final double BENCH_EVERY = 24;
    private static final double EDGE = 5;
    private static final double TAIL_EVERY = 6;
    private static final double THICKEST_TAIL = 4;
    private static final double FALL = 15;
    /** The longest bench takes so many minutes at the least, so that short days look short. */
    private static final int LONG_DAY = 240;

    private BenchWeekDrawing() {}

    /**
     * Something that lies on a bench.
     *
     * @param minutes how long it takes
     * @param strings how many strings it changes; 0 for other work
     * @param pinned whether it has to be there
     */
    public record Lying(int minutes, int strings, boolean pinned) {}

    /**
     * The bench of somebody on one day.
     *
     * @param day which day of the week, 0 for the first
     * @param person which of the people, 0 for the first
     * @param minutes how many minutes they have
     * @param lying what lies on it, in order
     * @param fallen what finds no room on it
     */
    public record Bench(int day, int person, int minutes, List<Lying> lying, List<Lying> fallen) {}

    /**
     * New strings that settle.
     *
     * @param from when they go on
     * @param until when they hold
     */
    public record Tail(Instant from, Instant until) {}

    /**
     * Draws a week.
     *
     * @param starts when each of its days begins, and when the last is over: eight moments
     * @param names what each day is called, seven
     * @param played what is played in it
     * @param people how many people are ever at the bench
     * @param benches the benches
     * @param tails what settles in it, the first first
     * @param now the present moment
     * @return the drawing
     */
    public static View of(
            List<Instant> starts,
            List<String> names,
            List<WeekDrawing.Played> played,
            int people,
            List<Bench> benches,
            List<Tail> tails,
            Instant now) {
        Instant from = starts.get(0);
        Duration week = Duration.between(from, starts.get(DAYS));
        ToDoubleFunction<Instant> x = moment -> Math.max(
                0, Math.min(WIDTH, WIDTH * Duration.between(from, moment).toSeconds() / week.toSeconds()));
        double firstTail = FIRST_BENCH + people * BENCH_EVERY + 2;
        double height = firstTail + tails.size() * TAIL_EVERY + 4;
        Pen pen = new Pen();
        for (WeekDrawing.Played one : played) {
            double at = x.applyAsDouble(one.at());
            pen.line("until", 0.8, at, STRAND, at, height);
        }
        for (int day = 0; day < DAYS; day++) {
            pen.line("tick", 1, day * DAY, STRAND - 5, day * DAY, STRAND + 5);
            pen.text("day", day * DAY + 4, NAMES, 11, "start", names.get(day));
        }
        pen.line("strand", 1.8, 0, STRAND, WIDTH, STRAND);
        for (WeekDrawing.Played one : played) {
            pen.path(
                    one.kind().name().toLowerCase(Locale.ROOT),
                    1.2,
                    WeekDrawing.bridge(x.applyAsDouble(one.at()), STRAND, one.kind()));
        }
        int longest = Math.max(
                LONG_DAY, benches.stream().mapToInt(Bench::minutes).max().orElse(0));
        benches.forEach(bench -> draw(pen, bench, (DAY - 2 * EDGE - 4) / longest));
        for (int tail = 0; tail < tails.size(); tail++) {
            draw(pen, tails.get(tail), x, firstTail + tail * TAIL_EVERY);
        }
        if (!now.isBefore(from) && now.isBefore(starts.get(DAYS))) {
            double at = x.applyAsDouble(now);
            pen.line("now", 1.4, at, 4, at, firstTail - 6);
        }
        return pen.view(0, 0, WIDTH, height);
    }

    private static void draw(Pen pen, Bench bench, double perMinute) {
        double left = bench.day() * DAY + EDGE;
        double top = FIRST_BENCH + bench.person() * BENCH_EVERY;
        double right = left + bench.minutes() * perMinute;
        if (bench.minutes() > 0) {
            pen.line("board", 3.2, left, top, right, top);
            pen.line("leg", 2, left + 3, top + 1.6, left + 3, top + 9);
            pen.line("leg", 2, right - 3, top + 1.6, right - 3, top + 9);
        }
        double at = left;
        for (Lying one : bench.lying()) {
            double end = at + one.minutes() * perMinute;
            double y = top - 4;
            pen.line(
                    one.strings() == 0 ? "other" : "lying",
                    thickness(one),
                    at + 1.2,
                    y,
                    Math.max(at + 1.6, end - 0.8),
                    y);
            if (one.strings() > 0) {
                pen.circle("ball", at + 1.8, y, 1.7);
            }
            if (one.pinned()) {
                pen.line("pin", 1.6, at + 2, y - 3, at + 2, y - 7).circle("pin-head", at + 2, y - 8, 2.2);
            }
            at = end;
        }
        double down = 0;
        for (Lying one : bench.fallen()) {
            double x = Math.max(right, at) + 1.5 + down;
            double length = Math.max(6, Math.min(FALL, one.minutes() * perMinute));
            pen.path(
                    "fallen",
                    Math.max(1.2, thickness(one)),
                    Stroke.move(x - 4, top - 4) + Stroke.curve(x, top - 4, x + 1, top - 2, x + 1, top + length));
            down += 4;
        }
    }

    /** The more strings, the thicker what lies there. */
    private static double thickness(Lying one) {
        return 1.1 + 0.5 * one.strings();
    }

    private static void draw(Pen pen, Tail tail, ToDoubleFunction<Instant> x, double y) {
        double from = x.applyAsDouble(tail.from());
        double until = x.applyAsDouble(tail.until());
        if (until > from) {
            pen.area("loss", from, y - THICKEST_TAIL / 2, until, y, from, y + THICKEST_TAIL / 2);
        }
        if (until > 0 && until < WIDTH) {
            pen.circle("holds", until, y, 1.5);
        }
    }
}
