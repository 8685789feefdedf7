package rosinedpeg.core.load;

import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * How much of the fully strung load each foot still carries.
 *
 * @param bass share on the bass foot, 1 for all of it
 * @param treble share on the treble foot, beside the sound post, 1 for all of it
 */
public record LoadShares(double bass, double treble) {
    /** Checks the parts. */
    public LoadShares {
        requireFinite("bass", bass);
        requireFinite("treble", treble);
    }

    /** All strings at pitch. */
    public static final LoadShares FULL = new LoadShares(1, 1);

    /** {@return what the load left on the bass foot means, by the usual bands; the post's own do not apply to it} */
    public LoadBand bassBand() {
        return LoadBands.USUAL.of(bass);
    }

    /** {@return whether the bridge would rock off its bass foot} */
    public boolean bassFootLifts() {
        return bass <= 0.001;
    }
}
