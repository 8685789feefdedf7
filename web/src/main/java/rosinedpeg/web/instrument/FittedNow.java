package rosinedpeg.web.instrument;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearSign;

/** What is read of a string that is on an instrument now, where there are thousands of them. */
record FittedNow(
        UUID id,
        UUID instrumentId,
        Position position,
        UUID kindId,
        @Nullable Instant fittedAt,
        double hoursBefore,
        @Nullable Double monthsBefore,
        @Nullable Instant hoursCountedAt,
        List<String> signNames,
        int version) {

    /** {@return how many hours of the clock it was on an instrument until a moment; 0 while nobody knows since when} */
    double ageHours(Instant until) {
        return fittedAt == null
                ? 0
                : (monthsBefore == null ? 0 : monthsBefore) * Wear.HOURS_PER_MONTH
                        + Math.max(0, Duration.between(fittedAt, until).toMinutes() / 60.0);
    }

    /** {@return since when its hours are reckoned; null when nobody knows} */
    @Nullable
    Instant countedFrom() {
        return hoursCountedAt == null ? fittedAt : hoursCountedAt;
    }

    Set<WearSign> signs() {
        Set<WearSign> signs = EnumSet.noneOf(WearSign.class);
        signNames.forEach(sign -> signs.add(WearSign.valueOf(sign)));
        return signs;
    }
}
