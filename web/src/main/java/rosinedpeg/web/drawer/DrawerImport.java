package rosinedpeg.web.drawer;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.validation.Errors;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.TextTable;
import rosinedpeg.web.platform.WaitingFiles;

/**
 * Packets that come in a file: first it is shown what would be laid in, and then all of it is or nothing. The columns are those of the
 * drawer as a table; old strings in it are left out, since a file does not say which they were.
 */
@Service
@Transactional
class DrawerImport {

    /** So many packets come in a file at most. */
    static final int MOST_ROWS = 5000;
    /** No file is larger. */
    static final int LARGEST_BYTES = 2_000_000;
    /** So many of one kind stand in one row at most. */
    private static final int MOST_STRINGS = 200;
    /** What is wrong is shown of so many rows. */
    private static final int MOST_SHOWN = 40;

    private static final int YEARS = 30;

    private final Drawer drawer;
    private final StringKinds kinds;
    private final Instruments instruments;
    private final WaitingFiles waiting;
    private final Clock clock;

    DrawerImport(Drawer drawer, StringKinds kinds, Instruments instruments, WaitingFiles waiting, Clock clock) {
        this.drawer = drawer;
        this.kinds = kinds;
        this.instruments = instruments;
        this.waiting = waiting;
        this.clock = clock;
    }

    /** A column that is read. */
    enum Column {
        MAKER("maker"),
        LINE("line"),
        FAMILY("family"),
        SIZE("size"),
        STRING("string"),
        END("end"),
        STRINGS("strings"),
        PLACE("place"),
        CASE_OF("in the case of"),
        BOUGHT_ON("bought on"),
        PRICE("price"),
        CURRENCY("currency"),
        WAS("old, from"),
        /** Where a string was saved with these they are its own, and not those of a new packet. */
        CODE("code"),
        HOURS("hours played"),
        MONTHS("months");

        /** What somebody fills in who writes such a table. */
        static final List<Column> TO_FILL_IN =
                List.of(MAKER, LINE, FAMILY, SIZE, STRING, END, STRINGS, PLACE, CASE_OF, BOUGHT_ON, PRICE, CURRENCY);

        private final String heading;

        Column(String heading) {
            this.heading = heading;
        }

        /** {@return its heading} */
        public String heading() {
            return heading;
        }
    }

    private static final List<Column> NEEDED = List.of(Column.MAKER, Column.LINE, Column.STRING);

    /**
     * A row that cannot be taken.
     *
     * @param number which it is, the headings being the first
     * @param what what stands in it
     * @param errors what is wrong with it
     */
    record Wrong(long number, String what, Errors errors) {}

    /**
     * What a file would do.
     *
     * @param laid what would be laid in
     * @param kinds how many of each kind
     * @param old how many rows are old strings, which are left out
     * @param wrong rows that cannot be taken, no more than are shown
     * @param wrongs how many there are
     * @param unread headings of columns that nothing is known of
     */
    record Preview(
            List<Laid> laid,
            Map<StringKind, Integer> kinds,
            int old,
            List<Wrong> wrong,
            int wrongs,
            List<String> unread) {

        /** {@return how many would be laid in} */
        public int packets() {
            return laid.size();
        }
    }

    /** {@return why a file cannot be read at all; empty when it can} */
    static Optional<TextTable.Refusal> refusal(String text) {
        return TextTable.read(text, MOST_ROWS)
                .refusal(NEEDED.stream().map(Column::heading).toList(), MOST_ROWS);
    }

    /** {@return where a file waits that can be read} */
    UUID keep(String content) {
        return waiting.keep(WaitingFiles.Purpose.DRAWER, content);
    }

    /** {@return what a file that waits would do; empty when it no longer waits} */
    Optional<Preview> preview(UUID id) {
        return waiting.content(WaitingFiles.Purpose.DRAWER, id).map(this::preview);
    }

