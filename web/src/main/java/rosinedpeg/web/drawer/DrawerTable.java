package rosinedpeg.web.drawer;

import static java.util.Objects.requireNonNull;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.Say;

/** What lies in the drawer as a table, under the headings of the table of kinds of string where they are the same. */
final class DrawerTable {

    private static final List<String> HEADINGS = List.of(
            "code",
            "maker",
            "line",
            "family",
            "size",
            "string",
            "end",
            "place",
            "in the case of",
            "bought on",
            "price",
            "currency",
            "old, from",
            "hours played",
            "months");

    private DrawerTable() {}

    /**
     * Writes it.
     *
     * @param lying the strings
     * @param kinds what they are
     * @param were what the old ones were, by their own ids
     * @param cases what the instruments are called in whose cases some lie
     * @return a row for each, under headings
     */
    static String write(
            List<InDrawer> lying, Map<UUID, StringKind> kinds, Map<UUID, OldString> were, Map<UUID, String> cases) {
        StringWriter table = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(table, CSVFormat.RFC4180)) {
            printer.printRecord(HEADINGS);
            for (InDrawer string : lying) {
                printer.printRecord(cells(
                                string,
                                requireNonNull(kinds.get(string.kindId())),
                                Optional.ofNullable(were.get(string.id())),
                                string.caseOf() == null ? "" : cases.getOrDefault(string.caseOf(), ""))
                        .map(Cells::harmless));
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return table.toString();
    }

    private static Stream<String> cells(InDrawer string, StringKind kind, Optional<OldString> was, String inCaseOf) {
        return Stream.of(
                string.code(),
                kind.maker(),
                kind.line(),
                kind.family().name().toLowerCase(Locale.ROOT),
                kind.madeFor().code(),
                kind.spec().position().name(),
                kind.spec().end().name().toLowerCase(Locale.ROOT),
                string.place(),
                inCaseOf,
                string.boughtOn() == null ? "" : string.boughtOn().toString(),
                string.price() == null ? "" : string.price().amount().toPlainString(),
                string.price() == null ? "" : string.price().currency(),
                was.map(OldString::instrument).orElse(""),
                figure(was.flatMap(OldString::wear).map(Wear::hours)),
                figure(was.flatMap(OldString::wear).map(Wear::months)));
    }

    private static String figure(Optional<Double> value) {
        return value.map(number -> Say.number(number, 0)).orElse("");
    }
}
