package rosinedpeg.web.platform;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as a spreadsheet saves it, cells parted by whatever parts the headings.
 *
 * @param headings what stands above the columns, as typed
 * @param rows the rows below
 * @param whole whether it could be read to its end
 */
public record TextTable(List<String> headings, List<Row> rows, boolean whole) {

    /**
     * A row of it.
     *
     * @param number which row it is, the headings being the first
     * @param cells what stands in it, as it was typed before it was made harmless; what is missing at its end is empty
     * @param columns where the columns stand
     */
    public record Row(long number, List<String> cells, Columns columns) {

        /** {@return what stands in a column; nothing where there is no such column} */
        public String get(TableColumn column) {
            int place = columns.place(column);
            return place < 0 ? "" : cells.get(place);
        }
    }

    /** Where the columns of a table stand: looked for by their headings once, and not for each row. */
    static final class Columns {

        private final Map<String, Integer> headings = new HashMap<>();
        private final Map<TableColumn, Integer> found = new HashMap<>();

        private void add(String heading, int place) {
            headings.putIfAbsent(plain(heading), place);
        }

        private int place(TableColumn column) {
            return found.computeIfAbsent(column, one -> headings.getOrDefault(plain(one.heading()), -1));
        }
    }

    /**
     * Why a table cannot be read at all.
     *
     * @param why a message key
     * @param told what that message tells
     */
    record Refusal(String why, List<Object> told) {}

    /**
     * {@return why it cannot be read at all; empty when it can}
     *
     * @param rules what it has to keep to
     */
    Optional<Refusal> refusal(TableRules rules) {
        List<String> missing =
                rules.needed().stream().filter(heading -> !has(heading)).toList();
        if (!headings.isEmpty() && !missing.isEmpty()) {
            return Optional.of(new Refusal("table.columns", List.of(String.join(", ", missing))));
        }
        if (!whole) {
            return Optional.of(new Refusal("table.cutOff", List.of()));
        }
        if (rows.size() > rules.mostRows()) {
            return Optional.of(new Refusal("table.rows", List.of(rules.mostRows())));
        }
        return rows.isEmpty() ? Optional.of(new Refusal("table.noRows", List.of())) : Optional.empty();
    }

    /**
     * Reads a table.
     *
     * @param text what {@link TextFile} gave
     * @param mostRows no more rows are read than one beyond so many
     * @return what stands in it
     */
    public static TextTable read(String text, int mostRows) {
        List<String> headings = new ArrayList<>();
        Columns columns = new Columns();
        List<Row> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format(text))) {
            for (CSVRecord record : parser) {
                if (headings.isEmpty()) {
                    record.forEach(cell -> {
                        columns.add(cell, headings.size());
                        headings.add(cell.strip());
                    });
                } else {
                    List<String> cells = new ArrayList<>();
                    for (int i = 0; i < headings.size(); i++) {
                        cells.add(i < record.size() ? Cells.asTyped(record.get(i)) : "");
                    }
                    rows.add(new Row(record.getRecordNumber(), cells, columns));
                    if (rows.size() > mostRows) {
                        break;
                    }
                }
            }
            return new TextTable(headings, rows, true);
        } catch (IOException | UncheckedIOException | IllegalStateException cutOff) {
            return new TextTable(headings, rows, false);
        }
    }

    private static CSVFormat format(String text) {
        String heading =
                text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        char parting = ";,\t"
                .chars()
                .mapToObj(character -> (char) character)
                .max(Comparator.comparingLong(mark ->
                        heading.chars().filter(character -> character == mark).count()))
                .orElseThrow();
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(parting)
                .setIgnoreEmptyLines(true)
                .get();
    }

    /** {@return a heading as it is compared: nothing but its letters, small} */
    static String plain(String heading) {
        StringBuilder letters = new StringBuilder();
        heading.toLowerCase(Locale.ROOT)
                .chars()
                .filter(character -> character >= 'a' && character <= 'z')
                .forEach(character -> letters.append((char) character));
        return letters.toString();
    }

    private boolean has(String heading) {
        return headings.stream().anyMatch(one -> plain(one).equals(plain(heading)));
    }

    /** {@return the headings that nothing is known of} */
    public List<String> unread(Collection<? extends TableColumn> known) {
        Set<String> read = known.stream().map(column -> plain(column.heading())).collect(Collectors.toSet());
        return headings.stream()
                .filter(heading -> !heading.isBlank() && !read.contains(plain(heading)))
                .toList();
    }
}
