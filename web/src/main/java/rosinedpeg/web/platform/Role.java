package rosinedpeg.web.platform;

/** What an account may do in its workshop. Each may do what the next one may. */
public enum Role {
    /** Also looks after the people. */
    KEEPER,
    /** Also looks after the instruments and what was measured on them. */
    TECHNICIAN,
    /** Plans and carries out changes, and reads pitches. */
    PLAYER
}
