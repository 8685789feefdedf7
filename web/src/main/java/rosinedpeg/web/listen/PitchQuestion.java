package rosinedpeg.web.listen;

import java.util.UUID;
import java.util.function.Supplier;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.strings.Position;

/**
 * What is asked about the pitch of a string.
 *
 * @param run the run at the bench
 * @param string which string
 * @param typed what was typed, if anything
 * @param range what a pitch may be
 * @param belief what the bench believes of it, worked out only for who wants it
 */
public record PitchQuestion(UUID run, Position string, String typed, Range range, Supplier<Belief> belief) {

    /**
     * What the bench believes. A device that hears has no use for it; the demonstration's, which does not, goes by it.
     *
     * @param hertz what the string sounds at its pitch
     * @param cents what the string is taken to sound, from its pitch
     * @param raised whether it is being brought up
     */
    public record Belief(double hertz, double cents, boolean raised) {}
}
