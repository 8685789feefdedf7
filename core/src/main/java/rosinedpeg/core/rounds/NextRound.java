package rosinedpeg.core.rounds;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * What to touch next while strings are coming to pitch.
 *
 * @param next the string to tune now
 * @param drops how far the others sink with it, in cents; negative for a drop
 * @param rounds how many rounds there are to go, in the best order
 * @param order that order
 */
public record NextRound(Position next, Map<Position, Cents> drops, int rounds, List<Position> order) {
    /** Nobody hears a string sink by less. */
    private static final double AUDIBLE_CENTS = 0.5;

    /** Checks the parts and copies the collections. */
    public NextRound {
        requireNonNull(next, "next");
        drops = Position.inOrder(drops);
        order = List.copyOf(order);
    }

    /** {@return the strings that sink audibly, each with its drop, the one that sinks most first} */
    public List<Map.Entry<Position, Cents>> audibleDrops() {
        return drops.entrySet().stream()
                .filter(drop -> Math.abs(drop.getValue().value()) >= AUDIBLE_CENTS)
                .sorted(Comparator.comparingDouble(drop -> drop.getValue().value()))
                .toList();
    }

    /** A string that carries less than this share of its tension is set aside: nobody listens to it. */
    private static final double SOUNDS = 0.5;

    /**
     * Works out what comes next.
     *
     * @param setUp the instrument
     * @param strings the strings on it, at pitch or on their way
     * @param tensionsN present tension of each string, in N; one that carries nothing is left out
     * @param coupling how much the instrument gives
     * @param raised the string that is being brought up, or none in a round of all
     * @return what to do; empty when every string is in tune
     */
    public static Optional<NextRound> of(
            SetUp setUp,
            Map<Position, StringSpec> strings,
            Map<Position, Double> tensionsN,
            Coupling coupling,
            @Nullable Position raised) {
        requireFinite("tensionsN", tensionsN);
        Map<Position, TunedString> on = tuned(setUp, strings, tensionsN, raised);
        if (on.isEmpty()) {
            return Optional.empty();
        }
        Map<Position, Double> nowN = new EnumMap<>(Position.class);
        on.keySet().forEach(position -> nowN.put(position, tensionsN.getOrDefault(position, 0.0)));
        TuningRounds rounds = new TuningRounds(on.values(), coupling);
        TuningRounds.Rounds best = rounds.best(nowN, TuningRounds.TOLERANCE_CENTS);
        Optional<Position> next = raised != null
                ? Optional.of(raised)
                : best.order().stream()
                        .filter(position ->
                                Math.abs(position.in(on).centsAt(position.in(nowN))) > TuningRounds.TOLERANCE_CENTS)
                        .findFirst();
        return next.map(position -> {
            Map<Position, Cents> drops = new EnumMap<>(rounds.predictedDrops(nowN, position));
            drops.keySet().removeIf(other -> other.in(nowN) < SOUNDS * setUp.tensionN(other.in(strings)));
            return new NextRound(position, drops, best.count(), best.order());
        });
    }

    /**
     * How far the others sink when one string is brought to pitch, whether anybody listens to them or not.
     *
     * @param setUp the instrument
     * @param strings the strings on it, at pitch or on their way
     * @param tensionsN present tension of each string, in N; one that carries nothing is left out
     * @param coupling how much the instrument gives
     * @param raised the string that is brought up
     * @return for each other string that carries something the change of its pitch; negative for a drop
     * @throws IllegalArgumentException when the string that is brought up is not among the strings
     */
    public static Map<Position, Cents> sinkings(
            SetUp setUp,
            Map<Position, StringSpec> strings,
            Map<Position, Double> tensionsN,
            Coupling coupling,
            Position raised) {
        requireFinite("tensionsN", tensionsN);
        requireNonNull(raised, "raised");
        return Position.inOrder(
                new TuningRounds(tuned(setUp, strings, tensionsN, raised).values(), coupling)
                        .predictedDrops(tensionsN, raised));
    }

    private static Map<Position, TunedString> tuned(
            SetUp setUp,
            Map<Position, StringSpec> strings,
            Map<Position, Double> tensionsN,
            @Nullable Position raised) {
        Map<Position, TunedString> on = new EnumMap<>(Position.class);
        strings.forEach((position, string) -> {
            if (tensionsN.getOrDefault(position, 0.0) > 0 || position == raised) {
                on.put(position, TunedString.of(position, setUp.elasticity(string)));
            }
        });
        return on;
    }
}
