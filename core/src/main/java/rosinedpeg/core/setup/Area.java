package rosinedpeg.core.setup;

/** Where on an instrument things are measured, in the order of a sitting. */
public enum Area {
    /** Body and strings. */
    BODY,
    BRIDGE,
    NUT,
    /** Pegbox and pegs. */
    PEGBOX,
    /** Tailpiece and fine tuners. */
    TAILPIECE
}
