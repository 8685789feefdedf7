package rosinedpeg.web.instrument;

import jakarta.persistence.Embeddable;
import rosinedpeg.core.figure.Evidence;

/** {@link Evidence} as it is kept with an instrument. */
@Embeddable
record Seen(double xx, double xy, int readings) {

    static final Seen NOTHING = of(Evidence.NONE);

    static Seen of(Evidence evidence) {
        return new Seen(evidence.xx(), evidence.xy(), evidence.readings());
    }

    Evidence evidence() {
        return new Evidence(xx, xy, readings);
    }
}
