package rosinedpeg.web.buying;

import static java.util.Objects.requireNonNull;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import rosinedpeg.web.kinds.KindWords;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.Words;

/** An order as it is sent: in plain words to paste, and as a table. */
@Component
class PurchaseText {

    private static final List<String> HEADINGS = List.of(
            "strings", "maker", "line", "family", "size", "string", "pitch", "end", "price", "currency", "arrived");

    private final Words words;
    private final KindWords kindWords;

    PurchaseText(Words words, KindWords kindWords) {
        this.words = words;
        this.kindWords = kindWords;
    }

    /**
     * A line in words.
     *
     * @param strings how many
     * @param what of what
     * @param price what one costs; empty where nobody knows
     * @param sum what all of them do
     */
    record Worded(int strings, String what, String price, String sum) {}

    /** {@return the lines in words} */
    List<Worded> lines(Purchase purchase, Map<UUID, StringKind> kinds) {
        return purchase.lines().stream()
                .map(line -> new Worded(
                        line.strings(),
                        what(requireNonNull(kinds.get(line.kindId()))),
                        line.price().map(Price::written).orElse(""),
                        line.sum().map(Price::written).orElse("")))
                .toList();
    }

    private String what(StringKind kind) {
        return words.say(
                "buying.line",
                kindWords.label(kind),
                words.say("family." + kind.family()),
                kind.madeFor().code(),
                kind.spec().position(),
                kind.spec().nominalPitch().letter(),
                words.say("end." + kind.spec().end()));
    }

    /** {@return the order in plain words} */
    String of(Purchase purchase, Map<UUID, StringKind> kinds) {
        return lines(purchase, kinds).stream()
                .map(line -> line.strings() + " × " + line.what())
                .collect(Collectors.joining("\n"));
    }

    /** {@return the order as a table: a row for each line, under headings} */
    static String table(Purchase purchase, Map<UUID, StringKind> kinds) {
        StringWriter table = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(table, CSVFormat.RFC4180)) {
            printer.printRecord(HEADINGS);
            for (Purchase.Line line : purchase.lines()) {
                printer.printRecord(
                        cells(line, requireNonNull(kinds.get(line.kindId()))).map(Cells::harmless));
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return table.toString();
    }

    private static Stream<String> cells(Purchase.Line line, StringKind kind) {
        return Stream.of(
                String.valueOf(line.strings()),
                kind.maker(),
                kind.line(),
                kind.family().name().toLowerCase(Locale.ROOT),
                kind.madeFor().code(),
                kind.spec().position().name(),
                kind.spec().nominalPitch().spelling(),
                kind.spec().end().name().toLowerCase(Locale.ROOT),
                line.price().map(price -> price.amount().toPlainString()).orElse(""),
                line.price().map(Price::currency).orElse(""),
                String.valueOf(line.arrived()));
    }
}
