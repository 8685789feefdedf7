package rosinedpeg.core.wear;

/** Something seen or heard on a used string, with the share of its life it stands for by default. */
public enum WearSign {
    COLOUR_GONE(0.10),
    WINDING_FLATTENED(0.15),
    DULL(0.20),
    WHISTLES(0.15),
    FALSE_FIFTHS(0.25),
    WILL_NOT_HOLD(0.25),
    CORROSION(0.20),
    /** It can cut a finger and can fail: change it now, whatever its age. */
    WINDING_OPEN(2.0);

    private final double share;

    WearSign(double share) {
        this.share = share;
    }

    /** {@return the share of its life the sign stands for} */
    public double share() {
        return share;
    }
}
