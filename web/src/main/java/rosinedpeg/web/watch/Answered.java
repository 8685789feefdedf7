package rosinedpeg.web.watch;

import java.time.Duration;

/**
 * How the pages of one part of the application are answered.
 *
 * @param part the part, by the first word of its addresses; empty for the rack
 * @param count how many were answered since the start
 * @param half within which time half of those of its slowest page lately came
 * @param most within which time 19 of 20 of them came
 * @param failed how many could not be answered since the start
 */
record Answered(String part, long count, Duration half, Duration most, long failed) {

    /** Whoever waits longer begins to wonder. */
    static final Duration SLOW = Duration.ofMillis(500);

    /** Of fewer, 19 of 20 say nothing: the first of all has to find everything for the first time. */
    static final int ENOUGH = 20;

    /** {@return whether people wait for it} */
    public boolean slow() {
        return count >= ENOUGH && most.compareTo(SLOW) > 0;
    }
}
