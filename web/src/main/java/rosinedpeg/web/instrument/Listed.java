package rosinedpeg.web.instrument;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.wear.Demand;

/** What is read of an instrument where there are hundreds of them. */
record Listed(
        UUID id,
        String name,
        Family family,
        String sizeCode,
        int strings,
        double hoursPerWeek,
        Demand demand,
        @Nullable Instant retiredAt) {

    Size size() {
        return Size.of(family, sizeCode);
    }
}
