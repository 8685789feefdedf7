package rosinedpeg.web.drawer;

import java.util.UUID;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.StringSpec;

/**
 * A kind of string as the workshop knows it. {@link KindWords} says what it is called.
 *
 * @param id its id
 * @param source who says what it is
 * @param maker who makes it; empty for a usual one
 * @param line what the maker calls it; for a usual one what tells it from others
 * @param family the instruments it is for
 * @param spec its figures
 */
public record StringKind(UUID id, Source source, String maker, String line, Family family, StringSpec spec) {

    /** Who says what a kind of string is. */
    public enum Source {
        /** Its packet. */
        PACKET,
        /** Nobody: it is as such strings usually are. */
        USUAL
    }

    /** {@return whether every figure of it is only what is usual} */
    public boolean isUsual() {
        return source == Source.USUAL;
    }
}
