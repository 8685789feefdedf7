package rosinedpeg.core.bridge;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;

/**
 * How much of a string sticks in the bridge grooves of one instrument while it is raised.
 *
 * @param dry in a dry groove, a share of 0 to 1
 * @param graphited in a groove with graphite, a share of 0 to 1
 */
public record StuckShares(Figure dry, Figure graphited) {

    /** What holds until readings say otherwise. */
    public static final StuckShares USUAL = learned(Evidence.NONE, Evidence.NONE);

    /** Checks that both are there. */
    public StuckShares {
        requireNonNull(dry, "dry");
        requireNonNull(graphited, "graphited");
    }

    /** {@return what the readings of an instrument show of its grooves} */
    public static StuckShares learned(Evidence dry, Evidence graphited) {
        return new StuckShares(StuckShare.learned(Drag.DRY, dry), StuckShare.learned(Drag.GRAPHITED, graphited));
    }
}
