package rosinedpeg.core.dates;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;

/**
 * The last moment at which a string that becomes due can be changed, so that the new one holds at every performance to come, nine
 * times in ten.
 *
 * <p>The string is wanted new for the first performance from the day it is due. A change that leaves enough time for that one may
 * still spoil another before it: the time before each performance in which a new string would not yet hold is closed. The last
 * moment that lies in none of these is the answer. Where none is left before the performance, that one is played on the old
 * string, and the same is asked for the next.
 *
 * @param latest until when
 * @param playedFirst the performance that this is in time for; empty where none comes after the day it is due
 * @param tooSoon the first performance that comes before and is played on the old, due string; empty where there is none
 */
public record SafeChange(Instant latest, Optional<Performance> playedFirst, Optional<Performance> tooSoon) {

    /** Checks the parts. */
    public SafeChange {
        requireNonNull(latest, "latest");
        requireNonNull(playedFirst, "playedFirst");
        requireNonNull(tooSoon, "tooSoon");
    }

    /**
     * Something that strings have to hold at.
     *
     * @param steadiness how well
     * @param beginsAt when it begins
     */
    public record Performance(Steadiness steadiness, Instant beginsAt) {

        /** Checks the parts. */
        public Performance {
            requireNonNull(steadiness, "steadiness");
            requireNonNull(beginsAt, "beginsAt");
        }
    }

    /**
     * Finds it.
     *
     * @param core what the new string is made of
     * @param performances those to come, in any order
     * @param dueAt when the old string is due
     * @param now the moment it is asked
     * @return the last moment, never before now; where every moment before the last performance is closed, the moment after it
     */
    public static SafeChange of(StringCore core, List<Performance> performances, Instant dueAt, Instant now) {
        requireNonNull(dueAt, "dueAt");
        List<Closed> closed = performances.stream()
                .filter(performance -> !performance.beginsAt().isBefore(now))
                .sorted(Comparator.comparing(Performance::beginsAt))
                .map(performance -> new Closed(
                        performance, ChangeWindow.latest(core, performance.steadiness(), performance.beginsAt())))
                .toList();
        List<Closed> onNew = closed.stream()
                .filter(one -> !one.performance().beginsAt().isBefore(dueAt))
                .toList();
        for (int at = 0; at < onNew.size(); at++) {
            Instant latest = openUntil(onNew.get(at).from(), closed);
            if (!latest.isBefore(now)) {
                Performance first = firstAfter(latest, onNew);
                return new SafeChange(latest, Optional.of(first), before(latest, onNew));
            }
        }
        Instant after = onNew.isEmpty()
                ? dueAt
                : onNew.get(onNew.size() - 1).performance().beginsAt();
        Instant latest = after.isBefore(now) ? now : after;
        return new SafeChange(latest, Optional.empty(), before(latest, onNew));
    }

    /**
     * The last moment until then that is closed by none of them. From the last to begin to the first, once, is enough: what moves
     * the moment back moves it into none that begins later, or that one would have moved it further.
     */
    private static Instant openUntil(Instant then, List<Closed> closed) {
        Instant moment = then;
        for (int at = closed.size() - 1; at >= 0; at--) {
            Closed one = closed.get(at);
            if (moment.isAfter(one.from()) && moment.isBefore(one.performance().beginsAt())) {
                moment = one.from();
            }
        }
        return moment;
    }

    private static Performance firstAfter(Instant moment, List<Closed> onNew) {
        return onNew.stream()
                .map(Closed::performance)
                .filter(performance -> performance.beginsAt().isAfter(moment))
                .findFirst()
                .orElseThrow();
    }

    private static Optional<Performance> before(Instant moment, List<Closed> onNew) {
        return onNew.stream()
                .map(Closed::performance)
                .filter(performance -> !performance.beginsAt().isAfter(moment))
                .findFirst();
    }

    /**
     * The time before a performance in which a new string would not hold at it.
     *
     * @param performance the performance
     * @param from since when
     */
    private record Closed(Performance performance, Instant from) {}
}
