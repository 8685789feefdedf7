package rosinedpeg.web.kinds;

import org.jspecify.annotations.Nullable;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.Life;

/**
 * A kind of string to be kept, as its packet and whoever uses it describe it.
 *
 * @param maker who makes it, as the workshop calls them
 * @param line what the maker calls it
 * @param size the instruments it is made for
 * @param spec its figures
 * @param note what somebody notes of it, as the colours of its silk
 * @param price what it costs, if it is known
 * @param life how long it was found to last, if it is known
 */
public record Packaged(
        String maker,
        String line,
        Size size,
        StringSpec spec,
        String note,
        @Nullable Price price,
        @Nullable Life life) {

    /** {@return whether another is the same kind, whatever its figures} */
    boolean isSameKind(Packaged other) {
        return maker.equalsIgnoreCase(other.maker)
                && line.equalsIgnoreCase(other.line)
                && size.family() == other.size.family()
                && spec.position() == other.spec.position()
                && spec.end() == other.spec.end()
                && spec.designLengthMm() == other.spec.designLengthMm();
    }
}
