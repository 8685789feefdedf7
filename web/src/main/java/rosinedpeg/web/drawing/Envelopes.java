package rosinedpeg.web.drawing;

/**
 * The compartment of a drawer that holds one kind of string, seen from above: packets stand side by side on their edges, a place that
 * should be filled and is not stays open, old strings lie beside them in coils. To be counted, not measured.
 */
public final class Envelopes {

    private static final double HEIGHT = 44;
    private static final double WIDTH = 128;
    private static final double EDGE = 8;
    private static final double STEP = 11.6;
    private static final double COIL = 9;
    /** More are not drawn one by one; fewer where coils lie beside them. */
    private static final int MOST = 7;

    private static final int MOST_BESIDE_COILS = 5;
    /** Of more the number does not fit; it stands below in words. */
    private static final int MOST_TOLD = 999;

    private Envelopes() {}

    /**
     * Draws a compartment.
     *
     * @param packets how many new ones stand in it, 0 or more
     * @param ready how many should
     * @param old how many old ones lie in it
     * @return the drawing
     */
    public static View of(int packets, int ready, int old) {
        Pen pen = new Pen();
        int most = old > 0 ? MOST_BESIDE_COILS : MOST;
        int places = Math.min(most, Math.max(packets, ready));
        double x = EDGE;
        for (int place = 0; place < places; place++) {
            if (place < packets) {
                packet(pen, x, place);
            } else {
                pen.area("open-place", x, 5, x + EDGE, 5, x + EDGE, HEIGHT - 5, x, HEIGHT - 5);
            }
            x += STEP;
        }
        if (packets > most) {
            String more = packets - most > MOST_TOLD ? "…" : String.valueOf(packets - most);
            pen.text("more", x + 2, HEIGHT / 2 + 4.5, 13, "start", "+" + more);
        }
        double last = WIDTH - COIL - 4;
        for (int coil = 0; coil < Math.min(old, 2); coil++) {
            coil(pen, last - coil * 7.5, HEIGHT / 2);
        }
        return pen.view(0, 0, WIDTH, HEIGHT);
    }

    /** A packet from above: its edge, the flap as a darker end; every other one stands a hair further out, as they do. */
    private static void packet(Pen pen, double x, int place) {
        double top = place % 2 == 0 ? 4 : 6.5;
        double bottom = HEIGHT - (place % 2 == 0 ? 6.5 : 4);
        pen.area("packet", x, top, x + EDGE, top, x + EDGE, bottom, x, bottom);
        pen.area("flap", x, top, x + EDGE, top, x + EDGE, top + 5, x, top + 5);
    }

    private static void coil(Pen pen, double x, double y) {
        pen.circle("coil", x, y, COIL);
        pen.circle("coil", x, y, COIL - 2.2);
        pen.circle("coil", x, y, COIL - 4.4);
    }
}
