package rosinedpeg.core.wear;

/** How fresh the player wants the strings: the worn share at which they are changed. */
public enum Demand {
    CONCERT(0.8),
    STUDY(1.0),
    /** School or loan instruments. */
    LOAN(1.25);

    private final double threshold;

    Demand(double threshold) {
        this.threshold = threshold;
    }

    /** {@return the worn share from which a string is due} */
    public double threshold() {
        return threshold;
    }
}
