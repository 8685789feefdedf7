package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.choosing.Limit;
import rosinedpeg.core.choosing.Option;
import rosinedpeg.core.choosing.Ranked;
import rosinedpeg.core.choosing.Towards;
import rosinedpeg.core.choosing.Wish;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.sound.Said;
import rosinedpeg.core.sound.SoundAsked;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;

/** How strings sound, when that is asked, and what is chosen by it. */
class SoundTest {

    private static final double KINDS = 0.8;
    private static final double INSTRUMENTS = 0.7;
    private static final double TOGETHER = 0.35;
    private static final double JUDGEMENT = 0.6;
    private static final double NINE_IN_TEN = 1.6448536;

    /** The same by the long way: everything that was said and everything that is asked is one normal vector. */
    @Property(tries = 150)
    void isWhatFollowsFromTheFourSpreads(@ForAll long seed, @ForAll @IntRange(min = 1, max = 24) int judgements) {
        Random lot = new Random(seed);
        List<Said<Integer, Integer>> said = new ArrayList<>();
        for (int i = 0; i < judgements; i++) {
            said.add(new Said<>(lot.nextInt(4), lot.nextInt(4), lot.nextInt(5) - 2));
        }
        double[][] ofSaid = new double[judgements][judgements];
        double[] withAsked = new double[judgements];
        for (int i = 0; i < judgements; i++) {
            Said<Integer, Integer> one = said.get(i);
            for (int j = 0; j < judgements; j++) {
                Said<Integer, Integer> other = said.get(j);
                boolean sameKind = one.kind().equals(other.kind());
                boolean sameInstrument = one.instrument().equals(other.instrument());
                ofSaid[i][j] = (sameKind ? KINDS * KINDS : 0)
                        + (sameInstrument ? INSTRUMENTS * INSTRUMENTS : 0)
                        + (sameKind && sameInstrument ? TOGETHER * TOGETHER : 0)
                        + (i == j ? JUDGEMENT * JUDGEMENT : 0);
            }
            boolean here = one.instrument() == 0;
            withAsked[i] = asked(one, 0, here) - asked(one, 1, here);
        }
        RealMatrix inverse = new CholeskyDecomposition(new Array2DRowRealMatrix(ofSaid))
                .getSolver()
                .getInverse();
        RealVector asked = new ArrayRealVector(withAsked);
        double best = inverse.operate(asked)
                .dotProduct(new ArrayRealVector(
                        said.stream().mapToDouble(Said::place).toArray()));
        double spread = Math.sqrt(2 * (KINDS * KINDS + TOGETHER * TOGETHER) - asked.dotProduct(inverse.operate(asked)));
        Interval found = SoundPlaces.of(said, 0).difference(0, 1);
        assertThat(found.best()).isCloseTo(best, within(1e-9));
        assertThat(found.high() - found.best()).isCloseTo(NINE_IN_TEN * spread, within(1e-6));
        assertThat(SoundPlaces.of(said, 0).chance(0, 1, best, 100)).isCloseTo(0.5, within(1e-9));
    }

    private static double asked(Said<Integer, Integer> one, int kind, boolean here) {
        return one.kind() == kind ? KINDS * KINDS + (here ? TOGETHER * TOGETHER : 0) : 0;
    }

    /** Places are whole numbers and have ends, which the model does not know: the interval has to hold all the same. */
    @Test
    void madeUpTruthLiesInTheIntervalNineTimesInTen() {
        Random lot = new Random(20261127);
        int inside = 0;
        int all = 3000;
        for (int i = 0; i < all; i++) {
            double[] kinds =
                    lot.doubles(6).map(none -> KINDS * lot.nextGaussian()).toArray();
            double[] together =
                    lot.doubles(6).map(none -> TOGETHER * lot.nextGaussian()).toArray();
            List<Said<Integer, Integer>> said = new ArrayList<>();
            for (int instrument = 0; instrument < 5; instrument++) {
                double stands = INSTRUMENTS * lot.nextGaussian();
                for (int judgement = 0; judgement < 1 + i % 6; judgement++) {
                    int kind = lot.nextInt(6);
                    double goes = instrument == 0 ? together[kind] : TOGETHER * lot.nextGaussian();
                    double heard = kinds[kind] + stands + goes + JUDGEMENT * lot.nextGaussian();
                    said.add(new Said<>(kind, instrument, (int) Math.max(-2, Math.min(2, Math.rint(heard)))));
                }
            }
            Interval found = SoundPlaces.of(said, 0).difference(0, 1);
            double truth = kinds[0] + together[0] - kinds[1] - together[1];
            inside += found.low() <= truth && truth <= found.high() ? 1 : 0;
        }
        assertThat(inside / (double) all).isBetween(0.87, 0.93);
    }

