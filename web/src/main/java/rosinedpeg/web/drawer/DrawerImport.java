package rosinedpeg.web.drawer;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.validation.Errors;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.kinds.NamedKinds;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;
import rosinedpeg.web.platform.TableColumn;
import rosinedpeg.web.platform.TableRules;
import rosinedpeg.web.platform.TextTable;
import rosinedpeg.web.platform.WaitingFile;
import rosinedpeg.web.platform.WaitingFiles;
import rosinedpeg.web.platform.WrongRow;

/**
 * Packets that come in a file: first it is shown what would be laid in, and then all of it is or nothing. The columns are those of the
 * drawer as a table; old strings in it are left out, since a file does not say which they were.
 */
@Service
@Transactional
class DrawerImport {

    /** So many packets come in a file at most, in one row or in many. */
    private static final int MOST_PACKETS = 5000;

    /** So many are laid in while somebody waits for the answer. */
    private static final int MOST_AT_ONCE = 200;

    private static final int LARGEST_BYTES = 2_000_000;
    /** So many of one kind stand in one row at most. */
    private static final int MOST_STRINGS = 200;
    /** What is wrong is shown of so many rows. */
    private static final int MOST_SHOWN = 40;

    private static final int YEARS = 30;

    private final Drawer drawer;
    private final StringKinds kinds;
    private final InstrumentNames instrumentNames;
    private final WaitingFiles waiting;
    private final Clock clock;

    DrawerImport(Drawer drawer, StringKinds kinds, InstrumentNames instrumentNames, WaitingFiles waiting, Clock clock) {
        this.drawer = drawer;
        this.kinds = kinds;
        this.instrumentNames = instrumentNames;
        this.waiting = waiting;
        this.clock = clock;
    }

    /** A column that is read. */
    enum Column implements TableColumn {
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

        @Override
        public String heading() {
            return heading;
        }
    }

    /** What such a table has to keep to. */
    static final TableRules RULES = new TableRules(
            WaitingFiles.Purpose.DRAWER,
            Stream.of(Column.MAKER, Column.LINE, Column.STRING)
                    .map(Column::heading)
                    .toList(),
            MOST_PACKETS,
            LARGEST_BYTES);

    /** How many would be laid in of a kind. */
    record OfKind(StringKind kind, int packets) {

        private OfKind and(OfKind more) {
            return new OfKind(kind, packets + more.packets);
        }
    }

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
            List<Laid> laid, List<OfKind> kinds, int old, List<WrongRow> wrong, int wrongs, List<String> unread) {

        /** {@return how many would be laid in} */
        public int packets() {
            return laid.size();
        }

        /** {@return whether there is something to lay in and every row can be taken} */
        public boolean canBeTaken() {
            return wrongs == 0 && !laid.isEmpty();
        }
    }

    /** {@return how far a file is; empty when it is there no longer} */
    Optional<WaitingFile.State> state(UUID id) {
        return file(id).map(WaitingFile::state);
    }

    /** {@return what a file that waits would do; empty when it no longer waits} */
    Optional<Preview> preview(UUID id) {
        return file(id).map(file -> preview(file.content(), CurrentWorkshop.today(clock)));
    }

    private Optional<WaitingFile> file(UUID id) {
        return waiting.find(WaitingFiles.Purpose.DRAWER, id);
    }

    private Preview preview(String text, LocalDate today) {
        TextTable table = TextTable.read(text, MOST_PACKETS);
        NamedKinds known = NamedKinds.of(kinds.entered());
        Map<String, Set<UUID>> meant = new HashMap<>();
        List<Laid> laid = new ArrayList<>();
        Map<UUID, OfKind> many = new LinkedHashMap<>();
        List<WrongRow> wrong = new ArrayList<>();
        int old = 0;
        int wrongs = 0;
        for (TextTable.Row row : table.rows()) {
            if (!row.get(Column.WAS).isBlank()) {
                old++;
                continue;
            }
            Errors errors = new MapBindingResult(new LinkedHashMap<>(), "row");
            Optional<StringKind> kind = known.find(errors, row);
            OptionalInt strings = row.get(Column.STRINGS).isBlank()
                    ? OptionalInt.of(1)
                    : Entry.count(errors, "strings", row.get(Column.STRINGS), 1, MOST_STRINGS);
            Optional<LocalDate> bought = row.get(Column.BOUGHT_ON).isBlank()
                    ? Optional.empty()
                    : Entry.date(errors, "boughtOn", row.get(Column.BOUGHT_ON), today.minusYears(YEARS), today);
            Laid.readPlace(errors, row.get(Column.PLACE));
            Optional<UUID> caseOf = CaseOf.read(
                    errors,
                    row.get(Column.CASE_OF),
                    name -> meant.computeIfAbsent(name, one -> instrumentNames.meant(one, CaseOf.TELL_APART)));
            Optional<Price> price = Price.read(errors, row.get(Column.PRICE), row.get(Column.CURRENCY));
            if (laid.size() + strings.orElse(0) > MOST_PACKETS) {
                errors.rejectValue("strings", "drawer.import.tooMany", new Object[] {MOST_PACKETS}, null);
            }
            if (errors.hasErrors()) {
                wrongs++;
                if (wrong.size() < MOST_SHOWN) {
                    wrong.add(new WrongRow(
                            row.number(),
                            String.join(" ", row.get(Column.MAKER), row.get(Column.LINE), row.get(Column.STRING)),
                            errors));
                }
                continue;
            }
            laid.addAll(Collections.nCopies(
                    strings.orElseThrow(),
                    new Laid(
                            kind.orElseThrow().id(),
                            row.get(Column.PLACE).strip(),
                            caseOf.orElse(null),
                            bought.orElse(null),
                            price.orElse(null))));
            many.merge(kind.orElseThrow().id(), new OfKind(kind.orElseThrow(), strings.orElseThrow()), OfKind::and);
        }
        return new Preview(
                laid, List.copyOf(many.values()), old, wrong, wrongs, table.unread(List.of(Column.values())));
    }

    /**
     * Somebody wants laid in what a file says. A short one is at once; a long one is after the answer, so that nobody waits for it.
     *
     * @param id where it waits
     * @return how far it is then; empty where it was laid in, now or before, or has gone
     */
    Optional<WaitingFile.State> ask(UUID id) {
        Optional<WaitingFile.State> before = state(id);
        if (before.isEmpty() || before.get() == WaitingFile.State.ASKED) {
            return before;
        }
        Preview preview = preview(id).orElseThrow();
        if (preview.canBeTaken()) {
            if (preview.packets() <= MOST_AT_ONCE) {
                lay(preview, id);
            } else {
                waiting.ask(id);
            }
        }
        return state(id);
    }

    /** Lays in a file that was asked for, unless somebody else does it. Where its rows can be taken no longer it fails. */
    void lay(UUID id) {
        waiting.inHand(id).ifPresent(file -> {
            Preview preview = preview(file.content(), file.askedOn().orElseThrow());
            if (preview.canBeTaken()) {
                lay(preview, id);
            } else {
                waiting.failed(id);
            }
        });
    }

    /** The file is its own press: sent twice it is laid in once. */
    private void lay(Preview preview, UUID id) {
        drawer.lay(preview.laid(), id);
        waiting.taken(id);
    }
}
