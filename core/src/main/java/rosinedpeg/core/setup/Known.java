package rosinedpeg.core.setup;

import rosinedpeg.core.strings.Position;

/** What a usual value may follow from: the make of the instrument, and every quantity named before. */
interface Known {

    Size size();

    /** {@return what is usual on the full size of its family} */
    default FullSize fullSize() {
        return FullSize.ofFamily(size().family());
    }

    int strings();

    PegKind pegKind();

    TailEnd tailEnd(Position position);

    /** {@return the value of a quantity of the whole instrument, measured or usual} */
    double value(Quantity quantity);

    /** {@return the value of a string's quantity, measured or usual} */
    double value(Quantity quantity, Position position);
}
