package rosinedpeg.web.drawer;

import java.util.UUID;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.StringSpec;

/**
 * A kind of string as the workshop knows it.
 *
 * @param id its id
 * @param maker who makes it
 * @param line what the maker calls it
 * @param family the instruments it is for
 * @param spec its figures
 */
public record StringKind(UUID id, String maker, String line, Family family, StringSpec spec) {

    /** {@return maker and line} */
    public String label() {
        return maker + " " + line;
    }
}
