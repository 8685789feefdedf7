package rosinedpeg.core.sound;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a player is asked how a string sounds: once when it has settled, once when it has come off. New strings sound edgy at first
 * and mellow in hours to a week, so they are not asked about before.
 */
public final class SoundAsked {

    /** So long a new string may mellow. */
    public static final Duration MELLOWS = Duration.ofDays(7);

    /** So long after it has settled a player is asked; a default of our own: later nobody remembers what it was like new. */
    public static final Duration WHILE_NEW = Duration.ofDays(60);

    /** So long after it came off; a default of our own. */
    public static final Duration AFTER_OFF = Duration.ofDays(14);

    private SoundAsked() {}

    /**
     * The moment from which its sound is judged.
     *
     * @param fittedAt when it went on
     * @param steadyAt when it holds for a concert
     * @return the later of that and the end of its mellowing
     */
    public static Instant from(Instant fittedAt, Instant steadyAt) {
        Instant mellow = fittedAt.plus(MELLOWS);
        return steadyAt.isAfter(mellow) ? steadyAt : mellow;
    }

    /**
     * Whether a player is asked about a string that is on.
     *
     * @param fittedAt when it went on
     * @param steadyAt when it holds for a concert
     * @param now the moment
     */
    public static boolean whileOn(Instant fittedAt, Instant steadyAt, Instant now) {
        Instant from = from(fittedAt, steadyAt);
        return !now.isBefore(from) && now.isBefore(from.plus(WHILE_NEW));
    }

    /**
     * Whether a player is asked about a string that has come off: not about one that never had the time to mellow.
     *
     * @param fittedAt when it went on; empty where nobody knows
     * @param removedAt when it came off
     * @param now the moment
     */
    public static boolean afterOff(Optional<Instant> fittedAt, Instant removedAt, Instant now) {
        return now.isBefore(removedAt.plus(AFTER_OFF))
                && fittedAt.filter(on -> removedAt.isBefore(on.plus(MELLOWS))).isEmpty();
    }
}
