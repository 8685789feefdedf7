package rosinedpeg.web.instrument;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * How an instrument stands: enough to say which of many want hands, without the set-up of each.
 *
 * @param id its id
 * @param name its name
 * @param fullyStrung whether every position has a recorded string
 * @param strings the strings on it, I first
 */
public record Standing(UUID id, String name, boolean fullyStrung, List<StringOn> strings) {

    /** {@return the string that most wants changing} */
    public Optional<StringOn> mostWorn() {
        return StringOn.mostWorn(strings);
    }
}
