package rosinedpeg.web.platform;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/** Days seen from today. In templates: {@code @when}. */
@Component("when")
class When {

    private final Clock clock;
    private final Say say;

    When(Clock clock, Say say) {
        this.clock = clock;
        this.say = say;
    }

    /** {@return how many days it is until that day, 0 today} */
    public long daysUntil(Instant moment, ZoneId zone) {
        return ChronoUnit.DAYS.between(
                clock.instant().atZone(zone).toLocalDate(), moment.atZone(zone).toLocalDate());
    }

    /** {@return the day with its year} */
    public String day(Instant moment, ZoneId zone) {
        return say.dayOfYear(moment.atZone(zone).toLocalDate());
    }
}
