package rosinedpeg.web.buying;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.validation.Errors;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.web.kinds.NamedKinds;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.TableColumn;
import rosinedpeg.web.platform.TableRules;
import rosinedpeg.web.platform.TextTable;
import rosinedpeg.web.platform.WaitingFiles;
import rosinedpeg.web.platform.WrongRow;

/** An order that comes in a file: first it is shown, and then all of it is written or nothing. The columns are those of an order's own table. */
@Service
@Transactional
class OrderImport {

    /** So many lines an order has at most. */
    private static final int MOST_ROWS = 500;

    private static final int LARGEST_BYTES = 200_000;

    /** A column that is read. */
    enum Column implements TableColumn {
        STRINGS,
        MAKER,
        LINE,
        FAMILY,
        SIZE,
        STRING,
        END,
        PRICE,
        CURRENCY;

        @Override
        public String heading() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What such a table has to keep to. */
    static final TableRules RULES = new TableRules(
            WaitingFiles.Purpose.ORDER,
            Stream.of(Column.STRINGS, Column.MAKER, Column.LINE, Column.STRING)
                    .map(Column::heading)
                    .toList(),
            MOST_ROWS,
            LARGEST_BYTES);

    private final StringKinds kinds;
    private final Purchases purchases;
    private final WaitingFiles waiting;

    OrderImport(StringKinds kinds, Purchases purchases, WaitingFiles waiting) {
        this.kinds = kinds;
        this.purchases = purchases;
        this.waiting = waiting;
    }

    /**
     * A line of the order.
     *
     * @param kind of what
     * @param ordered how many, at what price
     */
    record Line(StringKind kind, Ordered ordered) {}

    /**
     * What a file would order.
     *
     * @param lines the lines
     * @param wrong rows that cannot be taken
     */
    record Preview(List<Line> lines, List<WrongRow> wrong) {

        /** {@return how many strings it orders} */
        public int strings() {
            return lines.stream().mapToInt(line -> line.ordered().strings()).sum();
        }
    }

    /** {@return what a file that waits would order; empty when it no longer waits} */
    Optional<Preview> preview(UUID id) {
        return waiting.content(WaitingFiles.Purpose.ORDER, id).map(this::preview);
    }

    private Preview preview(String text) {
        TextTable table = TextTable.read(text, MOST_ROWS);
        NamedKinds known = NamedKinds.of(kinds.entered());
        Map<UUID, Line> lines = new LinkedHashMap<>();
        List<WrongRow> wrong = new ArrayList<>();
        for (TextTable.Row row : table.rows()) {
            Errors errors = new MapBindingResult(new LinkedHashMap<>(), "row");
            Optional<StringKind> kind = known.find(errors, row);
            int already = kind.flatMap(of -> Optional.ofNullable(lines.get(of.id())))
                    .map(line -> line.ordered().strings())
                    .orElse(0);
            OptionalInt strings = Entry.count(
                    errors, "strings", row.get(Column.STRINGS), 1, Math.max(1, BuyingController.MOST - already));
            Optional<Price> price = Price.read(errors, row.get(Column.PRICE), row.get(Column.CURRENCY));
            if (errors.hasErrors() || kind.isEmpty() || strings.isEmpty()) {
                wrong.add(new WrongRow(
                        row.number(),
                        String.join(" ", row.get(Column.MAKER), row.get(Column.LINE), row.get(Column.STRING)),
                        errors));
            } else {
                StringKind of = kind.get();
                lines.put(of.id(), new Line(of, new Ordered(of.id(), already + strings.getAsInt(), price)));
            }
        }
        return new Preview(List.copyOf(lines.values()), wrong);
    }

    /**
     * Writes the order that a file says.
     *
     * @param id where it waits, which becomes the order's own id
     * @param to who it goes to, if that was said
     * @param seen how many orders there were when the file was shown
     * @return whether it was written; not where the file no longer waits and was not written before, or a row cannot be taken
     */
    boolean take(UUID id, Optional<UUID> to, long seen) {
        Optional<Preview> preview = preview(id).filter(shown -> shown.wrong().isEmpty());
        preview.ifPresent(shown -> {
            purchases.write(id, to, shown.lines().stream().map(Line::ordered).toList(), seen);
            waiting.taken(id);
        });
        return preview.isPresent() || purchases.isWritten(id);
    }
}