    private Preview preview(String text) {
        TextTable table = TextTable.read(text, MOST_ROWS);
        Map<Column, Integer> at = new HashMap<>();
        for (Column column : Column.values()) {
            table.at(column.heading()).ifPresent(place -> at.put(column, place));
        }
        Map<String, List<StringKind>> known = kinds.entered().stream()
                .collect(Collectors.groupingBy(kind ->
                        key(kind.maker(), kind.line(), kind.spec().position().name())));
        Map<String, Set<UUID>> meant = new HashMap<>();
        LocalDate today = CurrentWorkshop.today(clock);
        List<Laid> laid = new ArrayList<>();
        Map<StringKind, Integer> many = new LinkedHashMap<>();
        List<Wrong> wrong = new ArrayList<>();
        int old = 0;
        int wrongs = 0;
        for (TextTable.Row row : table.rows()) {
            Cells cells = new Cells(row, at);
            if (!cells.get(Column.WAS).isBlank()) {
                old++;
                continue;
            }
            Errors errors = new MapBindingResult(new LinkedHashMap<>(), "row");
            Optional<StringKind> kind = kind(errors, cells, known);
            OptionalInt strings = cells.get(Column.STRINGS).isBlank()
                    ? OptionalInt.of(1)
                    : Entry.count(errors, "strings", cells.get(Column.STRINGS), 1, MOST_STRINGS);
            Optional<LocalDate> bought = cells.get(Column.BOUGHT_ON).isBlank()
                    ? Optional.empty()
                    : Entry.date(errors, "boughtOn", cells.get(Column.BOUGHT_ON), today.minusYears(YEARS), today);
            Laid.readPlace(errors, cells.get(Column.PLACE));
            Optional<UUID> caseOf = CaseOf.read(
                    errors,
                    cells.get(Column.CASE_OF),
                    name -> meant.computeIfAbsent(name, one -> instruments.meant(one, CaseOf.TELL_APART)));
            Optional<Price> price = Price.read(errors, cells.get(Column.PRICE), cells.get(Column.CURRENCY));
            if (errors.hasErrors()) {
                wrongs++;
                if (wrong.size() < MOST_SHOWN) {
                    wrong.add(new Wrong(
                            row.number(),
                            String.join(" ", cells.get(Column.MAKER), cells.get(Column.LINE), cells.get(Column.STRING)),
                            errors));
                }
                continue;
            }
            laid.addAll(Collections.nCopies(
                    strings.orElseThrow(),
                    new Laid(
                            kind.orElseThrow().id(),
                            cells.get(Column.PLACE).strip(),
                            caseOf.orElse(null),
                            bought.orElse(null),
                            price.orElse(null))));
            many.merge(kind.orElseThrow(), strings.orElseThrow(), Integer::sum);
        }
        List<String> unread = table.headings().stream()
                .filter(heading -> !heading.isBlank()
                        && at.values().stream()
                                .noneMatch(place -> table.headings().get(place).equals(heading)))
                .toList();
        return new Preview(laid, many, old, wrong, wrongs, unread);
    }

    /** What stands in a row, by its columns. */
    private record Cells(TextTable.Row row, Map<Column, Integer> at) {

        String get(Column column) {
            Integer place = at.get(column);
            return place == null ? "" : row.cells().get(place);
        }
    }

    private static String key(String maker, String line, String position) {
        return String.join("\n", maker.strip(), line.strip(), position.strip()).toLowerCase(Locale.ROOT);
    }

    private static Optional<StringKind> kind(Errors errors, Cells cells, Map<String, List<StringKind>> known) {
        String family = cells.get(Column.FAMILY).strip().toUpperCase(Locale.ROOT);
        String size = cells.get(Column.SIZE).strip();
        String end = cells.get(Column.END).strip().toUpperCase(Locale.ROOT);
        List<StringKind> meant = known
                .getOrDefault(key(cells.get(Column.MAKER), cells.get(Column.LINE), cells.get(Column.STRING)), List.of())
                .stream()
                .filter(kind -> family.isEmpty() || kind.family().name().equals(family))
                .filter(kind -> size.isEmpty() || kind.madeFor().code().equals(size))
                .filter(kind -> end.isEmpty() || kind.spec().end().name().equals(end))
                .toList();
        if (meant.size() == 1) {
            return Optional.of(meant.get(0));
        }
        errors.rejectValue("kind", meant.isEmpty() ? "drawer.import.kind.none" : "drawer.import.kind.several");
        return Optional.empty();
    }

    /**
     * Lays in what a file says.
     *
     * @param id where it waits
     * @return how many were laid in; none where the file no longer waits, empty where a row of it cannot be taken
     */
    Optional<Integer> take(UUID id) {
        Optional<Preview> preview = preview(id);
        if (preview.isPresent() && (preview.get().wrongs() > 0 || preview.get().packets() == 0)) {
            return Optional.empty();
        }
        preview.ifPresent(there -> {
            // The file is its own press: sent twice it is laid in once.
            drawer.lay(there.laid(), id);
            waiting.taken(id);
        });
        return Optional.of(preview.map(Preview::packets).orElse(0));
    }
}
