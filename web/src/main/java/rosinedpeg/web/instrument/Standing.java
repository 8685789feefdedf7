package rosinedpeg.web.instrument;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.setup.Family;

/**
 * How an instrument stands: enough to say which of many want hands, without the set-up of each.
 *
 * @param id its id
 * @param name its name
 * @param family of which family it is
 * @param fullyStrung whether every position has a recorded string
 * @param strings the strings on it, I first
 */
public record Standing(UUID id, String name, Family family, boolean fullyStrung, List<StringOn> strings) {

    /** {@return what tells it from others} */
    public Named named() {
        return new Named(id, name, family);
    }

    /** {@return the string that most wants changing} */
    public Optional<StringOn> mostWorn() {
        return StringOn.mostWorn(strings);
    }
}
