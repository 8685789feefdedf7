package rosinedpeg.core.load;

/** How safely the sound post is held. */
public enum LoadBand {
    HELD,
    LIGHT,
    /** Work without pause; do not lift or turn the instrument. */
    THIN,
    /** The post can fall. No plan may pass here, except a recorded repair. */
    UNHELD
}
