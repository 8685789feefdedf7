package rosinedpeg.core.settling;

/** What counts as holding: at most so many cents lost over a window of time. */
public enum Steadiness {
    REHEARSAL(8, 2),
    CONCERT(3, 2);

    private final double toleranceCents;
    private final double windowHours;

    Steadiness(double toleranceCents, double windowHours) {
        this.toleranceCents = toleranceCents;
        this.windowHours = windowHours;
    }

    /** {@return the most that may be lost over the window, in cents} */
    public double toleranceCents() {
        return toleranceCents;
    }

    /** {@return the window, in hours} */
    public double windowHours() {
        return windowHours;
    }
}
