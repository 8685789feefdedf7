package rosinedpeg.core.choosing;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiPredicate;
import java.util.function.Function;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;

/**
 * An option with its rank among others, and the reasons for it.
 *
 * <p>What misses a limit stands behind what keeps to all of them, and what cannot be held against one, for want of a figure, between the
 * two. Among those that are alike in this, the rank is the probability that the wish about its sound comes true, from what was said of
 * it: a kind of which nobody said anything has the probability that any kind has, no more and no less. What is alike in that too is
 * ordered by how near its pull is to the string that is on.
 *
 * @param option the option
 * @param limits how it keeps to each limit that was wished
 * @param sound how it stands to each wish about its sound
 * @param <K> what kinds are known by
 */
public record Ranked<K>(Option<K> option, Map<Limit, Keeps> limits, Map<SoundScale, Sound> sound) {

    /** Packets state a pull to about so much, so that what differs by less pulls the same; a default of our own. */
    static final double SAME_PULL = 0.01;

    /** Hours, lives and prices that differ by less are the same; a default of our own. */
    static final double SAME = 0.02;

    /** How an option keeps to a limit. */
    public enum Keeps {
        /** It does. */
        KEEPS,
        /** A figure is missing. */
        UNKNOWN,
        /** It does not. */
        MISSES
    }

    /**
     * How an option stands to a wish about its sound.
     *
     * @param wished what was wished
     * @param chance how probable it is that it comes true, 0 to 1
     * @param difference how far it lies from the string that is on, in places of the scale, above 0 towards the second word
     * @param count how often it was spoken of
     */
    public record Sound(Towards wished, double chance, Interval difference, SoundPlaces.Count count) {
        /** Checks the parts. */
        public Sound {
            requireNonNull(wished, "wished");
            requireFinite("chance", chance);
            requireNonNull(difference, "difference");
            requireNonNull(count, "count");
        }
    }

    /** Copies the parts. */
    public Ranked {
        requireNonNull(option, "option");
        limits = Map.copyOf(limits);
        sound = Map.copyOf(sound);
    }

    /**
     * Ranks what there is.
     *
     * @param wish what is wished
     * @param present the string that is on
     * @param options what fits, the string that is on among them or not
     * @param places where kinds stand on each scale that is wished about, on this instrument
     * @param <K> what kinds are known by
     * @return the best first
     */
    public static <K> List<Ranked<K>> of(
            Wish wish, Option<K> present, Collection<Option<K>> options, Map<SoundScale, SoundPlaces<K>> places) {
        return options.stream()
                .map(option -> of(wish, present, option, places))
                .sorted(Comparator.comparingLong((Ranked<K> one) -> one.count(Keeps.MISSES))
                        .thenComparing(one -> one.count(Keeps.UNKNOWN))
                        .thenComparing(one -> -Math.rint(one.chance() * 1e9))
                        .thenComparing(one -> Math.abs(one.option.tensionN() - present.tensionN())))
                .toList();
    }

    private static <K> Ranked<K> of(
            Wish wish, Option<K> present, Option<K> option, Map<SoundScale, SoundPlaces<K>> places) {
        Map<Limit, Keeps> limits = new EnumMap<>(Limit.class);
        wish.limits().forEach(limit -> limits.put(limit, keeps(limit, present, option)));
        Map<SoundScale, Sound> sound = new EnumMap<>(SoundScale.class);
        wish.sound().forEach((scale, wished) -> {
            SoundPlaces<K> of = Optional.ofNullable(places.get(scale))
                    .orElseThrow(() -> new IllegalArgumentException("nothing says where kinds stand on " + scale));
            sound.put(
                    scale,
                    new Sound(
                            wished,
                            of.chance(option.kind(), present.kind(), wished.atLeast(), wished.atMost()),
                            of.difference(option.kind(), present.kind()),
                            of.count(option.kind())));
        });
        return new Ranked<>(option, limits, sound);
    }

    private static <K> Keeps keeps(Limit limit, Option<K> present, Option<K> option) {
        return switch (limit) {
            case NO_TENSER -> of(option.tensionN() <= present.tensionN() * (1 + SAME_PULL));
            case LESS_TENSE -> of(option.tensionN() < present.tensionN() * (1 - SAME_PULL));
            case NO_SLACKER -> of(option.tensionN() >= present.tensionN() * (1 - SAME_PULL));
            case HOLDS_NO_LATER -> of(option.holdsAfterHours() <= present.holdsAfterHours() * (1 + SAME));
            case LASTS_AS_LONG -> both(present, option, Option::lastsHours, (was, is) -> is >= was * (1 - SAME));
            case NO_DEARER -> both(present, option, Option::pricePerHour, (was, is) -> is <= was * (1 + SAME));
        };
    }

    private static Keeps of(boolean kept) {
        return kept ? Keeps.KEEPS : Keeps.MISSES;
    }

    /** Holds two figures against one another, of which either may be missing: what was, what is. */
    private static <K> Keeps both(
            Option<K> present,
            Option<K> option,
            Function<Option<K>, OptionalDouble> figure,
            BiPredicate<Double, Double> held) {
        OptionalDouble was = figure.apply(present);
        OptionalDouble is = figure.apply(option);
        return was.isPresent() && is.isPresent() ? of(held.test(was.getAsDouble(), is.getAsDouble())) : Keeps.UNKNOWN;
    }

    private long count(Keeps how) {
        return limits.values().stream().filter(how::equals).count();
    }

    /** {@return how probable it is that every wish about its sound comes true, 0 to 1; 1 where there is none} */
    public double chance() {
        return sound.values().stream().mapToDouble(Sound::chance).reduce(1, (a, b) -> a * b);
    }
}
