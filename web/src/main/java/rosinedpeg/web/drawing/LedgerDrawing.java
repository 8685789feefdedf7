package rosinedpeg.web.drawing;

import java.util.List;
import rosinedpeg.core.simulation.Action;
import rosinedpeg.core.simulation.PracticeLedger;

/**
 * An attempt as one line on which everything that was done stands in its order: turns of a peg as strokes, up to tighten and down to let
 * go, the longer the further; all else as points. What went wrong stands out. What good hands would have done branches off beneath it.
 *
 * @param view the drawing
 * @param from where it begins, in drawing units
 * @param step how far one moment is from the next, in drawing units
 */
public record LedgerDrawing(View view, double from, double step) {

    private static final double WIDTH = 960;
    private static final double MARGIN = 14;
    private static final double WIDEST = 44;
    private static final double OWN = 26;
    private static final double BEST = 82;
    private static final double HEIGHT = 108;
    private static final double ALONE = 52;
    private static final double LONGEST = 18;
    private static final double SHORTEST = 4;
    private static final double FULL_TURN = 360;
    private static final double POINT = 3;
    private static final double MARKED = 13;

    /**
     * Draws it.
     *
     * @param moments all that was done
     * @param beforehand how much of it was done before anybody began
     * @param shown the moment that is looked at, counted from 1; 0 before anything was done
     * @param best what good hands would have done instead of that moment and what follows; empty where that is not asked
     * @param bestShown which of that is looked at, counted from 1
     * @return the drawing
     */
    public static LedgerDrawing of(
            List<PracticeLedger.Moment> moments,
            int beforehand,
            int shown,
            List<PracticeLedger.Moment> best,
            int bestShown) {
        int longest = Math.max(1, Math.max(moments.size(), shown - 1 + best.size()));
        double step = Math.min(WIDEST, (WIDTH - 2 * MARGIN) / longest);
        Pen pen = new Pen();
        if (!best.isEmpty()) {
            double from = x(shown - 1, step);
            pen.path(
                    "branch",
                    1.6,
                    Stroke.move(from, OWN)
                            + Stroke.curve(from, BEST, from, BEST, x(shown, step), BEST)
                            + Stroke.line(x(shown - 1 + best.size(), step), BEST));
        }
        if (beforehand > 0) {
            pen.line("ledger before", 2, MARGIN, OWN, x(beforehand, step), OWN);
        }
        pen.line("ledger", 2, x(beforehand, step), OWN, x(moments.size(), step), OWN);
        if (shown > 0) {
            pen.circle("looked-at", x(shown, step), OWN, MARKED);
        }
        if (bestShown > 0) {
            pen.circle("looked-at", x(shown - 1 + bestShown, step), BEST, MARKED);
        }
        for (int at = 0; at < moments.size(); at++) {
            mark(pen, moments.get(at), x(at + 1, step), OWN, at < beforehand ? " before" : "");
        }
        for (int at = 0; at < best.size(); at++) {
            mark(pen, best.get(at), x(shown + at, step), BEST, " best");
        }
        return new LedgerDrawing(pen.view(0, 0, WIDTH, best.isEmpty() ? ALONE : HEIGHT), MARGIN, step);
    }

    private static double x(int done, double step) {
        return MARGIN + done * step;
    }

    private static void mark(Pen pen, PracticeLedger.Moment moment, double x, double y, String state) {
        if (moment.action() instanceof Action.TurnPeg turn) {
            double length =
                    SHORTEST + (LONGEST - SHORTEST) * Math.sqrt(Math.min(1, Math.abs(turn.degrees()) / FULL_TURN));
            pen.line("did" + state, 3, x, y, x, y - Math.signum(turn.degrees()) * length);
        } else {
            pen.circle("did" + state, x, y, POINT);
        }
        if (moment.harmed()) {
            pen.circle("harm" + state, x, y, POINT * 1.9);
        }
    }
}
