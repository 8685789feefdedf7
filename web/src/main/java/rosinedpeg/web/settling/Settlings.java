package rosinedpeg.web.settling;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.web.instrument.InstrumentBroughtBack;
import rosinedpeg.web.instrument.InstrumentRetired;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.instrument.StringFitted;
import rosinedpeg.web.instrument.StringOn;
import rosinedpeg.web.instrument.StringTakenOff;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.ListPage;
import rosinedpeg.web.platform.NotFoundException;

/** The strings that are settling. */
@Service
@Transactional(readOnly = true)
public class Settlings {

    /** Not even the slowest fit that readings can give lets a string sink by then. */
    public static final Duration SETTLED_AFTER = Duration.ofDays(60);

    private final SettlingStringRepository kept;
    private final SettlingReadingRepository readings;
    private final Instruments instruments;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Settlings(
            SettlingStringRepository kept,
            SettlingReadingRepository readings,
            Instruments instruments,
            ApplicationEventPublisher events,
            Clock clock) {
        this.kept = kept;
        this.readings = readings;
        this.instruments = instruments;
        this.events = events;
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
     * The strings that do not yet hold for a concert, or the part of them that fits on a page, newest first.
     *
     * @param from how many come before
     * @return those
     */
    @Transactional
    ListPage<SettlingString> page(int from) {
        workOut();
        ListPage<UUID> page = ListPage.of(kept.unsteady(clock.instant(), ListPage.after(from)));
        Map<UUID, SettlingString> strings = get(page.shown());
        return page.flatMap(id -> Optional.ofNullable(strings.get(id)));
    }

    /** {@return the strings that are so new that they may still settle, the newest first, and no more than so many} */
    public List<SettlingString> young(int most) {
        List<UUID> ids = kept.since(clock.instant().minus(SETTLED_AFTER), Limit.of(most));
        Map<UUID, SettlingString> strings = get(ids);
        return ids.stream()
                .flatMap(id -> Optional.ofNullable(strings.get(id)).stream())
                .toList();
    }

    /** Works out until when those strings settle that have been fitted or read since the last look. */
    private void workOut() {
        List<SettlingStringEntity> open = kept.findBySteadyAtIsNull();
        Map<UUID, SettlingString> strings =
                get(open.stream().map(SettlingStringEntity::fittedStringId).toList());
        for (SettlingStringEntity one : open) {
            SettlingString string = strings.get(one.fittedStringId());
            if (string != null) {
                one.holdsFrom(string.steadyAt(Steadiness.CONCERT));
            }
        }
    }

    /** A new string is watched from the moment it is on. */
    @EventListener
    void fitted(StringFitted string) {
        string.fittedAt().ifPresent(at -> kept.save(new SettlingStringEntity(string.fittedId(), at)));
    }

    /** Nobody tunes what has left the rack. */
    @EventListener
    void retired(InstrumentRetired instrument) {
        kept.deleteAllById(instrument.fittedIds());
    }

    /** What is on the rack again is watched again, where its strings are young enough. */
    @EventListener
    void broughtBack(InstrumentBroughtBack instrument) {
        Instant settled = clock.instant().minus(SETTLED_AFTER);
        instrument.fittedAt().forEach((fittedId, at) -> {
            if (at.isAfter(settled)) {
                kept.save(new SettlingStringEntity(fittedId, at));
            }
        });
    }

    /** What has come off settles no more. */
    @EventListener
    void takenOff(StringTakenOff string) {
        kept.deleteById(string.fittedId());
    }

    /** {@return the strings of the instrument that has one on} */
    Map<Position, StringSpec> strings(SettlingString string) {
        Map<Position, StringSpec> strings = new EnumMap<>(Position.class);
        string.instrument()
                .strings()
                .forEach(one -> strings.put(one.position(), one.kind().spec()));
        return strings;
    }

    /**
     * One string, settling or settled.
     *
     * @throws NotFoundException when no instrument has it on now, or nobody knows since when
     */
    SettlingString get(UUID fittedId) {
        return Optional.ofNullable(get(List.of(fittedId)).get(fittedId))
                .orElseThrow(() -> new NotFoundException("settling string " + fittedId));
    }

    /** {@return some strings by their ids, as far as an instrument has them on now and somebody knows since when; settled ones too} */
    public Map<UUID, SettlingString> get(Collection<UUID> fittedIds) {
        List<SettlingString> on = new ArrayList<>();
        instruments
                .withStrings(fittedIds)
                .forEach((fittedId, standing) -> standing.strings().stream()
                        .filter(string -> string.fittedId().equals(fittedId))
                        .forEach(string -> unread(standing, string).ifPresent(on::add)));
        return withReadings(on).stream().collect(Collectors.toMap(SettlingString::fittedId, Function.identity()));
    }

    /** Records a reading; one that was already sent changes nothing. */
    @Transactional
    public void read(UUID fittedId, UUID press, Instant at, double cents, boolean retuned) {
        if (readings.existsByPress(press)) {
            return;
        }
        readings.saveAndFlush(new SettlingReadingEntity(
                fittedId, press, at, cents, retuned, clock.instant(), CurrentWorkshop.person()));
        kept.open(fittedId);
        events.publishEvent(new StringRead(get(fittedId).instrument().id(), fittedId));
    }

    /** Takes a reading back; one that was taken back already, or is of another string, changes nothing. */
    @Transactional
    public void takeBack(UUID fittedId, UUID readingId) {
        readings.findByIdAndFittedStringIdAndTakenBackAtIsNull(readingId, fittedId)
                .ifPresent(reading -> {
                    reading.takeBack(clock.instant(), CurrentWorkshop.person());
                    kept.open(fittedId);
                    events.publishEvent(
                            new StringRead(get(fittedId).instrument().id(), fittedId));
                });
    }

    private static List<SettlingString> strings(Collection<Standing> instruments) {
        List<SettlingString> strings = new ArrayList<>();
        for (Standing instrument : instruments) {
            for (StringOn string : instrument.strings()) {
                unread(instrument, string).ifPresent(strings::add);
            }
        }
        return strings;
    }

    /** {@return a string as if it had never been read; empty where nobody knows since when it is on} */
    private static Optional<SettlingString> unread(Standing instrument, StringOn string) {
        return string.fittedAt()
                .map(at -> new SettlingString(
                        instrument,
                        string,
                        at,
                        SettlingFit.of(string.kind().spec().core(), List.of()),
                        List.of()));
    }

    private List<SettlingString> withReadings(List<SettlingString> strings) {
        if (strings.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<SettlingReadingEntity>> read = readings
                .findByFittedStringIdInAndTakenBackAtIsNullOrderByReadAtAscRecordedAtAsc(
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
                    entities.get(i).id(),
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
