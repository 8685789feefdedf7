package rosinedpeg.web.kinds;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.validation.Errors;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.web.platform.Cells;
import rosinedpeg.web.platform.TableColumn;
import rosinedpeg.web.platform.TableRules;
import rosinedpeg.web.platform.TextTable;
import rosinedpeg.web.platform.WaitingFiles;

/**
 * Kinds of string as a table that every spreadsheet opens. A file that comes back is read whether its cells are parted by commas,
 * semicolons or tabs, whether it has decimal points or commas, and whether it is in Unicode or in the old alphabet of western
 * Europe.
 */
final class KindTable {

    /** More rows than any shop keeps kinds, and few enough to look through. */
    private static final int MOST_ROWS = 2000;

    private static final int LARGEST_BYTES = 1_000_000;

    /** What stands in the table, column by column. */
    enum Column implements TableColumn {
        MAKER("maker", KindForm::maker),
        LINE("line", KindForm::line),
        FAMILY("size", form -> form.size().split(" ")[0].toLowerCase(Locale.ROOT)),
        SIZE("size", form -> form.size().split(" ")[1]),
        STRING("position", form -> form.position().name()),
        PITCH("pitch", KindForm::pitch),
        CORE("core", form -> inWords(form.core())),
        WINDING("winding", form -> inWords(form.winding())),
        END("end", form -> inWords(form.end())),
        DESIGN_LENGTH_MM("designLength", KindForm::designLength),
        TENSION_N("tension", KindForm::tension),
        MASS_G_PER_M("mass", KindForm::mass),
        GAUGE("gauge", form -> form.known() == KindForm.Known.GAUGE ? inWords(form.gauge()) : ""),
        DIAMETER_MM("diameter", KindForm::diameter),
        AXIAL_STIFFNESS_N("axialStiffness", KindForm::axialStiffness),
        TAIL_SILK_END_MM("tailSilk", KindForm::tailSilk),
        TOP_SILK_START_MM("topSilk", KindForm::topSilk),
        TOTAL_LENGTH_MM("total", KindForm::total),
        NOTE("note", KindForm::note),
        PRICE("price", KindForm::price),
        CURRENCY("currency", KindForm::currency),
        LIFE_HOURS("lifeHours", KindForm::lifeHours),
        LIFE_MONTHS("lifeMonths", KindForm::lifeMonths);

        private final String field;
        private final Function<KindForm, String> cell;

        Column(String field, Function<KindForm, String> cell) {
            this.field = field;
            this.cell = cell;
        }

        @Override
        public String heading() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** {@return the field of the form it stands for} */
        public String field() {
            return field;
        }
    }

    /** What a table of kinds has to keep to. */
    static final TableRules RULES = new TableRules(
            WaitingFiles.Purpose.STRINGS,
            Stream.of(Column.MAKER, Column.LINE, Column.FAMILY, Column.STRING, Column.CORE)
                    .map(Column::heading)
                    .toList(),
            MOST_ROWS,
            LARGEST_BYTES);

    private KindTable() {}

