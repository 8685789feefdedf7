package rosinedpeg.web.platform;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
     */
    public record Row(long number, List<String> cells) {}

    /**
     * Why a table cannot be read at all.
     *
     * @param why a message key
     * @param told what that message tells
     */
    public record Refusal(String why, List<Object> told) {}

    /**
     * {@return why it cannot be read at all; empty when it can}
     *
     * @param needed the headings that have to be there
     * @param mostRows how many rows it may have
     */
    public Optional<Refusal> refusal(List<String> needed, int mostRows) {
        List<String> missing =
                needed.stream().filter(heading -> at(heading).isEmpty()).toList();
        if (!headings.isEmpty() && !missing.isEmpty()) {
            return Optional.of(new Refusal("table.columns", List.of(String.join(", ", missing))));
        }
        if (!whole) {
            return Optional.of(new Refusal("table.cutOff", List.of()));
        }
        if (rows.size() > mostRows) {
            return Optional.of(new Refusal("table.rows", List.of(mostRows)));
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
        List<Row> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format(text))) {
            for (CSVRecord record : parser) {
                if (headings.isEmpty()) {
                    record.forEach(cell -> headings.add(cell.strip()));
                } else {
                    List<String> cells = new ArrayList<>();
                    for (int i = 0; i < headings.size(); i++) {
                        cells.add(i < record.size() ? Cells.asTyped(record.get(i)) : "");
                    }
                    rows.add(new Row(record.getRecordNumber(), cells));
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
    public static String plain(String heading) {
        return heading.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", "");
    }

    /** {@return where a heading stands; empty when it does not} */
    public Optional<Integer> at(String heading) {
        for (int i = 0; i < headings.size(); i++) {
            if (plain(headings.get(i)).equals(plain(heading))) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }
}
