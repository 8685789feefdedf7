package rosinedpeg.web.instrument;

import static java.util.Objects.requireNonNull;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;
import rosinedpeg.web.platform.KeptWhileItHolds;
import rosinedpeg.web.platform.NotFoundException;

/**
 * How instruments are strung, kept as they were read last: at the bench that is asked with every press, and changes with one in a hundred.
 * One question tells whether what is kept still holds, where reading it takes four.
 */
@Component
class Stringings {

    /** As many instruments as are worked on at a time; one takes some 10 kB. */
    private static final int INSTRUMENTS = 500;

    private final InstrumentRepository instruments;
    private final MeasurementRepository measurements;
    private final FittedStringRepository fitted;
    private final StringKinds kinds;
    private final KeptWhileItHolds<UUID, Stringing> kept = new KeptWhileItHolds<>(INSTRUMENTS, one -> 1);

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
        return kept.get(id, () -> instruments.editions(id), () -> read(id));
    }

    private Stringing read(UUID id) {
        InstrumentEntity instrument =
                instruments.findById(id).orElseThrow(() -> new NotFoundException("instrument " + id));
        List<FittedNow> on = fitted.now(id);
        Map<UUID, StringKind> known =
                kinds.some(on.stream().map(FittedNow::kindId).collect(Collectors.toSet()));
        List<Stringing.One> strings = on.stream()
                .sorted(Comparator.comparing(FittedNow::position))
                .map(string ->
                        new Stringing.One(string.id(), string.position(), requireNonNull(known.get(string.kindId()))))
                .toList();
        return new Stringing(
                id,
                instrument.name(),
                instrument.setUp(MeasurementEntity.figures(measurements.of(id))),
                strings,
                instrument.coupling(),
                instrument.stuck());
    }
}
