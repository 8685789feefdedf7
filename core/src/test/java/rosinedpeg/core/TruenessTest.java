package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.HandsFree;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.hearing.Octave;
import rosinedpeg.core.hearing.Ringing;
import rosinedpeg.core.hearing.Trueness;
import rosinedpeg.core.hearing.Trueness.Verdict;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;

/** Whether a string is false is heard from partials whose places are known. */
class TruenessTest {

    private static final double RATE = 44_100;
    private static final double BEGINS_SECONDS = 0.4;
    private static final int PARTIALS = 14;

    /** A string that is lighter or heavier in places; from the bridge, 0, to the nut, 1. */
    private record Uneven(double hertz, double stiffness, DoubleUnaryOperator heavier) {

        double partialHz(int n) {
            return hertz * n * Math.sqrt(1 + stiffness * n * n) * (1 - swings(n, 1));
        }

        /** Stopped in its middle the half at the bridge sounds. */
        double stoppedHz() {
            return 2 * hertz * (1 - swings(1, 0.5));
        }

        private double swings(int n, double length) {
            double sum = 0;
            for (double x = 0.0005; x < length; x += 0.001) {
                sum += heavier.applyAsDouble(x) * Math.pow(Math.sin(n * Math.PI * x / length), 2) * 0.001;
            }
            return sum / length;
        }

        double octaveCents() {
            return 1200 * Math.log(stoppedHz() / partialHz(2)) / Math.log(2);
        }

        double[] plucked(double noise, long seed) {
            Random random = new Random(seed);
            double[] values = new double[(int) ((BEGINS_SECONDS + 1.2) * RATE)];
            for (int n = 1; n <= PARTIALS; n++) {
                double partial = partialHz(n);
                double strength = partial < 0.45 * RATE ? 0.3 * Math.sin(n * Math.PI * 0.22) / n : 0;
                for (int i = (int) (BEGINS_SECONDS * RATE); i < values.length; i++) {
                    double seconds = i / RATE - BEGINS_SECONDS;
                    values[i] +=
                            strength * Math.exp(-seconds * (2 + n / 2.0)) * Math.sin(2 * Math.PI * partial * seconds);
                }
            }
            return Arrays.stream(values)
                    .map(value -> value + noise * random.nextGaussian())
                    .toArray();
        }
    }

    private static Uneven worn(double hertz, double stiffness, double lighter) {
        return new Uneven(hertz, stiffness, x -> x > 0.62 && x < 0.92 ? -lighter : 0);
    }

    private static List<Notice> notices(double hertz, double[] values) {
        Awaited awaited = new Awaited(Map.of(Position.II, hertz), Optional.of(Position.II));
        Ear ear = new Ear(awaited, RATE);
        HandsFree minds = new HandsFree(Optional.of(Position.II), Map.of());
        return ear.hear(values).stream()
                .flatMap(hearing -> minds.take(hearing).notices().stream())
                .toList();
    }

    private static Ringing rang(double hertz, double[] values) {
        List<Ringing> rang = notices(hertz, values).stream()
                .filter(Notice.Rang.class::isInstance)
                .map(notice -> ((Notice.Rang) notice).ringing())
                .toList();
        assertThat(rang).as("once a pluck").hasSize(1);
        return rang.get(0);
    }

    @Property(tries = 12)
    void anEvenStringIsStiffAndNothingElse(
            @ForAll Family family, @ForAll @IntRange(min = 5, max = 60) int hundredThousandths, @ForAll int seed) {
        double stiffness = hundredThousandths * 1e-5;
        SetUp setUp = Examples.instrument(family);
        Position position =
                setUp.positions().get(new Random(seed).nextInt(setUp.positions().size()));
        double hertz = setUp.openString(position).frequencyHz(setUp.referenceA());
        Uneven even = new Uneven(hertz, stiffness, x -> 0);
        Ringing rang = rang(hertz, even.plucked(0.001, seed));
        assertThat(rang.scatterCents()).as("%s %s", family, position).isLessThan(1);
        assertThat(rang.stiffness()).isCloseTo(stiffness, within(0.1 * stiffness + 1e-5));
    }

