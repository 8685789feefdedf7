package rosinedpeg.core.bench;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;

/**
 * How many packets one place of an instrument takes in a run.
 *
 * @param taken how many in all, those to come included
 * @param broken how many of them broke
 */
public record PacketUse(int taken, int broken) {

    /**
     * Checks the numbers.
     *
     * @throws IllegalArgumentException when fewer than none broke, or more than were taken
     */
    public PacketUse {
        if (broken < 0 || broken > taken) {
            throw new IllegalArgumentException("broken is " + broken + "; it must be from 0 to " + taken);
        }
    }

    /**
     * Counts the packets of a run. A string that is put on anew from the same packet, because its tip slipped out or it went on the
     * wrong peg, is not another one; only after the remains of one were taken out does the place take another.
     *
     * @param plan the plan as it is followed, with what went into it because something went wrong
     * @return the use of each place that takes any
     */
    public static Map<Position, PacketUse> of(ChangePlan plan) {
        Map<Position, PacketUse> uses = new EnumMap<>(Position.class);
        Set<Position> onNow = EnumSet.noneOf(Position.class);
        for (Step step : plan.steps()) {
            Position position = step.position();
            if (position == null) {
                continue;
            }
            if (step.kind().beginsWithString() && onNow.add(position)) {
                uses.merge(position, new PacketUse(1, 0), (use, one) -> new PacketUse(use.taken + 1, use.broken));
            } else if (step.kind() == StepKind.TAKE_OUT_REMAINS && onNow.remove(position)) {
                uses.computeIfPresent(position, (same, use) -> new PacketUse(use.taken, use.broken + 1));
            }
        }
        return uses;
    }
}
