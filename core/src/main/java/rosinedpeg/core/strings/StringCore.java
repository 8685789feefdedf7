package rosinedpeg.core.strings;

/**
 * What the inside of a string is made of. It decides how far the string stretches, how long it settles, and how far it
 * can be drawn before it breaks.
 */
public enum StringCore {
    /** One steel wire, bare or wound. */
    PLAIN_STEEL(0.0135),
    /** Many thin steel wires twisted together, wound. */
    ROPE_STEEL(0.025),
    /** Plastic filaments, wound. */
    SYNTHETIC(0.09),
    /** Gut, bare or wound. */
    GUT(0.10);

    private final double breakingStrain;

    StringCore(double breakingStrain) {
        this.breakingStrain = breakingStrain;
    }

    /** {@return whether it is of steel, one wire or many} */
    public boolean isSteel() {
        return this == PLAIN_STEEL || this == ROPE_STEEL;
    }

    /** {@return how much longer, as a share of its length, a new string can be drawn before it breaks; a default} */
    public double breakingStrain() {
        return breakingStrain;
    }
}
