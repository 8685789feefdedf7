package rosinedpeg.web.drawer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/** Looks into the drawer; three queries however much lies there. */
@Service
@Transactional(readOnly = true)
class Shelves {

    private static final Comparator<StringKind> AS_THEY_LIE = Comparator.comparing(StringKind::isUsual)
            .thenComparing(StringKind::maker, String.CASE_INSENSITIVE_ORDER)
            .thenComparing(StringKind::line, String.CASE_INSENSITIVE_ORDER)
            .thenComparing(kind -> kind.madeFor().vibratingLengthMm(), Comparator.reverseOrder())
            .thenComparing(kind -> kind.spec().position())
            .thenComparing(kind -> kind.spec().end());

    private final Drawer drawer;
    private final StringKinds kinds;
    private final Instruments instruments;

    Shelves(Drawer drawer, StringKinds kinds, Instruments instruments) {
        this.drawer = drawer;
        this.kinds = kinds;
        this.instruments = instruments;
    }

    /** {@return what lies of each kind that is kept or asked for, in the order it lies in} */
    private List<Shelf.Compartment> compartments() {
        Map<UUID, List<Heap>> heaps = drawer.heaps().stream().collect(Collectors.groupingBy(Heap::kindId));
        Set<UUID> on = instruments.kindsOn();
        return kinds.all().values().stream()
                .filter(kind -> !kind.isUsual() || heaps.containsKey(kind.id()))
                .sorted(AS_THEY_LIE)
                .map(kind -> Shelf.Compartment.of(
                        kind, heaps.getOrDefault(kind.id(), List.of()), on.contains(kind.id()) && !kind.isUsual()))
                .toList();
    }

    /** {@return where a kind lies} */
    Shelf.Compartment of(StringKind kind) {
        return Shelf.Compartment.of(
                kind,
                drawer.heaps().stream()
                        .filter(heap -> heap.kindId().equals(kind.id()))
                        .toList(),
                instruments.kindsOn().contains(kind.id()) && !kind.isUsual());
    }

    /** {@return the drawer of one family; of the first that has anything when that has nothing, or none is named} */
    Optional<Shelf> of(Optional<Family> wanted) {
        Map<Family, List<Shelf.Compartment>> kept = new TreeMap<>(compartments().stream()
                .filter(Shelf.Compartment::isKept)
                .collect(Collectors.groupingBy(one -> one.kind().family())));
        if (kept.isEmpty()) {
            return Optional.empty();
        }
        List<Family> families = List.copyOf(kept.keySet());
        Family family = wanted.filter(kept::containsKey).orElse(families.get(0));
        Map<List<Object>, List<Shelf.Compartment>> sets = kept.getOrDefault(family, List.of()).stream()
                .collect(Collectors.groupingBy(one -> set(one.kind()), LinkedHashMap::new, Collectors.toList()));
        int strings = kept.getOrDefault(family, List.of()).stream()
                .mapToInt(one -> one.kind().spec().position().number())
                .reduce(family.openStrings().size(), Math::max);
        return Optional.of(new Shelf(
                family,
                families,
                List.of(Position.values()).subList(0, strings),
                sets.values().stream().map(Shelves::row).toList()));
    }

    /** What strings that lie in one row have in common. */
    private static List<Object> set(StringKind kind) {
        return kind.isUsual()
                ? List.of("", kind.spec().core(), kind.madeFor())
                : List.of(kind.maker(), kind.line(), kind.madeFor());
    }

    private static Shelf.Row row(List<Shelf.Compartment> ofSet) {
        Map<Position, List<Shelf.Compartment>> places = new EnumMap<>(Position.class);
        ofSet.forEach(one -> places.computeIfAbsent(one.kind().spec().position(), none -> new ArrayList<>())
                .add(one));
        return new Shelf.Row(ofSet.get(0).kind(), places);
    }
}
