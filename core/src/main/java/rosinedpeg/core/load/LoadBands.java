package rosinedpeg.core.load;

import static rosinedpeg.core.figure.Finite.requireFinite;

import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * Where one band of treble-foot load ends and the next begins. Adjustable per instrument: a loose or short post wants
 * more.
 *
 * @param heldFrom share from which the post is held
 * @param lightFrom share from which it is light
 * @param thinFrom share from which it is thin; below, unheld
 */
public record LoadBands(double heldFrom, double lightFrom, double thinFrom) {

    /** 50, 30 and 15 %. */
    public static final LoadBands USUAL = new LoadBands(0.50, 0.30, 0.15);

    /** What a post may want to be held, light and thin from: no less than is usual, and below the whole. */
    public static final Range HELD_FROM = new Range(USUAL.heldFrom, 0.95, Unit.SHARE);

    /** Where light may begin. */
    public static final Range LIGHT_FROM = new Range(USUAL.lightFrom, 0.9, Unit.SHARE);
    /** Where thin may begin. */
    public static final Range THIN_FROM = new Range(USUAL.thinFrom, 0.85, Unit.SHARE);

    /**
     * Checks the order.
     *
     * @throws IllegalArgumentException unless {@code 1 ≥ heldFrom > lightFrom > thinFrom > 0}
     */
    public LoadBands {
        requireFinite("heldFrom", heldFrom);
        requireFinite("lightFrom", lightFrom);
        requireFinite("thinFrom", thinFrom);
        if (!(1 >= heldFrom && heldFrom > lightFrom && lightFrom > thinFrom && thinFrom > 0)) {
            throw new IllegalArgumentException("bands are " + heldFrom + ", " + lightFrom + ", " + thinFrom
                    + "; they must fall from at most 1 and stay above 0");
        }
    }

    /** {@return whether no plan may leave so little, except a recorded repair: the post unheld, or the bass foot lifted} */
    public boolean refuse(LoadShares shares) {
        return of(shares.treble()) == LoadBand.UNHELD || shares.bassFootLifts();
    }

    /** {@return the band a treble-foot share lies in} */
    public LoadBand of(double trebleShare) {
        requireFinite("trebleShare", trebleShare);
        if (trebleShare >= heldFrom) {
            return LoadBand.HELD;
        }
        if (trebleShare >= lightFrom) {
            return LoadBand.LIGHT;
        }
        return trebleShare >= thinFrom ? LoadBand.THIN : LoadBand.UNHELD;
    }
}
