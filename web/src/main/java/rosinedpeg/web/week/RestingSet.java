package rosinedpeg.web.week;

import static java.util.Objects.requireNonNull;

import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.stock.SecondLife;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.web.drawer.Drawer;
import rosinedpeg.web.drawer.InDrawer;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/**
 * The set that rests while another is on: what came off this instrument last and may go on again, else an old string of another of its
 * size, else a new one of the kind that is on.
 */
@Component
class RestingSet {

    private final Drawer drawer;
    private final StringKinds kinds;

    RestingSet(Drawer drawer, StringKinds kinds) {
        this.drawer = drawer;
        this.kinds = kinds;
    }

    /**
     * A string that rests.
     *
     * @param string where it lies
     * @param kind what it is
     * @param wear how far it is used up
     * @param old whether it was on an instrument before
     */
    record Resting(InDrawer string, StringKind kind, Wear wear, boolean old) {}

    /** {@return what of the drawer would be the other set of an instrument; nothing where the drawer has none for a place} */
    Map<Position, Resting> of(Instrument instrument) {
        Set<UUID> fitting = kinds.of(instrument.setUp()).stream()
                .map(StringKind::id)
                .collect(Collectors.toCollection(HashSet::new));
        instrument.strings().forEach(on -> fitting.add(on.kind().id()));
        List<InDrawer> lying = drawer.lying(fitting).values().stream()
                .flatMap(Collection::stream)
                .toList();
        Map<UUID, OldString> were = drawer.were(lying);
        FitCheck check = FitCheck.of(instrument.setUp(), instrument.specs());
        Map<Position, Resting> resting = new EnumMap<>(Position.class);
        for (StringOn on : instrument.strings()) {
            old(instrument, check, on.position(), lying, were)
                    .or(() -> fresh(instrument, on, lying))
                    .ifPresent(string -> resting.put(on.position(), string));
        }
        return resting;
    }

    private static Optional<Resting> old(
            Instrument instrument, FitCheck check, Position position, List<InDrawer> lying, Map<UUID, OldString> were) {
        return lying.stream()
                .filter(string -> Optional.ofNullable(were.get(string.id()))
                        .filter(was -> was.position() == position
                                && was.worn() < instrument.demand().threshold()
                                && was.secondLife(instrument, check) == SecondLife.GOOD)
                        .isPresent())
                .max(Comparator.comparing((InDrawer string) ->
                                was(were, string).instrumentId().equals(instrument.id()))
                        .thenComparing(string -> was(were, string).removedAt())
                        .thenComparing(InDrawer::id))
                .map(string -> {
                    OldString was = was(were, string);
                    return new Resting(string, was.kind(), was.wear().orElseThrow(), true);
                });
    }

    private static OldString was(Map<UUID, OldString> were, InDrawer string) {
        return requireNonNull(were.get(string.id()));
    }

    private static Optional<Resting> fresh(Instrument instrument, StringOn on, List<InDrawer> lying) {
        List<InDrawer> same = lying.stream()
                .filter(string -> string.kindId().equals(on.kind().id()))
                .toList();
        return Drawer.next(same, instrument.id())
                .map(string -> new Resting(
                        string, on.kind(), new Wear(0, 0, 0, on.kind().lasts(instrument.demand())), false));
    }
}
