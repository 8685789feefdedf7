package rosinedpeg.core.wear;

/** Why a string came off, as far as that says how long it could have lasted. */
public enum CameOff {
    /** Its life was over. */
    WORN,
    /** It broke. */
    BROKE,
    /** It would have gone on: another sound was wanted, or the instrument was made ready for something. */
    STILL_GOOD;

    /** {@return whether its life was over} */
    public boolean over() {
        return this != STILL_GOOD;
    }
}
