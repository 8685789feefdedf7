package rosinedpeg.core.rounds;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Permutations;
import rosinedpeg.core.strings.Position;

/**
 * Rounds of tuning, worked through ahead of time.
 *
 * <p>In each round every string is brought exactly to pitch in turn. Bringing one up by ΔT shortens the span of each other
 * one by c·ΔT, so that its tension changes by −c·ΔT·EA/S. Rounds go on until every string is within the tolerance.
 */
public final class TuningRounds {

    /** Tensions at which a freshly strung instrument is gone round, as shares of the final ones. */
    public static final List<Double> FROM_SLACK = List.of(0.1, 0.3, 0.6, 0.85, 1.0);

    /** A string within this counts as in tune. */
    public static final double TOLERANCE_CENTS = 5;

    private static final int MOST = 50;
    private static final Range TOLERANCE = new Range(0.1, 100, Unit.CENT);

    private final List<TunedString> strings;
    private final Coupling coupling;

    /**
     * Takes the strings of an instrument.
     *
     * @param strings every string on it, each position once
     * @param coupling how much the instrument gives
     * @throws IllegalArgumentException when there is none or a position comes twice
     */
    public TuningRounds(Collection<TunedString> strings, Coupling coupling) {
        requireNonNull(coupling, "coupling");
        if (strings.isEmpty()
                || strings.stream().map(TunedString::position).distinct().count() != strings.size()) {
            throw new IllegalArgumentException("strings are " + strings + "; each position must come once");
        }
        this.strings = List.copyOf(strings);
        this.coupling = coupling;
    }

    /**
     * What happens if the strings are tuned in an order, again and again.
     *
     * @param startN tension of each string at the start, in N
     * @param order every position once
     * @param toleranceCents when it is good enough, 0.1 to 100 cents
     * @return the rounds
     * @throws IllegalArgumentException when the order does not name every string once, or it never comes to an end
     */
    public Rounds simulate(Map<Position, Double> startN, List<Position> order, double toleranceCents) {
        requireFinite("startN", startN);
        TOLERANCE.require("toleranceCents", toleranceCents);
        if (order.size() != strings.size()
                || !order.containsAll(
                        strings.stream().map(TunedString::position).toList())) {
            throw new IllegalArgumentException("order is " + order + "; it must name every string once");
        }
        Map<Position, Double> tensionsN = new EnumMap<>(startN);
        List<Map<Position, Double>> after = new ArrayList<>();
        while (after.size() < MOST) {
            for (Position position : order) {
                bringUp(tensionsN, string(position));
            }
            Map<Position, Double> cents = cents(tensionsN);
            after.add(cents);
            if (cents.values().stream().allMatch(value -> Math.abs(value) <= toleranceCents)) {
                return new Rounds(List.copyOf(order), after);
            }
        }
        throw new IllegalArgumentException("coupling is " + coupling + "; tuning in rounds never comes to an end");
    }

    /**
     * The order that needs the fewest rounds, and among those leaves the least to redo after the first. Every order is
     * tried; there are at most 120.
     *
     * @param startN tension of each string at the start, in N
     * @param toleranceCents when it is good enough, 0.1 to 100 cents
     * @return the best rounds
     */
    public Rounds best(Map<Position, Double> startN, double toleranceCents) {
        requireFinite("startN", startN);
        return Permutations.of(strings.stream().map(TunedString::position).toList()).stream()
                .map(order -> simulate(startN, order, toleranceCents))
                .min(Comparator.comparingInt(Rounds::count).thenComparingDouble(Rounds::toRedoCents))
                .orElseThrow();
    }

    /**
     * How far the others sink when one string is brought up.
     *
     * @param nowN present tension of each string, in N
     * @param raised the string that is brought to pitch
     * @return for each other string the change of its pitch, in cents; negative for a drop
     */
    public Map<Position, Cents> predictedDrops(Map<Position, Double> nowN, Position raised) {
        requireFinite("nowN", nowN);
        Map<Position, Double> afterN = new EnumMap<>(nowN);
        bringUp(afterN, string(raised));
        Map<Position, Cents> drops = new EnumMap<>(Position.class);
        for (TunedString other : strings) {
            if (other.position() != raised && nowN.getOrDefault(other.position(), 0.0) > 0) {
                drops.put(
                        other.position(),
                        new Cents(other.centsAt(other.position().in(afterN))
                                - other.centsAt(other.position().in(nowN))));
            }
        }
        return drops;
    }

    /** {@return the pitches to tune to from slack, as intervals below the final pitch, one for each round} */
    public static List<Cents> pitchesFromSlack() {
        return FROM_SLACK.stream().map(Cents::ofTensionFraction).toList();
    }

    private void bringUp(Map<Position, Double> tensionsN, TunedString raised) {
        double riseN = raised.targetN() - tensionsN.getOrDefault(raised.position(), 0.0);
        tensionsN.put(raised.position(), raised.targetN());
        for (TunedString other : strings) {
            if (other != raised) {
                tensionsN.merge(other.position(), coupling.changeN(riseN, other.stiffnessNPerMm()), Double::sum);
            }
        }
    }

    private Map<Position, Double> cents(Map<Position, Double> tensionsN) {
        Map<Position, Double> cents = new EnumMap<>(Position.class);
        strings.forEach(string ->
                cents.put(string.position(), string.centsAt(string.position().in(tensionsN))));
        return cents;
    }

    private TunedString string(Position position) {
        return strings.stream()
                .filter(string -> string.position() == position)
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("position is " + position + "; there is no such string"));
    }

    /**
     * Rounds of tuning.
     *
     * @param order the order in each round
     * @param centsAfter how far from pitch each string is after each round
     */
    public record Rounds(List<Position> order, List<Map<Position, Double>> centsAfter) {
        /** Checks the parts. */
        public Rounds {
            requireNonNull(centsAfter, "centsAfter");
            requireNonNull(order, "order");
        }

        /** {@return how many rounds it takes} */
        public int count() {
            return centsAfter.size();
        }

        /** {@return what is left to redo after the first round, all strings together, in cents} */
        public double toRedoCents() {
            return centsAfter.get(0).values().stream().mapToDouble(Math::abs).sum();
        }
    }
}
