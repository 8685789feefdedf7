package rosinedpeg.web.week;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.web.instrument.NotAtHand;
import rosinedpeg.web.occasions.Occasions;

/** On which days nothing can be done on an instrument, and what it is played at. */
@Component
class ShutDays {

    private final BenchTimes times;
    private final Occasions occasions;
    private final List<NotAtHand> notAtHand;

    ShutDays(BenchTimes times, Occasions occasions, List<NotAtHand> notAtHand) {
        this.times = times;
        this.occasions = occasions;
        this.notAtHand = notAtHand;
    }

    /**
     * The days on which it is not at hand, or nobody is at the bench. While nobody said when they are, every day will do.
     *
     * @param instrumentId which instrument
     * @param from the first day that is looked at
     * @param days how many
     * @return them
     */
    Set<LocalDate> from(UUID instrumentId, LocalDate from, int days) {
        Set<LocalDate> shut = new TreeSet<>();
        LocalDate furthest = from.plusDays(days);
        for (NotAtHand.Days away : NotAtHand.of(notAtHand, List.of(instrumentId), from, furthest)) {
            LocalDate first = away.from().isBefore(from) ? from : away.from();
            LocalDate last = away.until().isBefore(furthest) ? away.until() : furthest;
            first.datesUntil(last.plusDays(1)).forEach(shut::add);
        }
        List<PersonHours> people = times.people();
        if (!people.isEmpty()) {
            from.datesUntil(furthest.plusDays(1))
                    .filter(day ->
                            people.stream().allMatch(person -> person.on(day).minutes() == 0))
                    .forEach(shut::add);
        }
        return shut;
    }

    /** {@return what an instrument is played at} */
    List<SafeChange.Performance> played(UUID instrumentId) {
        return occasions.season().stream()
                .filter(one -> one.concerns(instrumentId))
                .map(one -> new SafeChange.Performance(one.steadiness(), one.beginsAt()))
                .toList();
    }
}
