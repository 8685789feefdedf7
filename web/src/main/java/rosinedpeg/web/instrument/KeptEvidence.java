package rosinedpeg.web.instrument;

import jakarta.persistence.Embeddable;
import rosinedpeg.core.figure.Evidence;

/** {@link Evidence} as it is kept with an instrument. */
@Embeddable
record KeptEvidence(double xx, double xy, int readings) {

    static final KeptEvidence NOTHING = of(Evidence.NONE);

    static KeptEvidence of(Evidence evidence) {
        return new KeptEvidence(evidence.xx(), evidence.xy(), evidence.readings());
    }

    Evidence evidence() {
        return new Evidence(xx, xy, readings);
    }
}
