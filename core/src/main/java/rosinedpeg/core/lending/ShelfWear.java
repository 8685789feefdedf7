package rosinedpeg.core.lending;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.hipparchus.distribution.continuous.BetaDistribution;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.wear.Wear;

/**
 * What wears while instruments are out: how often each finding was there when one came back, that was not there when it went out.
 *
 * <p>How often is a share of the loans that came back. From few of them it is hardly known: its interval is the one in which the share
 * lies nine times in ten when nothing was known of it before (Jeffreys' rule: a beta distribution with one half added to those that had
 * it and to those that had not).
 *
 * @param loans how many loans that came back were looked at on both ways
 * @param daysOut how long those were out together, in days
 * @param found what was found, the most frequent first
 */
public record ShelfWear(int loans, long daysOut, List<Worn> found) {

    /** A tenth lies outside the interval, half of it on either side. */
    private static final double BELOW = 0.05;

    private static final double JEFFREYS = 0.5;
    private static final double HOURS_OF_A_DAY = 24;

    /** Copies the list. */
    public ShelfWear {
        found = List.copyOf(found);
    }

    /** {@return how long those were out together, in months} */
    public double monthsOut() {
        return daysOut * HOURS_OF_A_DAY / Wear.HOURS_PER_MONTH;
    }

    /**
     * One finding over many loans.
     *
     * @param kind what was found
     * @param times in how many loans, at least one
     * @param share of the loans, 0 to 1
     * @param positions on which strings, with how often on each; empty for what is not on one string
     */
    public record Worn(FindingKind kind, int times, Interval share, Map<Position, Integer> positions) {

        /** Copies the positions. */
        public Worn {
            requireNonNull(kind, "kind");
            requireNonNull(share, "share");
            positions = Position.inOrder(positions);
        }
    }

    /**
     * A loan that came back.
     *
     * @param daysOut how long it was out, in days
     * @param out what was found when it went out
     * @param back what was found when it came back
     */
    public record Returned(long daysOut, List<Finding> out, List<Finding> back) {

        /** Copies the lists. */
        public Returned {
            out = List.copyOf(out);
            back = List.copyOf(back);
        }
    }

    /**
     * Counts.
     *
     * @param returned loans that came back
     * @return what that comes to
     */
    public static ShelfWear of(Collection<Returned> returned) {
        Map<FindingKind, Integer> times = new EnumMap<>(FindingKind.class);
        Map<FindingKind, Map<Position, Integer>> positions = new EnumMap<>(FindingKind.class);
        for (Returned one : returned) {
            Set<FindingKind> kinds = new HashSet<>();
            for (Finding finding :
                    ConditionChange.between(one.out(), one.back()).worse()) {
                kinds.add(finding.kind());
                finding.concerns()
                        .ifPresent(position -> positions
                                .computeIfAbsent(finding.kind(), none -> new TreeMap<>())
                                .merge(position, 1, Integer::sum));
            }
            kinds.forEach(kind -> times.merge(kind, 1, Integer::sum));
        }
        List<Worn> found = new ArrayList<>();
        times.forEach((kind, many) -> found.add(new Worn(
                kind, many, share(many, returned.size()), positions.getOrDefault(kind, Collections.emptyMap()))));
        found.sort(Comparator.comparing(Worn::times).reversed());
        return new ShelfWear(
                returned.size(), returned.stream().mapToLong(Returned::daysOut).sum(), found);
    }

    private static Interval share(int times, int of) {
        BetaDistribution share = new BetaDistribution(times + JEFFREYS, of - times + JEFFREYS);
        return new Interval(
                share.inverseCumulativeProbability(BELOW),
                (double) times / of,
                share.inverseCumulativeProbability(1 - BELOW));
    }
}
