package rosinedpeg.web.occasions;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.wear.Span;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;

/** The dates the workshop keeps. */
@Service
@Transactional(readOnly = true)
public class Occasions {

    /** So many are looked ahead to where advice is given for each. */
    public static final int NEXT_FEW = 4;

    /** One every evening for half a year. */
    private static final Limit SEASON = Limit.of(200);

    /** More than any year has; what reads dates reads no more at once. */
    private static final Limit MOST = Limit.of(2000);

    private static final List<OccasionKind> PLAYED = Arrays.stream(OccasionKind.values())
            .filter(kind -> kind.asks().isPresent())
            .toList();

    private final OccasionRepository occasions;
    private final OccasionInstrumentRepository playing;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final ReadOnce<UUID, List<Span>> holidays = new ReadOnce<>();
    private final ReadOnce<UUID, List<Occasion>> season = new ReadOnce<>();

    Occasions(
            OccasionRepository occasions,
            OccasionInstrumentRepository playing,
            ApplicationEventPublisher events,
            Clock clock) {
        this.occasions = occasions;
        this.playing = playing;
        this.events = events;
        this.clock = clock;
    }

    /** {@return what is played next, soonest first, at most {@value #NEXT_FEW}} */
    public List<Occasion> toCome() {
        return toCome(Limit.of(NEXT_FEW));
    }

    /** {@return what is still to be played, as far ahead as anybody looks, soonest first} */
    public List<Occasion> season() {
        return season.one(CurrentWorkshop.id(), () -> toCome(SEASON));
    }

    private List<Occasion> toCome(Limit most) {
        return views(occasions.findByKindInAndBeginsAtAfterOrderByBeginsAt(PLAYED, clock.instant(), most));
    }

    /** {@return what lies between two moments at least in part, the earliest first} */
    public List<Occasion> between(Instant from, Instant until) {
        return views(occasions.between(from, until, MOST));
    }

    /** {@return when nobody played, or will not, the earliest first} */
    public List<Span> holidays() {
        return holidays.one(
                CurrentWorkshop.id(),
                () -> occasions.findByKindOrderByBeginsAt(OccasionKind.HOLIDAY, MOST).stream()
                        .map(OccasionEntity::span)
                        .toList());
    }

    /** {@return what is played next on an instrument, soonest first, at most {@value #NEXT_FEW}} */
    public List<Occasion> toCome(UUID instrumentId) {
        return season().stream()
                .filter(one -> one.concerns(instrumentId))
                .limit(NEXT_FEW)
                .toList();
    }

    /**
     * When instruments are played by the dates that name them. A date that names none says nothing of how long one was played.
     *
     * @param instrumentIds the instruments
     * @param since what was over by then is left out
     * @return the dates of each that has any, the earliest first
     */
    public Map<UUID, List<Span>> played(Collection<UUID> instrumentIds, Instant since) {
        return instrumentIds.isEmpty()
                ? Map.of()
                : playing.played(instrumentIds.toArray(UUID[]::new), since, PLAYED).stream()
                        .collect(Collectors.groupingBy(
                                OccasionInstrumentRepository.PlayedOn::getInstrumentId,
                                Collectors.mapping(
                                        one -> new Span(one.getBeginsAt(), one.getEndsAt()), Collectors.toList())));
    }

    private List<Occasion> views(List<OccasionEntity> entities) {
        Map<UUID, Set<UUID>> played = entities.isEmpty()
                ? Map.of()
                : playing.of(entities.stream().map(OccasionEntity::id).toList()).stream()
                        .collect(Collectors.groupingBy(
                                OccasionInstrumentEntity.Key::occasionId,
                                Collectors.mapping(
                                        OccasionInstrumentEntity.Key::instrumentId, Collectors.toUnmodifiableSet())));
        return entities.stream()
                .map(one -> one.view(played.getOrDefault(one.id(), Set.of())))
                .toList();
    }

    private Occasion view(OccasionEntity entity) {
        return views(List.of(entity)).get(0);
    }

    /**
     * One of them.
     *
     * @throws NotFoundException when the workshop has none with that id
     */
    public Occasion get(UUID id) {
        return view(entity(id));
    }

    private OccasionEntity entity(UUID id) {
        return occasions.findById(id).orElseThrow(() -> new NotFoundException("occasion " + id));
    }

    /** {@return how many of the same series begin after it} */
    public int following(Occasion occasion) {
        return occasion.series()
                .map(series -> occasions.ofSeries(series, occasion.beginsAt()).size() - 1)
                .orElse(0);
    }

    /** {@return those of them that the workshop does not have yet, each once; one that begins then under that name is the same} */
    public List<Occasion.What> unknown(Collection<Occasion.What> wanted) {
        if (wanted.isEmpty()) {
            return List.of();
        }
        Instant from = wanted.stream()
                .map(Occasion.What::beginsAt)
                .min(Instant::compareTo)
                .orElseThrow();
        Instant until = wanted.stream()
                .map(Occasion.What::beginsAt)
                .max(Instant::compareTo)
                .orElseThrow();
        Set<Same> there = new HashSet<>();
        between(from, until.plusSeconds(1)).forEach(one -> there.add(Same.of(one.what())));
        return wanted.stream().filter(one -> there.add(Same.of(one))).toList();
    }