    private static String inWords(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** {@return kinds as a table, headings first} */
    static String write(List<StringKind> kinds) {
        StringWriter table = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(table, CSVFormat.RFC4180)) {
            printer.printRecord(Arrays.stream(Column.values()).map(Column::heading));
            for (StringKind kind : kinds) {
                KindForm form = KindForm.of(kind);
                printer.printRecord(
                        Arrays.stream(Column.values()).map(column -> Cells.harmless(column.cell.apply(form))));
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return table.toString();
    }

    /**
     * Reads a table.
     *
     * @param text what {@link rosinedpeg.web.platform.TextFile} gave
     * @return what stands in it
     */
    static Read read(String text) {
        TextTable table = TextTable.read(text, MOST_ROWS);
        return new Read(table.rows().stream().map(KindTable::row).toList(), table.unread(List.of(Column.values())));
    }

    private static Row row(TextTable.Row record) {
        Map<Column, String> cells = new EnumMap<>(Column.class);
        for (Column column : Column.values()) {
            cells.put(column, record.get(column));
        }
        Errors errors = new MapBindingResult(new LinkedHashMap<>(), "row");
        Family family = choice(errors, cells, Column.FAMILY, Family.class, Optional.empty());
        Position position = choice(errors, cells, Column.STRING, Position.class, Optional.empty());
        StringCore core = choice(errors, cells, Column.CORE, StringCore.class, Optional.empty());
        Winding winding = choice(errors, cells, Column.WINDING, Winding.class, Optional.of(Winding.NONE));
        StringEnd end = choice(errors, cells, Column.END, StringEnd.class, Optional.of(StringEnd.BALL));
        Pull.Gauge gauge = choice(errors, cells, Column.GAUGE, Pull.Gauge.class, Optional.of(Pull.Gauge.MEDIUM));
        String size = cell(cells, Column.SIZE).replace(" 1/2", "½").replace(".5", "½");
        Optional<Size> known = Size.of(family).stream()
                .filter(one -> size.isBlank() || one.code().equals(size))
                .findFirst();
        if (known.isEmpty()) {
            errors.rejectValue(
                    "size",
                    "kinds.import.size",
                    new Object[] {
                        String.join(
                                ", ", Size.of(family).stream().map(Size::code).toList())
                    },
                    null);
        }
        KindForm form = new KindForm(
                cell(cells, Column.MAKER),
                cell(cells, Column.LINE),
                family + " " + known.orElse(Size.of(family).get(0)).code(),
                position,
                cell(cells, Column.PITCH),
                core,
                winding,
                end,
                cell(cells, Column.DESIGN_LENGTH_MM),
                known(cells),
                cell(cells, Column.TENSION_N),
                cell(cells, Column.MASS_G_PER_M),
                "",
                "",
                "",
                gauge,
                cell(cells, Column.DIAMETER_MM),
                cell(cells, Column.AXIAL_STIFFNESS_N),
                cell(cells, Column.TAIL_SILK_END_MM),
                cell(cells, Column.TOP_SILK_START_MM),
                cell(cells, Column.TOTAL_LENGTH_MM),
                cell(cells, Column.NOTE),
                cell(cells, Column.PRICE),
                cell(cells, Column.CURRENCY),
                cell(cells, Column.LIFE_HOURS),
                cell(cells, Column.LIFE_MONTHS),
                -1);
        Optional<TypedPacket> packet = TypedPacket.read(errors, form);
        return new Row(record.number(), cells, errors, packet.filter(typed -> !errors.hasErrors()));
    }

    private static String cell(Map<Column, String> cells, Column column) {
        return cells.getOrDefault(column, "");
    }

    private static KindForm.Known known(Map<Column, String> cells) {
        if (!cell(cells, Column.TENSION_N).isBlank()) {
            return KindForm.Known.TENSION;
        }
        return cell(cells, Column.MASS_G_PER_M).isBlank() ? KindForm.Known.GAUGE : KindForm.Known.MASS;
    }

    /** Reads a word from a list, in whatever case; what is empty is what is usual, where something is. */
    private static <E extends Enum<E>> E choice(
            Errors errors, Map<Column, String> cells, Column column, Class<E> type, Optional<E> usual) {
        String typed =
                cell(cells, column).toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_');
        E[] all = type.getEnumConstants();
        Optional<E> found = typed.isEmpty()
                ? usual
                : Arrays.stream(all).filter(one -> one.name().equals(typed)).findFirst();
        if (found.isEmpty()) {
            errors.rejectValue(
                    column.field(),
                    "kinds.import.choice",
                    new Object[] {
                        String.join(
                                ", ", Arrays.stream(all).map(KindTable::inWords).toList())
                    },
                    null);
        }
        return found.orElse(all[0]);
    }

    /**
     * A row of a table.
     *
     * @param number which row it is, the headings being the first
     * @param cells what stands in it
     * @param errors what is wrong with it
     * @param packet the string that follows; empty where something is wrong
     */
    record Row(long number, Map<Column, String> cells, Errors errors, Optional<TypedPacket> packet) {}

    /**
     * What stands in a table.
     *
     * @param rows its rows
     * @param unread headings of columns that nothing is known of
     */
    record Read(List<Row> rows, List<String> unread) {}
}
