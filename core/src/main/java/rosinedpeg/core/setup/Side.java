package rosinedpeg.core.setup;

/** A side of the instrument, named by its strings, so that it means the same on a left-handed one. */
public enum Side {
    /** The side of the low strings. */
    BASS(-1),
    /** The side of the high strings. */
    TREBLE(1);

    private final int sign;

    Side(int sign) {
        this.sign = sign;
    }

    /** {@return −1 for the bass side, 1 for the treble side, as x counts across the instrument} */
    public int sign() {
        return sign;
    }
}
