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
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.dates.OccasionKind;
import rosinedpeg.core.wear.PlayingTime;
import rosinedpeg.web.platform.NotFoundException;

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
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Occasions(OccasionRepository occasions, ApplicationEventPublisher events, Clock clock) {
        this.occasions = occasions;
        this.events = events;
        this.clock = clock;
    }

    /** {@return what is played next, soonest first, at most {@value #NEXT_FEW}} */
    public List<Occasion> toCome() {
        return toCome(Limit.of(NEXT_FEW));
    }

    /** {@return what is still to be played, as far ahead as anybody looks, soonest first} */
    public List<Occasion> season() {
        return toCome(SEASON);
    }

    private List<Occasion> toCome(Limit most) {
        return views(occasions.findByKindInAndBeginsAtAfterOrderByBeginsAt(PLAYED, clock.instant(), most));
    }

    /** {@return what lies between two moments at least in part, the earliest first} */
    public List<Occasion> between(Instant from, Instant until) {
        return views(occasions.between(from, until, MOST));
    }

    /** {@return when nobody played, or will not, the earliest first} */
    public List<PlayingTime.Holiday> holidays() {
        return occasions.findByKindOrderByBeginsAt(OccasionKind.HOLIDAY, MOST).stream()
                .map(OccasionEntity::view)
                .map(one -> new PlayingTime.Holiday(one.beginsAt(), one.what().endsAt()))
                .toList();
    }

    private static List<Occasion> views(List<OccasionEntity> entities) {
        return entities.stream().map(OccasionEntity::view).toList();
    }

    /**
     * One of them.
     *
     * @throws NotFoundException when the workshop has none with that id
     */
    public Occasion get(UUID id) {
        return entity(id).view();
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
        occasions.saveAllAndFlush(
                dates.stream().map(what -> new OccasionEntity(what, series)).toList());
        tell(dates.stream().map(Occasion.What::kind));
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
        Occasion before = entity.view();
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
            one.become(one == entity ? what : moved(one.view().what(), what, days, zone));
            occasions.saveAndFlush(one);
        }
        tell(Stream.of(before.kind(), what.kind()));
    }

    /** What instruments were played follows from when nobody plays. */
    private void tell(Stream<OccasionKind> changed) {
        if (changed.anyMatch(kind -> kind == OccasionKind.HOLIDAY)) {
            events.publishEvent(new HolidaysChanged());
        }
    }

    private static LocalDate day(Instant moment, ZoneId zone) {
        return moment.atZone(zone).toLocalDate();
    }

    private static Occasion.What moved(Occasion.What one, Occasion.What like, long days, ZoneId zone) {
        Instant begins = day(one.beginsAt(), zone)
                .plusDays(days)
                .atTime(like.beginsAt().atZone(zone).toLocalTime())
                .atZone(zone)
                .toInstant();
        return new Occasion.What(
                like.kind(),
                like.name(),
                like.note(),
                begins,
                begins.plus(Duration.between(like.beginsAt(), like.endsAt())));
    }

    /** Takes out an occasion, and where that is wanted those of its series that come after it. */
    @Transactional
    public void remove(UUID id, boolean following) {
        OccasionEntity entity = entity(id);
        Occasion one = entity.view();
        if (following && one.series().isPresent()) {
            occasions.deleteAll(occasions.ofSeries(one.series().get(), one.beginsAt()));
        } else {
            occasions.delete(entity);
        }
        tell(Stream.of(one.kind()));
    }
}
