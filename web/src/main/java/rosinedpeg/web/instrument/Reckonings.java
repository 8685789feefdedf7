package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import rosinedpeg.core.wear.Span;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.occasions.Occasions;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Brings together what it takes to say how worn strings are: three queries however many there are. */
@Component
class Reckonings {

    private final StringKinds kinds;
    private final Occasions occasions;

    Reckonings(StringKinds kinds, Occasions occasions) {
        this.kinds = kinds;
        this.occasions = occasions;
    }

    /** {@return what the wear of some strings is reckoned with} */
    Reckoning of(Collection<FittedNow> strings) {
        Set<UUID> kindIds = strings.stream().map(FittedNow::kindId).collect(Collectors.toSet());
        Set<UUID> on = strings.stream().map(FittedNow::instrumentId).collect(Collectors.toSet());
        return new Reckoning(
                kinds.some(kindIds),
                occasions.holidays(),
                strings.stream()
                        .flatMap(string -> Stream.ofNullable(string.countedFrom()))
                        .min(Comparator.naturalOrder())
                        .map(since -> occasions.played(on, since))
                        .orElse(Map.of()),
                CurrentWorkshop.zone());
    }

    /**
     * What the wear of strings is reckoned with.
     *
     * @param kinds the kinds of string
     * @param holidays when nobody plays
     * @param played when each instrument is played, by the dates that name it
     * @param zone where a week begins on Monday
     */
    record Reckoning(Map<UUID, StringKind> kinds, List<Span> holidays, Map<UUID, List<Span>> played, ZoneId zone) {

        /** {@return one of those strings as it is at a moment, on the instrument that it is on} */
        StringOn at(Instant moment, FittedNow string, Listed on) {
            return StringOn.of(
                    string,
                    requireNonNull(kinds.get(string.kindId())),
                    new StringOn.Playing(
                            on.hoursPerWeek(), on.demand(), holidays, played.getOrDefault(on.id(), List.of()), zone),
                    moment);
        }
    }
}
