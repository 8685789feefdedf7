package rosinedpeg.core.load;

import static rosinedpeg.core.figure.Finite.requireFinite;

/**
 * One string as it crosses the bridge.
 *
 * @param tensionN T, 0 N when it is off
 * @param xMm where it crosses, from the centre line, positive on the treble side
 * @param frontAngleDeg between string and plate on the fingerboard side
 * @param backAngleDeg between string and plate on the tailpiece side
 */
public record StringLoad(double tensionN, double xMm, double frontAngleDeg, double backAngleDeg) {

    /**
     * Checks the tension.
     *
     * @throws IllegalArgumentException when it is below 0 or not a number
     */
    public StringLoad {
        requireFinite("backAngleDeg", backAngleDeg);
        requireFinite("frontAngleDeg", frontAngleDeg);
        requireFinite("tensionN", tensionN);
        requireFinite("xMm", xMm);
        if (!(tensionN >= 0)) {
            throw new IllegalArgumentException("tensionN is " + tensionN + "; it must be 0 N or more");
        }
    }

    /** {@return how hard the string presses the bridge down, in N: {@code T·(sin φf + sin φb)}, by statics} */
    public double downwardN() {
        return tensionN * (Math.sin(Math.toRadians(frontAngleDeg)) + Math.sin(Math.toRadians(backAngleDeg)));
    }
}
