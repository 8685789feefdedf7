package rosinedpeg.web.week;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import rosinedpeg.core.plan.PlanKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.RunFinished;
import rosinedpeg.web.instrument.InstrumentNames;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.instrument.Standing;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.NotFoundException;
import rosinedpeg.web.platform.ReadOnce;

/** What people ask for, and when instruments are not at hand. */
@Service
@Transactional(readOnly = true)
public class Wishes implements NotAtHand {

    private final WishRepository wishes;
    private final AwayRepository away;
    private final Instruments instruments;
    private final InstrumentNames instrumentNames;
    private final Clock clock;
    private final ReadOnce<UUID, List<WishEntity>> asked = new ReadOnce<>();

    Wishes(
            WishRepository wishes,
            AwayRepository away,
            Instruments instruments,
            InstrumentNames instrumentNames,
            Clock clock) {
        this.wishes = wishes;
        this.away = away;
        this.instruments = instruments;
        this.instrumentNames = instrumentNames;
        this.clock = clock;
    }

    /** {@return what is asked for and not done, the longest wished first; strings that went on since count as done} */
    List<Wish> open() {
        List<WishEntity> open = asked();
        var standings = instruments.standings(
                open.stream().map(WishEntity::instrumentId).distinct().toList());
        return open.stream()
                .filter(wish -> !isDone(wish, standings.get(wish.instrumentId())))
                .map(Wishes::view)
                .toList();
    }

    /** {@return on which instruments anything is asked for, done by now or not} */
    Set<UUID> instruments() {
        return asked().stream().map(WishEntity::instrumentId).collect(Collectors.toSet());
    }

    private List<WishEntity> asked() {
        return asked.one(
                CurrentWorkshop.id(), () -> wishes.findByDoneAtIsNullOrderByWishedAtAscId(Limit.of(Wish.MOST)));
    }

    private static boolean isDone(WishEntity wish, @Nullable Standing standing) {
        return wish.kind() == WishKind.STRINGS
                && standing != null
                && standing.strings().stream()
                        .filter(string -> wish.strings().contains(string.position()))
                        .allMatch(string -> string.fittedAt()
                                .filter(wish.wishedAt()::isBefore)
                                .isPresent());
    }

    private static Wish view(WishEntity wish) {
        return new Wish(
                wish.id(),
                wish.instrumentId(),
                wish.kind(),
                wish.strings(),
                wish.note(),
                wish.minutes(),
                Optional.ofNullable(wish.fromDay()),
                Optional.ofNullable(wish.byDay()),
                wish.wishedBy());
    }

    /** {@return how much is asked for} */
    long count() {
        return wishes.count();
    }

    /**
     * Somebody asks for work.
     *
     * @param press the press that this is, which becomes its id; sent twice it is asked for once
     * @param instrumentId on which instrument
     * @param kind what
     * @param strings which strings, where it is strings
     * @param note what somebody says of it; may be empty
     * @param minutes how long it takes, where nothing else says it
     * @param fromDay the first day it is wanted on; null where it is wanted at once
     * @param byDay the last day it is in time; null where there is none
     */
    @Transactional
    public void ask(
            UUID press,
            UUID instrumentId,
            WishKind kind,
            Collection<Position> strings,
            String note,
            @Nullable Integer minutes,
            @Nullable LocalDate fromDay,
            @Nullable LocalDate byDay) {
        instruments.require(instrumentId);
        if (!wishes.existsById(press)) {
            wishes.saveAndFlush(new WishEntity(
                    press,
                    instrumentId,
                    kind,
                    strings,
                    note,
                    minutes,
                    fromDay,
                    byDay,
                    clock.instant(),
                    CurrentWorkshop.person()));
        }
    }

    /** Pegs that were treated at the bench are not asked for any more; strings that went on are seen on the instrument itself. */
    @EventListener
    @Transactional
    void note(RunFinished event) {
        if (event.done().filter(PlanKind.PEG_SERVICE::equals).isPresent()) {
            wishes.findByInstrumentIdAndKindAndDoneAtIsNull(event.instrumentId(), WishKind.PEG_SERVICE)
                    .forEach(wish -> wish.done(clock.instant()));
        }
    }

    /** What was asked for is done; a second time changes nothing. */
    @Transactional
    void done(UUID id) {
        wishes.findById(id)
                .orElseThrow(() -> new NotFoundException("wish " + id))
                .done(clock.instant());
    }

    /**
     * Days on which an instrument is not at hand.
     *
     * @param id of this entry
     * @param instrumentId which instrument
     * @param instrument what that is called
     * @param from the first day
     * @param until the last day
     * @param why why; may be empty
     */
    record Away(UUID id, UUID instrumentId, String instrument, LocalDate from, LocalDate until, String why) {}

    /** {@return when instruments are not at hand, from today on} */
    List<Away> away() {
        List<AwayEntity> all = away.findByUntilDayGreaterThanEqualOrderByFromDayAscId(
                CurrentWorkshop.today(clock), Limit.of(Wish.MOST));
        var names = instrumentNames.of(
                all.stream().map(AwayEntity::instrumentId).distinct().toList());
        return all.stream()
                .map(one -> new Away(
                        one.id(),
                        one.instrumentId(),
                        names.getOrDefault(one.instrumentId(), ""),
                        one.fromDay(),
                        one.untilDay(),
                        one.why()))
                .toList();
    }

    @Override
    public List<Days> notAtHand(Collection<UUID> instrumentIds, LocalDate from, LocalDate until) {
        return away.between(from, until, instrumentIds.toArray(UUID[]::new)).stream()
                .map(one -> new Days(one.instrumentId(), one.fromDay(), one.untilDay(), one.why()))
                .toList();
    }

    /**
     * An instrument is not at hand.
     *
     * @param press the press that this is, which becomes its id; sent twice it is entered once
     */
    @Transactional
    public void away(UUID press, UUID instrumentId, LocalDate from, LocalDate until, String why) {
        instruments.require(instrumentId);
        if (!away.existsById(press)) {
            away.saveAndFlush(new AwayEntity(press, instrumentId, from, until, why));
        }
    }

    /** It is at hand all the same; a second time changes nothing. */
    @Transactional
    void back(UUID id) {
        away.findById(id).ifPresent(away::delete);
    }
}
