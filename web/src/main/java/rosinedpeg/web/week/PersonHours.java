package rosinedpeg.web.week;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import rosinedpeg.core.week.BenchHours;

/**
 * When somebody is at the bench.
 *
 * @param person who
 * @param usual their hours on each weekday; a day that is missing is off
 * @param otherwise their hours on single days that are not as usual
 */
record PersonHours(String person, Map<DayOfWeek, BenchHours> usual, SortedMap<LocalDate, BenchHours> otherwise) {

    /** {@return their hours on a day} */
    public BenchHours on(LocalDate day) {
        return Optional.ofNullable(otherwise.get(day))
                .or(() -> Optional.ofNullable(usual.get(day.getDayOfWeek())))
                .orElse(BenchHours.NONE);
    }
}
