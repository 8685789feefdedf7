package rosinedpeg.web.drawer;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.kinds.StringKind;

/**
 * The drawer as it is looked into: one family of instruments, a row for each set, a column for each string.
 *
 * @param family the instruments
 * @param families every family of which anything is kept or asked for
 * @param columns the strings it has
 * @param rows the sets
 */
record Shelf(Family family, List<Family> families, List<Position> columns, List<Row> rows) {

    /** {@return how many compartments are empty, or hold fewer than they should} */
    public long wanting() {
        return rows.stream()
                .flatMap(row -> row.compartments().values().stream())
                .flatMap(List::stream)
                .filter(one -> one.level() == Level.EMPTY || one.level() == Level.LOW)
                .count();
    }

    /**
     * The strings of one set.
     *
     * @param kind one of them, which says what the set is called
     * @param compartments where they lie, by their place on the instrument; several where it is made with several ends
     */
    record Row(StringKind kind, Map<Position, List<Compartment>> compartments) {}

    /**
     * Where one kind of string lies.
     *
     * @param kind the kind
     * @param packets how many new ones lie there
     * @param inCases how many of them lie in the cases of instruments
     * @param old how many old ones lie there
     * @param ready how many new ones should
     * @param said whether somebody said so many, or it is the usual number
     * @param level how well it is filled
     * @param oldest when the oldest new one was bought, if that is known of any
     */
    record Compartment(
            StringKind kind,
            int packets,
            int inCases,
            int old,
            int ready,
            boolean said,
            Level level,
            Optional<LocalDate> oldest) {

        static Compartment of(StringKind kind, List<Heap> heaps, boolean inUse) {
            int packets = count(heaps, false);
            int ready = Level.ready(kind.ready(), inUse);
            return new Compartment(
                    kind,
                    packets,
                    (int) heaps.stream()
                            .filter(heap -> heap.inCases() && !heap.old())
                            .mapToLong(Heap::count)
                            .sum(),
                    count(heaps, true),
                    ready,
                    kind.ready().isPresent(),
                    Level.of(packets, ready),
                    heaps.stream()
                            .filter(heap -> !heap.old())
                            .flatMap(heap -> Optional.ofNullable(heap.oldest()).stream())
                            .min(LocalDate::compareTo));
        }

        private static int count(List<Heap> heaps, boolean old) {
            return (int) heaps.stream()
                    .filter(heap -> heap.old() == old)
                    .mapToLong(Heap::count)
                    .sum();
        }

        /** {@return whether anything lies there, or should} */
        boolean isKept() {
            return packets > 0 || old > 0 || ready > 0;
        }

        UUID id() {
            return kind.id();
        }
    }
}
