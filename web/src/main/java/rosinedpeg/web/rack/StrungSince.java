package rosinedpeg.web.rack;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.Entry;

/** Reads since when strings are on an instrument. */
@Component
class StrungSince {

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);

    private final Clock clock;

    StrungSince(Clock clock) {
        this.clock = clock;
    }

    /**
     * Reads the day that was typed.
     *
     * @param result takes what is wrong with it
     * @param field where it was typed
     * @param typed the day; empty when nobody knows
     * @return its noon, but never later than now; empty when nobody knows or the day is wrong
     */
    Optional<Instant> read(BindingResult result, String field, String typed) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        Instant now = clock.instant();
        LocalDate today = now.atZone(CurrentWorkshop.zone()).toLocalDate();
        return Entry.date(result, field, typed, EARLIEST, today)
                .map(day -> day.atTime(LocalTime.NOON)
                        .atZone(CurrentWorkshop.zone())
                        .toInstant())
                .map(noon -> noon.isAfter(now) ? now : noon);
    }
}