    @Test
    void whatWasSaidHereSaysMoreThanTheSameSaidElsewhereAndNothingSaysNothing() {
        SoundPlaces<String> here = SoundPlaces.of(said("pit"), "pit");
        SoundPlaces<String> elsewhere = SoundPlaces.of(said("hall"), "pit");
        assertThat(here.difference("new", "old").best())
                .isGreaterThan(elsewhere.difference("new", "old").best() + 0.1);
        assertThat(here.count("new")).isEqualTo(new SoundPlaces.Count(2, 0));
        Interval nothing = SoundPlaces.<String, String>of(List.of(), "pit").difference("new", "old");
        assertThat(nothing.best()).isZero();
        assertThat(nothing.high()).isCloseTo(-nothing.low(), within(1e-12)).isGreaterThan(2);
        assertThat(here.difference("old", "old")).isEqualTo(new Interval(0, 0, 0));
    }

    /** Of two kinds that were never on one instrument most of the three places between them is put down to the instruments. */
    @Test
    void theInstrumentIsToldFromTheKind() {
        List<Said<String, String>> said = new ArrayList<>();
        said.addAll(Collections.nCopies(4, new Said<>("first", "bright one", 2)));
        said.addAll(Collections.nCopies(4, new Said<>("second", "bright one", 2)));
        said.addAll(Collections.nCopies(4, new Said<>("second", "dark one", -1)));
        said.addAll(Collections.nCopies(4, new Said<>("third", "dark one", -1)));
        assertThat(Math.abs(SoundPlaces.of(said, "another")
                        .difference("first", "third")
                        .best()))
                .isLessThan(0.75);
    }

    private static List<Said<String, String>> said(String instrument) {
        return List.of(
                new Said<>("new", instrument, 2),
                new Said<>("new", instrument, 2),
                new Said<>("old", instrument, -1),
                new Said<>("old", instrument, -1));
    }

    @ParameterizedTest
    @CsvSource({
        "1, 6, false", // holds, still mellowing
        "1, 7, true",
        "9, 8, false", // mellow, does not hold yet
        "9, 9, true",
        "9, 68, true",
        "9, 69, false"
    })
    void isAskedWhenAStringHasSettledAndMellowed(int steadyAfterDays, int onForDays, boolean asked) {
        Instant on = Instant.parse("2026-11-01T10:00:00Z");
        assertThat(SoundAsked.whileOn(
                        on, on.plus(Duration.ofDays(steadyAfterDays)), on.plus(Duration.ofDays(onForDays))))
                .isEqualTo(asked);
        Instant off = on.plus(Duration.ofDays(onForDays));
        assertThat(SoundAsked.afterOff(Optional.of(on), off, off)).isEqualTo(onForDays >= 7);
        assertThat(SoundAsked.afterOff(Optional.empty(), off, off.plus(Duration.ofDays(14))))
                .isFalse();
    }

    private static final Option<String> PRESENT = option("old", 60, 40, 300, 20);

    private static Option<String> option(String kind, double tensionN, double holds, double lasts, double price) {
        return new Option<>(
                kind,
                tensionN,
                holds,
                OptionalDouble.of(lasts),
                price < 0 ? OptionalDouble.empty() : OptionalDouble.of(price));
    }

    private static final Map<SoundScale, SoundPlaces<String>> HEARD = Map.of(
            SoundScale.DARK_BRIGHT,
            SoundPlaces.of(
                    List.of(
                            new Said<>("old", "pit", 1),
                            new Said<>("old", "pit", 1),
                            new Said<>("darker", "pit", 0),
                            new Said<>("darker", "pit", 0),
                            new Said<>("brighter", "pit", 2),
                            new Said<>("brighter", "pit", 2),
                            new Said<>("dark and tense", "pit", 0),
                            new Said<>("dark and tense", "pit", 0)),
                    "pit"));

