package rosinedpeg.web.drawing;

import java.time.Duration;
import java.util.Optional;
import rosinedpeg.core.lesson.QuickChange;

/**
 * A change against the clock as a string that is drawn out with the time, to scale; what is owed hangs on loosely. Beneath it one's own best.
 *
 * @param view the drawing
 * @param from where the first grip is, in drawing units
 * @param perSecond how far a second goes, in drawing units
 */
public record ClockDrawing(View view, double from, double perSecond) {

    private static final double WIDTH = 960;
    private static final double MARGIN = 16;
    private static final double OWN = 22;
    private static final double BEST = 56;
    private static final double HEIGHT = 76;
    private static final double KNOB = 6;
    private static final double LEAST_SECONDS = 60;
    private static final double ROOM = 1.12;
    private static final double SAGS = 9;
    private static final double MINUTE = 60;

    /**
     * Draws it.
     *
     * @param own how it goes
     * @param best one's own best before, if there is one
     * @return the drawing
     */
    public static ClockDrawing of(QuickChange.Clocked own, Optional<QuickChange.Clocked> best) {
        double furthest = Math.max(
                Math.max(LEAST_SECONDS, seconds(own.total())),
                best.map(one -> seconds(one.total())).orElse(0.0));
        double perSecond = (WIDTH - 2 * MARGIN) / (furthest * ROOM);
        Pen pen = new Pen();
        double minutes = Math.ceil(furthest * ROOM / MINUTE / 10);
        for (double at = minutes * MINUTE; at < furthest * ROOM; at += minutes * MINUTE) {
            pen.line("tick", 1, MARGIN + at * perSecond, 6, MARGIN + at * perSecond, HEIGHT - 6);
        }
        best.ifPresent(one -> track(pen, "best", one, BEST, perSecond));
        track(pen, "own", own, OWN, perSecond);
        pen.circle("own-runs", MARGIN + seconds(own.clock()) * perSecond, OWN, KNOB * 1.3);
        best.ifPresent(one -> pen.circle(
                "shadow-runs",
                MARGIN + Math.min(seconds(own.clock()), seconds(one.clock())) * perSecond,
                BEST,
                KNOB * 1.3));
        return new ClockDrawing(pen.view(0, 0, WIDTH, HEIGHT), MARGIN, perSecond);
    }

    private static void track(Pen pen, String state, QuickChange.Clocked clocked, double y, double perSecond) {
        double end = MARGIN + seconds(clocked.clock()) * perSecond;
        pen.line("track " + state, 2.6, MARGIN, y, end, y);
        if (!clocked.owedTime().isZero()) {
            double owed = MARGIN + seconds(clocked.total()) * perSecond;
            pen.path(
                    "track owed " + state,
                    2.2,
                    Stroke.move(end, y) + Stroke.curve(end, y + SAGS, owed, y + SAGS, owed, y));
        }
        pen.line("nut", 3, MARGIN, y - KNOB, MARGIN, y + KNOB);
        clocked.splits()
                .values()
                .forEach(at -> pen.circle("split " + state, MARGIN + seconds(at) * perSecond, y, KNOB * 0.8));
    }

    private static double seconds(Duration duration) {
        return duration.toMillis() / 1000.0;
    }
}
