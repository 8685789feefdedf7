package rosinedpeg.core.setup;

/** How what belongs to a family follows from the full size to a smaller one. */
enum Scaling {
    /** In the ratio of the vibrating lengths. */
    AS_LENGTH,
    /** In its square: a smaller instrument's parts weigh less as their surface does, for their thickness hardly follows. */
    AS_SURFACE,
    /** Not at all, as an angle. */
    NOT;

    /** {@return what it is of the full size's} */
    double of(Size size) {
        return switch (this) {
            case AS_LENGTH -> size.scale();
            case AS_SURFACE -> size.scale() * size.scale();
            case NOT -> 1;
        };
    }
}
