package rosinedpeg.core.setup;

/** What a string is wound on. */
public enum PegKind {
    /** Tapered wood, held by friction: takes compound, has to be pushed in while it is turned. */
    TAPERED_WOOD(1),
    /** Looks like wood, has gears inside: no compound. */
    GEARED(4),
    /** A worm gear with a crank: no compound, and not every one turns the same way. */
    MACHINE_HEAD(20);

    private final double usualRatio;

    PegKind(double usualRatio) {
        this.usualRatio = usualRatio;
    }

    /** {@return whether it holds by friction alone} */
    public boolean holdsByFriction() {
        return this == TAPERED_WOOD;
    }

    /** {@return turns of the knob or crank for one turn of the shaft, by default} */
    public double usualRatio() {
        return usualRatio;
    }
}