    /** "A little darker and no tenser": what is known to be so, what nobody knows, what is known not to be, what pulls harder. */
    @Test
    void ranksByTheWishAndSaysWhy() {
        Wish wish = new Wish(
                Map.of(SoundScale.DARK_BRIGHT, Towards.FIRST_A_LITTLE), Set.of(Limit.NO_TENSER, Limit.NO_DEARER));
        List<Ranked<String>> ranked = Ranked.of(
                wish,
                PRESENT,
                List.of(
                        option("dark and tense", 64, 40, 300, 20),
                        option("brighter", 60.2, 40, 300, 20),
                        option("nobody heard it", 56, 40, 300, 20),
                        option("nor this, nearer", 58, 40, 300, 20),
                        option("no price", 60, 40, 300, -1),
                        option("darker", 59, 40, 300, 20)),
                HEARD);
        assertThat(ranked)
                .extracting(one -> one.option().kind())
                .containsExactly(
                        "darker", "nor this, nearer", "nobody heard it", "brighter", "no price", "dark and tense");
        assertThat(ranked.get(0).chance()).isGreaterThan(0.6);
        assertThat(ranked.get(0).limits()).containsValue(Ranked.Keeps.KEEPS).hasSize(2);
        assertThat(ranked.get(1).chance()).isEqualTo(ranked.get(2).chance(), within(1e-12));
        assertThat(ranked.get(4).limits()).containsEntry(Limit.NO_DEARER, Ranked.Keeps.UNKNOWN);
        assertThat(ranked.get(5).limits()).containsEntry(Limit.NO_TENSER, Ranked.Keeps.MISSES);
    }

    /** What is on keeps to every limit it can be held against, but that it pulls less. */
    @ParameterizedTest
    @CsvSource({
        "NO_TENSER, 60.5, 40, 300, 20, KEEPS",
        "NO_TENSER, 61, 40, 300, 20, MISSES",
        "LESS_TENSE, 59.5, 40, 300, 20, MISSES",
        "LESS_TENSE, 59, 40, 300, 20, KEEPS",
        "NO_SLACKER, 59.5, 40, 300, 20, KEEPS",
        "NO_SLACKER, 59, 40, 300, 20, MISSES",
        "HOLDS_NO_LATER, 60, 40.5, 300, 20, KEEPS",
        "HOLDS_NO_LATER, 60, 41, 300, 20, MISSES",
        "LASTS_AS_LONG, 60, 40, 295, 20, KEEPS",
        "LASTS_AS_LONG, 60, 40, 293, 20, MISSES",
        "NO_DEARER, 60, 40, 600, 40, KEEPS",
        "NO_DEARER, 60, 40, 300, 21, MISSES",
        "NO_DEARER, 60, 40, 300, -1, UNKNOWN",
        "NO_DEARER, 60, 40, 0, 20, UNKNOWN",
    })
    void holdsEachFigureAgainstTheStringThatIsOn(
            Limit limit, double tensionN, double holds, double lasts, double price, Ranked.Keeps keeps) {
        List<Ranked<String>> ranked = Ranked.of(
                new Wish(Map.of(), Set.of(limit)),
                PRESENT,
                List.of(option("new", tensionN, holds, lasts, price)),
                Map.of());
        assertThat(ranked.get(0).limits()).containsOnly(Map.entry(limit, keeps));
    }

    /** Played so much that hours and months use up a half each, a string has half of its hours. */
    @Test
    void aStringThatIsSeldomPlayedHasFewerHours() {
        Life life = new Life(260, 12);
        Wear fresh = new Wear(0, 0, 0, life);
        assertThat(fresh.hoursLeft(Demand.STUDY.threshold(), 5)).isCloseTo(130, within(1e-9));
        assertThat(fresh.hoursLeft(Demand.CONCERT.threshold(), 5)).isCloseTo(104, within(1e-9));
        assertThat(fresh.hoursLeft(1, 0)).isZero();
        assertThat(option("one", 60, 40, 130, 26).pricePerHour().getAsDouble()).isCloseTo(0.2, within(1e-12));
    }
}
