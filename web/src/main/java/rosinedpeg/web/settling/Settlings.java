package rosinedpeg.web.settling;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;

/** The strings that are settling. */
@Service
@Transactional(readOnly = true)
public class Settlings {

    /** Not even the slowest fit that readings can give lets a string sink by then. */
    private static final Duration SETTLED_AFTER = Duration.ofDays(60);

    private final SettlingReadingRepository readings;
    private final Instruments instruments;
    private final Clock clock;

    Settlings(SettlingReadingRepository readings, Instruments instruments, Clock clock) {
        this.readings = readings;
        this.instruments = instruments;
        this.clock = clock;
    }

    /** {@return the strings of those instruments that do not yet hold for a concert, newest first; one query} */
    public List<SettlingString> among(Collection<Standing> instruments) {
        Instant now = clock.instant();
        Instant settled = now.minus(SETTLED_AFTER);
        List<SettlingString> young = strings(instruments).stream()
                .filter(string -> string.fittedAt().isAfter(settled))
                .toList();
        return withReadings(young).stream()
                .filter(string -> string.unsteadyAt(now))
                .sorted((a, b) -> b.fittedAt().compareTo(a.fittedAt()))
                .toList();
    }

    /**
     * One string, settling or settled.
     *
     * @throws NotFoundException when no instrument has it on now, or nobody knows since when
     */
    SettlingString get(UUID fittedId) {
        List<SettlingString> one = strings(List.of(instruments.withString(fittedId))).stream()
                .filter(string -> string.fittedId().equals(fittedId))
                .toList();
        return withReadings(one).stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("settling string " + fittedId));
    }

    /** Records a reading; one that was already sent changes nothing. */
    @Transactional
    public void read(UUID fittedId, UUID press, Instant at, double cents, boolean retuned) {
        if (!readings.existsByPress(press)) {
            readings.save(new SettlingReadingEntity(
                    fittedId, press, at, cents, retuned, clock.instant(), CurrentWorkshop.recordedBy()));
        }
    }

    private static List<SettlingString> strings(Collection<Standing> instruments) {
        List<SettlingString> strings = new ArrayList<>();
        for (Standing instrument : instruments) {
            for (StringOn string : instrument.strings()) {
                string.fittedAt()
                        .ifPresent(at -> strings.add(new SettlingString(
                                instrument,
                                string,
                                at,
                                SettlingFit.of(string.kind().spec().core(), List.of()),
                                List.of())));
            }
        }
        return strings;
    }

    private List<SettlingString> withReadings(List<SettlingString> strings) {
        Map<UUID, List<SettlingReadingEntity>> read = readings
                .findByFittedStringIdInOrderByReadAtAscRecordedAtAsc(
                        strings.stream().map(SettlingString::fittedId).toList())
                .stream()
                .collect(Collectors.groupingBy(SettlingReadingEntity::fittedStringId));
        return strings.stream()
                .map(string -> withReadings(string, read.getOrDefault(string.fittedId(), List.of())))
                .toList();
    }

    private static SettlingString withReadings(SettlingString string, List<SettlingReadingEntity> entities) {
        if (entities.isEmpty()) {
            return string;
        }
        StringCore core = string.string().kind().spec().core();
        List<SettlingReading> read = entities.stream()
                .map(entity -> new SettlingReading(string.hoursAt(entity.readAt()), entity.cents(), entity.retuned()))
                .toList();
        SettlingFit fit = SettlingFit.of(core, read);
        SettlingForecast usual = SettlingForecast.usual(core);
        List<Double> losses = SettlingReading.losses(read);
        List<SettlingString.Reading> readings = new ArrayList<>();
        for (int i = 0; i < read.size(); i++) {
            readings.add(new SettlingString.Reading(
                    entities.get(i).readAt(),
                    read.get(i).hours(),
                    read.get(i).cents(),
                    read.get(i).retuned(),
                    losses.get(i),
                    usual.lostCents(read.get(i).hours()),
                    fit.sinkings().get(i)));
        }
        return new SettlingString(string.instrument(), string.string(), string.fittedAt(), fit, readings);
    }
}
