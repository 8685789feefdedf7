package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.CameOff;
import rosinedpeg.core.wear.Lived;
import rosinedpeg.web.instrument.Reckonings.Reckoning;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/** Every string that was ever on an instrument of the workshop: how long it lasted, how much was played on it, what became of it. */
@Service
@Transactional(readOnly = true)
public class PastStrings {

    private final FittedStringRepository fitted;
    private final Listings listings;
    private final Reckonings reckonings;
    private final StringKinds kinds;

    PastStrings(FittedStringRepository fitted, Listings listings, Reckonings reckonings, StringKinds kinds) {
        this.fitted = fitted;
        this.listings = listings;
        this.reckonings = reckonings;
        this.kinds = kinds;
    }

    /**
     * All that were ever of a kind, as far as they say how long such strings last.
     *
     * @param kindId the kind
     * @param at as of when: those that are on count as good until then, those that went on later do not count
     * @return those of which anybody knows since when they were on and how much was played on them, the first first
     */
    public List<PastString> ofKind(UUID kindId, Instant at) {
        List<FittedStringEntity> strings = fitted.findByKindIdAndFittedAtNotNullOrderByFittedAtAscIdAsc(kindId);
        Reckoning reckoning = reckonings.of(strings.stream()
                .filter(string -> string.removedAt() == null)
                .map(FittedStringEntity::now)
                .toList());
        Map<UUID, Listed> from = from(strings);
        return strings.stream()
                .flatMap(
                        string -> past(string, requireNonNull(from.get(string.instrumentId())), reckoning, at).stream())
                .toList();
    }

    private static Optional<PastString> past(FittedStringEntity string, Listed from, Reckoning reckoning, Instant at) {
        Instant since = requireNonNull(string.fittedAt());
        Instant off = string.removedAt();
        // On an instrument that has left the rack nobody here knows how it went on.
        Instant until = off != null
                ? off
                : Optional.ofNullable(from.retiredAt())
                        .filter(retired -> retired.isBefore(at))
                        .orElse(at);
        Double hours = off != null ? string.hoursPlayed() : null;
        if (off == null && !until.isBefore(since)) {
            hours = reckoning.at(until, string.now(), from).hours();
        }
        if (hours == null) {
            return Optional.empty();
        }
        CameOff why = string.cameOff();
        return Optional.of(new PastString(
                from.id(),
                from.name(),
                string.position(),
                since,
                Optional.ofNullable(off),
                Optional.ofNullable(why),
                Optional.ofNullable(string.brokeWhere()),
                new Lived(hours, OldString.months(since, until), from.demand(), why != null && why.over())));
    }

    /** {@return what became of the strings of each kind that was ever on anything} */
    public Map<UUID, KindPast> ofKinds() {
        return summed(fitted.counts());
    }

    /** {@return the same of some kinds; one that was never on anything is missing} */
    public Map<UUID, KindPast> ofKinds(Collection<UUID> kindIds) {
        return summed(fitted.counts(kindIds));
    }

    private static Map<UUID, KindPast> summed(List<FittedStringRepository.Count> counts) {
        Map<UUID, KindPast> past = new HashMap<>();
        counts.forEach(count -> past.merge(
                count.kindId(),
                new KindPast(
                        count.strings(),
                        count.why() != null && count.why().over() ? count.strings() : 0,
                        count.why() == CameOff.BROKE ? count.strings() : 0),
                (one, other) -> new KindPast(
                        one.strings() + other.strings(), one.over() + other.over(), one.broke() + other.broke())));
        return past;
    }

    /** {@return how many strings of a family broke in use at which place, of those of which it was said} */
    public Map<BreakPlace, Long> brokeAt(Family family) {
        return fitted.brokeAt(family).stream()
                .collect(Collectors.toMap(
                        FittedStringRepository.BrokeAt::where,
                        FittedStringRepository.BrokeAt::strings,
                        Long::sum,
                        () -> new EnumMap<>(BreakPlace.class)));
    }

    /** {@return the instruments on which most strings of a family broke in use, with how many: the worst first, no more than some} */
    public Map<UUID, Long> brokeOn(Family family, int most) {
        return fitted.brokeOn(family, Limit.of(most)).stream()
                .collect(Collectors.toMap(
                        FittedStringRepository.BrokeOn::instrumentId,
                        FittedStringRepository.BrokeOn::strings,
                        Long::sum,
                        LinkedHashMap::new));
    }

    /** {@return the kinds for one place of a family that were ever on anything} */
    public Set<UUID> everOn(Family family, Position position) {
        return fitted.everOn(family, position);
    }

    /**
     * How much was played on some strings by a moment.
     *
     * @param fittedIds the very strings, on or come off
     * @param at the moment; for those that came off before it counts what was played until then
     * @return that, by their ids; what this workshop never had is missing
     */
    public Map<UUID, Played> played(Collection<UUID> fittedIds, Instant at) {
        List<FittedStringEntity> strings = fitted.findAllById(fittedIds);
        Reckoning reckoning =
                reckonings.of(strings.stream().map(FittedStringEntity::now).toList());
        Map<UUID, Listed> from = from(strings);
        return strings.stream().collect(Collectors.toMap(FittedStringEntity::id, string -> {
            Optional<Instant> off = Optional.ofNullable(string.removedAt()).filter(at::isAfter);
            Optional<Double> hours = off.isPresent()
                    ? Optional.ofNullable(string.hoursPlayed())
                    : Optional.ofNullable(string.fittedAt())
                            .map(since -> reckoning
                                    .at(at, string.now(), requireNonNull(from.get(string.instrumentId())))
                                    .hours());
            return new Played(string.instrumentId(), string.kindId(), off.isEmpty(), hours);
        }));
    }

    /** {@return some strings that have come off, by their ids; three queries however many there are} */
    public Map<UUID, OldString> off(Collection<UUID> fittedIds) {
        List<FittedStringEntity> strings = fitted.off(fittedIds.toArray(UUID[]::new));
        Map<UUID, Listed> from = from(strings);
        Map<UUID, StringKind> kindsById =
                kinds.some(strings.stream().map(FittedStringEntity::kindId).collect(Collectors.toSet()));
        return strings.stream()
                .map(string -> OldString.of(
                        string,
                        requireNonNull(from.get(string.instrumentId())),
                        requireNonNull(kindsById.get(string.kindId()))))
                .collect(Collectors.toMap(OldString::fittedId, Function.identity()));
    }

    private Map<UUID, Listed> from(List<FittedStringEntity> strings) {
        return listings.of(
                strings.stream().map(FittedStringEntity::instrumentId).collect(Collectors.toSet()));
    }
}
