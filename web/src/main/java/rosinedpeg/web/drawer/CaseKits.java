package rosinedpeg.web.drawer;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toMap;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.kinds.StringKind;

/** What is to lie in the case of each instrument, and what does. */
@Service
@Transactional(readOnly = true)
public class CaseKits {

    /** So many of one string lie in a case at most. */
    static final int MOST = 9;

    private final CaseKitRepository kits;
    private final DrawerStringRepository strings;
    private final Instruments instruments;

    CaseKits(CaseKitRepository kits, DrawerStringRepository strings, Instruments instruments) {
        this.kits = kits;
        this.strings = strings;
        this.instruments = instruments;
    }

    /** {@return what is to lie in the cases of the rack, of strings of which it is known what is on} */
    public List<WantedInCase> wanted() {
        return kits.wanted();
    }

    /**
     * A case in which something is to lie.
     *
     * @param instrumentId of which instrument
     * @param instrument what that is called
     * @param wanted how many strings are to lie in it
     * @param missing how many of them do not
     */
    public record Stocked(UUID instrumentId, String instrument, int wanted, int missing) {

        private static Stocked of(List<WantedInCase> ofOne, Map<Position, Long> lying) {
            return new Stocked(
                    ofOne.get(0).instrumentId(),
                    ofOne.get(0).instrument(),
                    ofOne.stream().mapToInt(WantedInCase::strings).sum(),
                    ofOne.stream()
                            .mapToInt(one -> Math.max(
                                    0,
                                    one.strings()
                                            - lying.getOrDefault(one.position(), 0L)
                                                    .intValue()))
                            .sum());
        }
    }

    /** {@return the cases of the rack in which anything is to lie, by the names of their instruments} */
    public List<Stocked> stocked() {
        Map<UUID, Map<Position, Long>> lying = strings.inCases().stream()
                .collect(groupingBy(
                        DrawerStringRepository.InCase::instrumentId,
                        toMap(DrawerStringRepository.InCase::position, DrawerStringRepository.InCase::strings)));
        return wanted().stream()
                .collect(groupingBy(WantedInCase::instrumentId, LinkedHashMap::new, toList()))
                .values()
                .stream()
                .map(ofOne -> Stocked.of(ofOne, lying.getOrDefault(ofOne.get(0).instrumentId(), Map.of())))
                .toList();
    }

    /** {@return how many for each place are to lie in the case of an instrument; a place of which none is, is missing} */
    Map<Position, Integer> wanted(UUID instrumentId) {
        Map<Position, Integer> wanted = new EnumMap<>(Position.class);
        kits.findByInstrumentIdOrderByPosition(instrumentId).forEach(kit -> wanted.put(kit.position(), kit.strings()));
        return wanted;
    }

    /** {@return what lies in the case of an instrument} */
    List<InDrawer> lying(UUID instrumentId) {
        return strings.inCase(instrumentId).stream()
                .map(DrawerStringEntity::view)
                .toList();
    }

    /**
     * Says what is to lie in the case of an instrument.
     *
     * @param instrumentId the instrument
     * @param wanted how many for each place, 0 to {@value #MOST}
     */
    @Transactional
    public void want(UUID instrumentId, Map<Position, Integer> wanted) {
        instruments.require(instrumentId);
        Map<Position, CaseKitEntity> there = kits.findByInstrumentIdOrderByPosition(instrumentId).stream()
                .collect(toMap(CaseKitEntity::position, Function.identity()));
        wanted.forEach((position, many) -> {
            CaseKitEntity kit = there.get(position);
            if (many == 0 && kit != null) {
                kits.delete(kit);
            } else if (many > 0 && kit != null) {
                kit.strings(many);
            } else if (many > 0) {
                kits.save(new CaseKitEntity(instrumentId, position, many));
            }
        });
        kits.flush();
    }

    /**
     * Puts a new string of a kind from the drawer into the case of an instrument, the oldest there is.
     *
     * @return that; empty where none lies in the drawer, or so many lie in the case as are to
     */
    @Transactional
    Optional<InDrawer> put(UUID instrumentId, StringKind kind) {
        instruments.require(instrumentId);
        Position position = kind.spec().position();
        int wanted = kits.findToFill(instrumentId, position)
                .map(CaseKitEntity::strings)
                .orElse(0);
        if (strings.countInCase(instrumentId, position) >= wanted) {
            return Optional.empty();
        }
        Optional<DrawerStringEntity> next = strings.lying(List.of(kind.id())).stream()
                .filter(string -> !string.view().old() && string.view().caseOf() == null)
                .map(string -> strings.takeable(string.id()))
                .flatMap(Optional::stream)
                .findFirst();
        next.ifPresent(string -> string.move("", instrumentId));
        return next.map(DrawerStringEntity::view);
    }
}
