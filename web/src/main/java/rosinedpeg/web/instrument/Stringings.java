package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import rosinedpeg.web.instrument.InstrumentRepository.Edition;
import rosinedpeg.web.kinds.LearnedFactors;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.NotFoundException;

/**
 * How instruments are strung, kept as they were read last: at the bench that is asked with every press, and changes with one in a hundred.
 * One question tells whether what is kept still holds, where reading it takes four.
 */
@Component
class Stringings {

    /** As many instruments as are worked on at a time; one takes some 10 kB. */
    private static final int INSTRUMENTS = 500;

    /**
     * Versions count up: after a backup was restored beneath a running server the same one may stand for something else. That is told after
     * so long at the latest.
     */
    private static final Duration KEPT = Duration.ofMinutes(10);

    private final InstrumentRepository instruments;
    private final MeasurementRepository measurements;
    private final FittedStringRepository fitted;
    private final StringKinds kinds;

    private final Cache<UUID, Kept> kept = Caffeine.newBuilder()
            .maximumSize(INSTRUMENTS)
            .expireAfterWrite(KEPT)
            .build();

    private record Kept(Set<Edition> editions, Stringing stringing) {}

    Stringings(
            InstrumentRepository instruments,
            MeasurementRepository measurements,
            FittedStringRepository fitted,
            StringKinds kinds) {
        this.instruments = instruments;
        this.measurements = measurements;
        this.fitted = fitted;
        this.kinds = kinds;
    }

    /**
     * How one instrument is strung.
     *
     * @throws NotFoundException when this workshop has none with that id
     */
    @Transactional(readOnly = true, propagation = Propagation.MANDATORY)
    public Stringing of(UUID id) {
        // What somebody is about to change may never come to be, and its version be another's afterwards.
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return read(id).stringing();
        }
        Kept last = kept.getIfPresent(id);
        if (last != null && last.editions().equals(instruments.editions(id))) {
            return last.stringing();
        }
        Kept now = read(id);
        kept.put(id, now);
        return now.stringing();
    }

    private Kept read(UUID id) {
        InstrumentEntity instrument =
                instruments.findById(id).orElseThrow(() -> new NotFoundException("instrument " + id));
        List<MeasurementEntity> measured = measurements.of(id);
        List<FittedNow> on = fitted.now(id);
        Map<UUID, StringKind> known =
                kinds.some(on.stream().map(FittedNow::kindId).collect(Collectors.toSet()));
        List<Stringing.One> strings = on.stream()
                .sorted(Comparator.comparing(FittedNow::position))
                .map(string ->
                        new Stringing.One(string.id(), string.position(), requireNonNull(known.get(string.kindId()))))
                .toList();
        return new Kept(
                editions(instrument.version(), measured.size(), strings),
                new Stringing(
                        id,
                        instrument.name(),
                        instrument.setUp(MeasurementEntity.figures(measured)),
                        strings,
                        instrument.coupling(),
                        instrument.stuck()));
    }

    /** What was read, as the question whether it still holds tells it. */
    private static Set<Edition> editions(int instrument, long measurements, List<Stringing.One> strings) {
        return strings.isEmpty()
                ? Set.of(new Edition(instrument, measurements, null, null, null, null))
                : strings.stream()
                        .map(on -> new Edition(
                                instrument,
                                measurements,
                                on.fittedId(),
                                on.kind().id(),
                                on.kind().version(),
                                on.kind().learned().map(LearnedFactors::at).orElse(null)))
                        .collect(Collectors.toSet());
    }
}
