package rosinedpeg.web.drawing;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.web.platform.Say;

/**
 * How the octave of a string has moved from its first reading, over its days; within the band it counts as true.
 *
 * @param view the drawing
 */
public record TruenessChart(View view) {

    private static final double WIDTH = 460;
    private static final double HEIGHT = 190;
    private static final double LEFT = 40;
    private static final double RIGHT = 14;
    private static final double TOP = 12;
    private static final double BOTTOM = 26;
    private static final double TEXT = 13;
    private static final double RADIUS = 4.5;
    private static final double LEAST_DAYS = 7;
    /** Above and below what is furthest off. */
    private static final double ROOM = 1.25;

    /**
     * An octave on a day.
     *
     * @param at when it was read
     * @param octave what was read
     */
    public record Read(Instant at, Octave octave) {}

    /**
     * Draws the octaves of a string.
     *
     * @param octaves what was read, the first first
     * @param fittedAt since when the string is on; empty when nobody knows
     * @return the chart, as soon as there are two to compare
     */
    public static @Nullable TruenessChart of(List<Read> octaves, Optional<Instant> fittedAt) {
        if (octaves.size() < 2) {
            return null;
        }
        Instant begins = fittedAt.filter(at -> at.isBefore(octaves.get(0).at()))
                .orElse(octaves.get(0).at());
        double days = Math.max(
                LEAST_DAYS, days(begins, octaves.get(octaves.size() - 1).at()));
        double first = octaves.get(0).octave().cents();
        double above = ROOM * furthest(octaves, 1);
        double below = ROOM * furthest(octaves, -1);
        double perCent = (HEIGHT - TOP - BOTTOM) / (above + below);
        double middle = TOP + above * perCent;
        double perDay = (WIDTH - LEFT - RIGHT - 2 * RADIUS) / days;
        double band = Trueness.FALSE_OCTAVE_CENTS * perCent;
        Pen pen = new Pen();
        pen.area("true", LEFT, middle - band, WIDTH, middle - band, WIDTH, middle + band, LEFT, middle + band);
        pen.line("guide", 1, LEFT, middle, WIDTH, middle);
        for (double cents : List.of(-Trueness.FALSE_OCTAVE_CENTS, 0.0, Trueness.FALSE_OCTAVE_CENTS)) {
            pen.text("measure", LEFT - 6, middle - cents * perCent + TEXT / 3, TEXT, "end", Say.number(cents, 0));
        }
        for (Read one : octaves) {
            double x = LEFT + RADIUS + days(begins, one.at()) * perDay;
            double moved = one.octave().cents() - first;
            double y = middle - moved * perCent;
            double doubt = one.octave().doubtCents() * perCent;
            pen.line("doubt", 1.5, x, y - doubt, x, y + doubt);
            pen.circle(Math.abs(moved) < Trueness.FALSE_OCTAVE_CENTS ? "read" : "read off", x, y, RADIUS);
        }
        pen.text("measure", LEFT, HEIGHT - 6, TEXT, "start", Say.number(0, 0));
        pen.text("measure", WIDTH - RIGHT, HEIGHT - 6, TEXT, "end", Say.number(days, 0));
        return new TruenessChart(pen.view(0, 0, WIDTH, HEIGHT));
    }

    /** How far up or down the furthest of them may be, and no less than the band. */
    private static double furthest(List<Read> octaves, int direction) {
        double first = octaves.get(0).octave().cents();
        return octaves.stream()
                .mapToDouble(one -> direction * (one.octave().cents() - first)
                        + one.octave().doubtCents())
                .reduce(Trueness.FALSE_OCTAVE_CENTS, Math::max);
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / (24 * 60.0);
    }
}
