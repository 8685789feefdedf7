package rosinedpeg.core.hearing;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/**
 * What may sound: the strings that are on, each with the pitch it should have, and the one in hand, if any.
 *
 * @param hertz what each string should sound, 20 to 2000 Hz; with one in hand, what each of the others does sound as far as is known
 * @param inHand the string that is being brought up; it may be far below its pitch
 */
public record Awaited(Map<Position, Double> hertz, Optional<Position> inHand) {

    /** How far from where it should be a string is still taken for itself, in cents: less than a fifth, which is the next string. */
    public static final double EITHER_SIDE_CENTS = 450;
    /** A string in hand may be an octave below. */
    public static final double SLACK_CENTS = 1200;

    /** What a string may sound to be heard. */
    public static final Range HERTZ = new Range(20, 2000, Unit.HERTZ);

    /** Of two readings as good as each other the one of the string in hand is meant. */
    private static final double NOT_IN_HAND = 0.95;

    private static final double SLACK = 0.8;
    /** While one is in hand, the others are where they were left, but for what the body gives: what is further off is the one in hand. */
    private static final double OTHERS_CENTS = 100;

    /**
     * Checks the figures.
     *
     * @throws IllegalArgumentException when nothing is awaited, or the string in hand is not among what is
     * @throws rosinedpeg.core.figure.OutOfRangeException when a pitch is outside its range
     */
    public Awaited {
        requireNonNull(inHand, "inHand");
        if (hertz.isEmpty() || inHand.isPresent() && !hertz.containsKey(inHand.get())) {
            throw new IllegalArgumentException("awaited is " + hertz.keySet() + " with " + inHand + " in hand");
        }
        hertz.values().forEach(pitch -> HERTZ.require("hertz", pitch));
        hertz = Map.copyOf(hertz);
    }

    /** {@return every open string of an instrument at its pitch, none of them in hand} */
    public static Awaited open(SetUp setUp) {
        Map<Position, Double> hertz = new EnumMap<>(Position.class);
        setUp.positions()
                .forEach(position ->
                        hertz.put(position, setUp.openString(position).frequencyHz(setUp.referenceA())));
        return new Awaited(hertz, Optional.empty());
    }

    /** {@return the same with a string in hand} */
    public Awaited inHand(Position position) {
        return new Awaited(hertz, Optional.of(position));
    }

    /**
     * Where a string is looked for.
     *
     * @param string which
     * @param low from, in Hz
     * @param high to, in Hz
     * @param prior what a reading there counts, up to 1
     */
    record Band(Position string, double low, double high, double prior) {

        boolean holds(double pitch) {
            return pitch >= low && pitch <= high;
        }
    }

    /** The most likely first; a pitch belongs to the first that holds it. */
    List<Band> bands() {
        List<Band> bands = new ArrayList<>();
        inHand.ifPresent(position -> {
            bands.add(band(position, -EITHER_SIDE_CENTS, EITHER_SIDE_CENTS, 1));
            bands.addAll(others(OTHERS_CENTS, NOT_IN_HAND));
            bands.add(band(position, -SLACK_CENTS, -EITHER_SIDE_CENTS, SLACK));
        });
        bands.addAll(others(EITHER_SIDE_CENTS, inHand.isEmpty() ? 1 : NOT_IN_HAND));
        return List.copyOf(bands);
    }

    /** The strings that are not in hand, each no further than so far from where it is, nor than half way to the next. */
    private List<Band> others(double widest, double prior) {
        return hertz.keySet().stream()
                .filter(position -> inHand.filter(position::equals).isEmpty())
                .sorted(Comparator.naturalOrder())
                .map(position -> band(position, -reach(position, -1, widest), reach(position, 1, widest), prior))
                .toList();
    }

    private Band band(Position position, double lowCents, double highCents, double prior) {
        double pitch = hertzOf(position);
        return new Band(position, new Cents(lowCents).above(pitch), new Cents(highCents).above(pitch), prior);
    }

    /** Half way to the next string, where there is one so near. */
    private double reach(Position position, int direction, double widest) {
        return hertz.keySet().stream()
                .filter(other -> other != position)
                .mapToDouble(other -> direction
                        * Cents.between(hertzOf(position), hertzOf(other)).value())
                .filter(away -> away > 0)
                .map(away -> Math.min(widest, away / 2))
                .min()
                .orElse(widest);
    }

    double hertzOf(Position position) {
        return position.in(hertz);
    }

    /** The lowest pitch that has to be told apart in the shortest time: of the string in hand, or of any. */
    double lowestHz() {
        double lowest = inHand.map(this::hertzOf)
                .orElseGet(() -> hertz.values().stream()
                        .mapToDouble(Double::doubleValue)
                        .min()
                        .orElseThrow());
        return new Cents(-EITHER_SIDE_CENTS).above(lowest);
    }
}