    private record Same(Instant beginsAt, String name) {
        private static Same of(Occasion.What what) {
            return new Same(what.beginsAt(), what.name().toLowerCase(Locale.ROOT));
        }
    }

    /**
     * Enters dates, all of them or none; several are a series.
     *
     * @throws DataIntegrityViolationException when one of them is there already
     */
    @Transactional
    public void enter(List<Occasion.What> dates) {
        UUID series = dates.size() > 1 ? UUID.randomUUID() : null;
        List<OccasionEntity> entered =
                dates.stream().map(what -> new OccasionEntity(what, series)).toList();
        occasions.saveAllAndFlush(entered);
        for (int i = 0; i < dates.size(); i++) {
            name(entered.get(i).id(), dates.get(i).instruments());
        }
        tell(dates.stream());
    }

    /** Enters one date. */
    @Transactional
    public void enter(Occasion.What what) {
        enter(List.of(what));
    }

    /**
     * Changes an occasion, and where that is wanted those of its series that come after it: they take on its name, kind, note and
     * times of day, and move by as many days.
     *
     * @param id the occasion
     * @param seen the version that whoever changes it has seen
     * @param what what it becomes
     * @param following whether those after it are changed too
     * @param zone the zone their times of day are in
     * @throws OptimisticLockingFailureException when somebody else has changed it since
     * @throws DataIntegrityViolationException when there is one like it at that moment
     */
    @Transactional
    public void change(UUID id, int seen, Occasion.What what, boolean following, ZoneId zone) {
        OccasionEntity entity = entity(id);
        Occasion before = view(entity);
        if (before.version() != seen) {
            throw new OptimisticLockingFailureException("occasion " + id + " has been changed meanwhile");
        }
        List<OccasionEntity> all = new ArrayList<>(List.of(entity));
        long days = ChronoUnit.DAYS.between(day(before.beginsAt(), zone), day(what.beginsAt(), zone));
        if (following) {
            Optional<UUID> series = before.series();
            series.ifPresent(one -> {
                all.clear();
                all.addAll(occasions.ofSeries(one, before.beginsAt()));
            });
        }
        boolean later = what.beginsAt().isAfter(before.beginsAt());
        // One after the other, so that none is moved to where the next still stands.
        for (int i = 0; i < all.size(); i++) {
            OccasionEntity one = all.get(later ? all.size() - 1 - i : i);
            one.become(one == entity ? what : moved(one.beginsAt(), what, days, zone));
            occasions.saveAndFlush(one);
        }
        if (!before.what().instruments().equals(what.instruments()) || all.size() > 1) {
            List<UUID> ids = all.stream().map(OccasionEntity::id).toList();
            playing.deleteByKeyOccasionIdIn(ids);
            playing.flush();
            ids.forEach(one -> name(one, what.instruments()));
        }
        tell(Stream.of(before.what(), what));
    }

    private void name(UUID occasionId, Set<UUID> instruments) {
        instruments.forEach(one -> playing.save(new OccasionInstrumentEntity(occasionId, one)));
    }

    /** What instruments were played follows from when nobody plays, and from the dates that name them. */
    private void tell(Stream<Occasion.What> changed) {
        Set<UUID> named = new HashSet<>();
        Set<OccasionKind> kinds = EnumSet.noneOf(OccasionKind.class);
        changed.forEach(one -> {
            named.addAll(one.instruments());
            kinds.add(one.kind());
        });
        if (kinds.contains(OccasionKind.HOLIDAY)) {
            events.publishEvent(new HolidaysChanged());
        }
        if (!named.isEmpty()) {
            events.publishEvent(new PlayedOtherwise(Set.copyOf(named)));
        }
    }

    private static LocalDate day(Instant moment, ZoneId zone) {
        return moment.atZone(zone).toLocalDate();
    }

    private static Occasion.What moved(Instant beginsAt, Occasion.What like, long days, ZoneId zone) {
        Instant begins = day(beginsAt, zone)
                .plusDays(days)
                .atTime(like.beginsAt().atZone(zone).toLocalTime())
                .atZone(zone)
                .toInstant();
        return new Occasion.What(
                like.kind(),
                like.name(),
                like.note(),
                begins,
                begins.plus(Duration.between(like.beginsAt(), like.endsAt())),
                like.instruments());
    }

    /** Takes out an occasion, and where that is wanted those of its series that come after it. */
    @Transactional
    public void remove(UUID id, boolean following) {
        OccasionEntity entity = entity(id);
        Occasion one = view(entity);
        if (following && one.series().isPresent()) {
            occasions.deleteAll(occasions.ofSeries(one.series().get(), one.beginsAt()));
        } else {
            occasions.delete(entity);
        }
        tell(Stream.of(one.what()));
    }
}
