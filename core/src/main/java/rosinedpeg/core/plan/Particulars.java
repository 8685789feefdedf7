package rosinedpeg.core.plan;

import static java.util.Objects.requireNonNull;

import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.load.LoadBands;

/**
 * What is particular to one instrument, beside its set-up.
 *
 * @param bands where the bands of the post's load lie
 * @param guard what keeps I from cutting into the bridge
 * @param stuck how much of a string sticks in its bridge groove
 */
public record Particulars(LoadBands bands, Guard guard, StuckShares stuck) {

    /** Nothing particular is known. */
    public static final Particulars USUAL = new Particulars(LoadBands.USUAL, Guard.NONE, StuckShares.USUAL);

    /** Checks that all are there. */
    public Particulars {
        requireNonNull(bands, "bands");
        requireNonNull(guard, "guard");
        requireNonNull(stuck, "stuck");
    }

    /** {@return the same with other bands, as for a short or loose post} */
    public Particulars within(LoadBands other) {
        return new Particulars(other, guard, stuck);
    }

    /** {@return the same with that guard} */
    public Particulars with(Guard other) {
        return new Particulars(bands, other, stuck);
    }
}
