package rosinedpeg.web.rack;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import rosinedpeg.core.wear.WearRate;
import rosinedpeg.web.rack.DueStringRepository.Kept;
import rosinedpeg.web.rack.DueStringRepository.Many;

/**
 * The strings of the whole rack that are due by a day. Whoever has this may ask: every place was brought up to date before. However many
 * they are, no more of them are read than is asked for.
 */
public final class DueStrings {

    private final DueStringRepository strings;
    private final LocalDate until;
    private final ZoneId zone;
    private final Instant now;
    private final LocalDate today;

    DueStrings(DueStringRepository strings, LocalDate until, ZoneId zone, Instant now) {
        this.strings = strings;
        this.until = until;
        this.zone = zone;
        this.now = now;
        this.today = now.atZone(zone).toLocalDate();
    }

    /**
     * One of them.
     *
     * @param string the string
     * @param before how many of the same kind are due before it
     */
    public record InTurn(DueString string, int before) {}

    /** {@return the day of each, by their kinds, the first due first} */
    public Map<UUID, List<LocalDate>> days() {
        return strings.many(until).stream()
                .sorted(Comparator.comparing(this::on))
                .collect(Collectors.groupingBy(
                        Many::kindId,
                        Collectors.flatMapping(
                                many -> Stream.generate(() -> on(many)).limit(many.strings()), Collectors.toList())));
    }

    /** {@return the first few of each kind, the first due first} */
    public Map<UUID, List<InTurn>> firstOfEach(int most) {
        return strings.firstOfEach(until, most).stream()
                .map(this::inTurn)
                .collect(Collectors.groupingBy(one -> one.string().kindId()));
    }

    /**
     * Lists those of some kinds.
     *
     * @param kindIds the kinds
     * @param window how many, after how many
     * @return those, the first due first
     */
    public List<DueString> of(Collection<UUID> kindIds, Pageable window) {
        return kindIds.isEmpty()
                ? List.of()
                : strings.of(until, kindIds.toArray(UUID[]::new), window).stream()
                        .map(kept -> inTurn(kept).string())
                        .toList();
    }

    /** {@return those on so many instruments, of which a string is due first; by kinds, the first due first} */
    public List<InTurn> ofFirstInstruments(int most) {
        Instant end = until.plusDays(1).atStartOfDay(zone).toInstant();
        return strings.ofFirstInstruments(until, end, most).stream()
                .map(this::inTurn)
                .toList();
    }

    private LocalDate on(Many many) {
        return on(many.dueOn());
    }

    /** What is due already is due today, and so is what became it in the hours before it is worked out again. */
    private LocalDate on(@Nullable LocalDate dueOn) {
        return dueOn == null || dueOn.isBefore(today) ? today : dueOn;
    }

    private InTurn inTurn(Kept kept) {
        double hours = Math.max(0, Duration.between(kept.workedOutAt(), now).toMillis() / 3_600_000.0);
        return new InTurn(
                new DueString(
                        kept.instrumentId(),
                        kept.instrumentName(),
                        kept.position(),
                        kept.kindId(),
                        on(kept.dueOn()),
                        kept.dueOn() == null,
                        new WearRate(kept.worn(), kept.wornAnHour()).after(hours),
                        kept.hoursPerWeek()),
                (int) kept.before());
    }
}
