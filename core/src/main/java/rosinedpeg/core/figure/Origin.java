package rosinedpeg.core.figure;

import static java.util.Objects.requireNonNull;

/** Where a figure comes from. Every figure that is shown carries one. */
public enum Origin {
    /** Somebody measured it on this instrument or this string. */
    MEASURED,
    /** Nobody measured it: the usual value for such an instrument stands in. */
    DEFAULT,
    /** Worked out from readings of this instrument or string. */
    LEARNED;

    /** {@return the origin of what rests on a figure of this origin and on one of another} */
    public Origin orWeaker(Origin other) {
        requireNonNull(other, "other");
        if (this == DEFAULT || other == DEFAULT) {
            return DEFAULT;
        }
        return this == LEARNED ? LEARNED : other;
    }
}
