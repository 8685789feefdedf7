package rosinedpeg.web.sound;

/** When somebody says how a string sounds. */
public enum SoundMoment {
    /** While it is on. */
    ON,
    /** When it has come off: how it was at the end. */
    CAME_OFF
}
