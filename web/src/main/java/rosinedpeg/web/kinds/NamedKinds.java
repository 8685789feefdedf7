package rosinedpeg.web.kinds;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.validation.Errors;

/** Finds the kind of string that a row of a table means by its names. */
public final class NamedKinds {

    private final Map<String, List<StringKind>> known;

    private NamedKinds(Map<String, List<StringKind>> known) {
        this.known = known;
    }

    /**
     * How a row names a kind.
     *
     * @param maker who makes it
     * @param line what the maker calls it
     * @param string which string, as II
     * @param family the family of instruments; empty where the rest is enough
     * @param size the size, as 4/4; empty where the rest is enough
     * @param end its end; empty where the rest is enough
     */
    public record Named(String maker, String line, String string, String family, String size, String end) {}

    /** {@return what finds kinds among some} */
    public static NamedKinds of(List<StringKind> kinds) {
        return new NamedKinds(kinds.stream()
                .collect(Collectors.groupingBy(kind ->
                        key(kind.maker(), kind.line(), kind.spec().position().name()))));
    }

    private static String key(String maker, String line, String position) {
        return String.join("\n", maker.strip(), line.strip(), position.strip()).toLowerCase(Locale.ROOT);
    }

    /** {@return the one kind that is meant; empty where it is none or several, which is noted at the field {@code kind}} */
    public Optional<StringKind> find(Errors errors, Named named) {
        String family = named.family().strip().toUpperCase(Locale.ROOT);
        String size = named.size().strip();
        String end = named.end().strip().toUpperCase(Locale.ROOT);
        List<StringKind> meant =
                known.getOrDefault(key(named.maker(), named.line(), named.string()), List.of()).stream()
                        .filter(kind -> family.isEmpty() || kind.family().name().equals(family))
                        .filter(kind -> size.isEmpty() || kind.madeFor().code().equals(size))
                        .filter(kind ->
                                end.isEmpty() || kind.spec().end().name().equals(end))
                        .toList();
        if (meant.size() == 1) {
            return Optional.of(meant.get(0));
        }
        errors.rejectValue("kind", meant.isEmpty() ? "table.kind.none" : "table.kind.several");
        return Optional.empty();
    }
}
