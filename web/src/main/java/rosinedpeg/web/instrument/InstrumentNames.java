package rosinedpeg.web.instrument;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.setup.Size;

/** What the instruments of the workshop are called, and which of them somebody means who says a name. */
@Service
@Transactional(readOnly = true)
public class InstrumentNames {

    private final InstrumentRepository instruments;
    private final Listings listings;

    InstrumentNames(InstrumentRepository instruments, Listings listings) {
        this.instruments = instruments;
        this.listings = listings;
    }

    /** {@return what some instruments are called, by their ids; what this workshop never had is missing} */
    public Map<UUID, String> of(Collection<UUID> ids) {
        return listings.of(ids).values().stream().collect(Collectors.toMap(Listed::id, Listed::name));
    }

    /** {@return what tells some instruments from others, by their ids; what this workshop never had is missing} */
    public Map<UUID, Named> named(Collection<UUID> ids) {
        return listings.of(ids).values().stream()
                .map(one -> new Named(one.id(), one.name(), one.family()))
                .collect(Collectors.toMap(Named::id, Function.identity()));
    }

    /** {@return what the instruments on the rack are called, by their ids and in the order of their names; no more than so many} */
    public Map<UUID, String> onRack(int most) {
        return inOrder(instruments.beginning("", Limit.of(most)));
    }

    /** {@return what those of some instruments are called that are of a size and on the rack, by their ids and in the order of their names; no more than so many} */
    public Map<UUID, String> sized(Collection<UUID> ids, Size size, int most) {
        return ids.isEmpty() ? Map.of() : inOrder(instruments.sized(ids, size.family(), size.code(), Limit.of(most)));
    }

    private static Map<UUID, String> inOrder(List<Listed> listed) {
        return listed.stream()
                .collect(Collectors.toMap(Listed::id, Listed::name, (one, same) -> one, LinkedHashMap::new));
    }

    /**
     * The instruments that somebody means.
     *
     * @param name the name of one, on the rack or not, or how the names of several on the rack begin, whatever their case
     * @param most no more than so many
     * @return their ids: the one that is called so, or else all whose names begin so
     */
    public Set<UUID> meant(String name, int most) {
        String wanted = name.strip();
        if (wanted.isEmpty()) {
            return Set.of();
        }
        return instruments
                .findFirstByNameIgnoreCase(wanted)
                .map(one -> Set.of(one.id()))
                .orElseGet(() -> instruments.beginning(wanted.toLowerCase(Locale.ROOT), Limit.of(most)).stream()
                        .map(Listed::id)
                        .collect(Collectors.toSet()));
    }

    /** {@return whether an instrument of the workshop has that name, on the rack or not} */
    public boolean taken(String name) {
        return instruments.existsByNameIgnoreCase(name);
    }

    /** {@return whether another one than that has that name} */
    public boolean taken(String name, UUID byAnotherThan) {
        return instruments.existsByNameIgnoreCaseAndIdNot(name, byAnotherThan);
    }
}
