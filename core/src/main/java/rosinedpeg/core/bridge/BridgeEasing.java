package rosinedpeg.core.bridge;

import java.util.Optional;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;

/**
 * How a bridge that leans is eased upright: which way, and how much of the tension may stay on meanwhile.
 *
 * <p>On a violin or viola the fingers of both hands move the top of a bridge that leans a little with every string at
 * pitch. A cello's allows the same for a small lean, both hands braced; a larger one, or one that nobody read, with part of
 * the tension on. A bass bridge is never pushed under full tension. Whatever the family, once the push of the strings comes
 * near the edge of the foot, tension comes off first.
 *
 * @param backwards whether it leans towards the tailpiece, so that it is eased towards the fingerboard
 * @param atPartTension whether every string is let down to {@link #PART_TENSION} first
 */
public record BridgeEasing(boolean backwards, boolean atPartTension) {

    /** Share of its tension that each string keeps while a bridge is eased or moved; the post keeps as much of its load. */
    public static final double PART_TENSION = 0.6;

    /**
     * How the bridge of an instrument is eased.
     *
     * @param setUp the instrument
     * @param backwards whether it leans towards the tailpiece
     * @param lean how far it leans, empty when nobody read it
     * @return the way
     */
    public static BridgeEasing of(SetUp setUp, boolean backwards, Optional<Lean> lean) {
        boolean small = lean.map(read -> !Thrust.of(setUp, read).band().stopsTuning())
                .orElse(setUp.family().restsOnLap());
        return new BridgeEasing(backwards, setUp.family() == Family.BASS || !small);
    }

    /** {@return how a bridge is eased that leans as was read; one that nobody read leans as tuning pulls it, forwards} */
    public static BridgeEasing of(SetUp setUp, Optional<Lean> lean) {
        return of(setUp, lean.filter(read -> read.degrees() < 0).isPresent(), lean);
    }
}
