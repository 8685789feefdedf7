package rosinedpeg.web.kinds;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.validation.Errors;
import rosinedpeg.web.platform.TableColumn;
import rosinedpeg.web.platform.TextTable;

/** Finds the kind of string that a row of a table means by its names. */
public final class NamedKinds {

    private final Map<String, List<StringKind>> known;

    private NamedKinds(Map<String, List<StringKind>> known) {
        this.known = known;
    }

    /** A column by which a row names its kind; the later three may be empty where the others are enough. */
    private enum Column implements TableColumn {
        MAKER,
        LINE,
        STRING,
        FAMILY,
        SIZE,
        END;

        @Override
        public String heading() {
            return name();
        }
    }

    /** {@return what finds kinds among some} */
    public static NamedKinds of(List<StringKind> kinds) {
        return new NamedKinds(kinds.stream()
                .collect(Collectors.groupingBy(kind ->
                        key(kind.maker(), kind.line(), kind.spec().position().name()))));
    }

    private static String key(String maker, String line, String position) {
        return String.join("\n", maker.strip(), line.strip(), position.strip()).toLowerCase(Locale.ROOT);
    }

    /**
     * Finds the kind that a row names.
     *
     * @param errors where it is noted, at the field {@code kind}, that it is none or several
     * @param row the row, with the columns maker, line, string, family, size and end
     * @return the one kind that is meant; empty where it is none or several
     */
    public Optional<StringKind> find(Errors errors, TextTable.Row row) {
        String family = row.get(Column.FAMILY).strip().toUpperCase(Locale.ROOT);
        String size = row.get(Column.SIZE).strip();
        String end = row.get(Column.END).strip().toUpperCase(Locale.ROOT);
        List<StringKind> meant = known
                .getOrDefault(key(row.get(Column.MAKER), row.get(Column.LINE), row.get(Column.STRING)), List.of())
                .stream()
                .filter(kind -> family.isEmpty() || kind.family().name().equals(family))
                .filter(kind -> size.isEmpty() || kind.madeFor().code().equals(size))
                .filter(kind -> end.isEmpty() || kind.spec().end().name().equals(end))
                .toList();
        if (meant.size() == 1) {
            return Optional.of(meant.get(0));
        }
        errors.rejectValue("kind", meant.isEmpty() ? "table.kind.none" : "table.kind.several");
        return Optional.empty();
    }
}