    /** What has been worn off where fingers land moves partials and octave; a reading of each day tells. */
    @ParameterizedTest
    @CsvSource({"196,3e-4", "440,1e-4", "98,4e-4", "41.2,5e-4"})
    void aWornStringIsFalseAgainstItsFirstDay(double hertz, double stiffness) {
        Uneven then = new Uneven(hertz, stiffness, x -> 0.01 * Math.cos(2 * Math.PI * x));
        Uneven now = worn(hertz, stiffness, 0.05);
        Trueness first = trueness(then, 1);
        Trueness later = trueness(now, 2);
        assertThat(later.since(first).octave().orElseThrow().cents())
                .isCloseTo(now.octaveCents() - then.octaveCents(), within(0.01))
                .isLessThan(-Trueness.FALSE_OCTAVE_CENTS);
        assertThat(later.since(first).verdict()).contains(Verdict.FALSE);
        assertThat(later.ringing().orElseThrow().scatterCents())
                .isGreaterThan(first.ringing().orElseThrow().scatterCents() + 0.5);
        assertThat(trueness(then, 3).since(first).verdict()).contains(Verdict.TRUE);
    }

    private static Trueness trueness(Uneven string, int seed) {
        double cents = string.octaveCents();
        return new Trueness(
                Optional.of(Octave.of(List.of(0.0, 1.0, -1.0), List.of(cents + 1, cents, cents - 1))),
                Optional.of(rang(string.hertz(), string.plucked(0.001, seed))));
    }

    /** A tone that has sounded since the ear began, and one that is too short, tell nothing of how they ring. */
    @Test
    void onlyAWholePluckTells() {
        double[] values = new Uneven(440, 1e-4, x -> 0).plucked(0.001, 4);
        int begins = (int) (BEGINS_SECONDS * RATE);
        assertThat(notices(440, Arrays.copyOfRange(values, begins, values.length)))
                .noneMatch(Notice.Rang.class::isInstance);
        assertThat(notices(440, Arrays.copyOf(values, begins + (int) (0.7 * RATE))))
                .noneMatch(Notice.Rang.class::isInstance)
                .anyMatch(Notice.Read.class::isInstance);
    }

    /** The doubt of a reading is part of what is said of it. */
    @ParameterizedTest
    @CsvSource({"0,TRUE", "4.9,TRUE", "5.1,IN_DOUBT", "-7,IN_DOUBT", "-8.1,FALSE", "20,FALSE"})
    void anOctaveReadOnceIsInDoubtForLonger(double moved, Verdict verdict) {
        Trueness first = new Trueness(Optional.of(Octave.once(3)), Optional.empty());
        Trueness now = new Trueness(Optional.of(Octave.once(3 + moved)), Optional.empty());
        assertThat(now.since(first).verdict()).contains(verdict);
    }

    @Test
    void whatCannotBeComparedIsNotJudged() {
        Trueness octave = new Trueness(Optional.of(Octave.once(3)), Optional.empty());
        Trueness rang = new Trueness(Optional.empty(), Optional.of(new Ringing(1e-4, 1, 8)));
        assertThat(rang.since(octave).verdict()).isEmpty();
        assertThat(new Trueness(Optional.empty(), Optional.of(new Ringing(1e-4, 0.2, 8)))
                        .since(new Trueness(Optional.empty(), Optional.of(new Ringing(1e-4, 9, 8))))
                        .verdict())
                .as("nearer to its line is no fault")
                .contains(Verdict.TRUE);
        assertThatThrownBy(() -> new Trueness(Optional.empty(), Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(Octave.of(List.of(0.0, 12.0), List.of(3.0)).doubtCents())
                .as("readings that lie apart are known worse")
                .isGreaterThan(Octave.of(List.of(5.0, 6.0), List.of(3.0)).doubtCents());
    }

    /** Octave and partials are each judged against the first reading that had them. */
    @Test
    void eachIsJudgedAgainstItsOwnFirst() {
        Trueness rang = new Trueness(Optional.empty(), Optional.of(new Ringing(1e-4, 1, 8)));
        Trueness both = new Trueness(Optional.of(Octave.once(3)), Optional.of(new Ringing(1e-4, 1, 8)));
        Trueness octave = new Trueness(Optional.of(Octave.once(-9)), Optional.empty());
        assertThat(Trueness.sinceTheFirst(List.of(rang, both, octave)))
                .extracting(Trueness.Change::verdict)
                .containsExactly(Optional.empty(), Optional.of(Verdict.TRUE), Optional.of(Verdict.FALSE));
        assertThat(Trueness.sinceTheFirst(List.of())).isEmpty();
    }

    /** A partial's place says how stiff the string is, in cents a player can picture. */
    @Test
    void stiffnessIsHeardAsSharpness() {
        assertThat(new Ringing(1e-4, 0, 8).sharpCents(8)).isCloseTo(5.43, within(0.01));
        assertThat(new Ringing(1e-4, 0, 8).sharpCents(1)).isZero();
    }
}
