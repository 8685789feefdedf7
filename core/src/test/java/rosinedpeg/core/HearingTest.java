package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.core.hearing.Hearing;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tone.PluckedString;

/** What the ear makes of strings whose pitch is known, and of what is no string. */
class HearingTest {

    private static final double BEGINS_SECONDS = 0.3;
    private static final double[] RATES = {8000, 11_025, 16_000, 22_050, 32_000, 44_100, 48_000};

    /** A string, so many cents off its pitch. */
    private static PluckedString string(SetUp setUp, Position position, double cents) {
        StringSpec spec = position.in(Examples.set(setUp));
        PluckedString inTune = PluckedString.of(setUp, spec, setUp.tensionN(spec));
        return new PluckedString(
                inTune.pitchHz() * Math.pow(2, cents / 1200), inTune.stiffness(), inTune.pluckedAt(), inTune.decay());
    }

    /** It is plucked after some silence, without the aliases of a lower rate. */
    private static double[] plucked(SetUp setUp, Position position, double cents, double rate) {
        PluckedString string = string(setUp, position, cents);
        double[] values = new double[(int) ((BEGINS_SECONDS + 0.8) * rate)];
        for (int n = 1; n <= 20 && string.partialHz(n) < 0.45 * rate; n++) {
            double strength = 0.3 * Math.sin(n * Math.PI * string.pluckedAt()) / n;
            for (int i = (int) (BEGINS_SECONDS * rate); i < values.length; i++) {
                double seconds = i / rate - BEGINS_SECONDS;
                values[i] +=
                        strength * Math.exp(-seconds * (3 + n)) * Math.sin(2 * Math.PI * string.partialHz(n) * seconds);
            }
        }
        return values;
    }

    private static List<Hearing> hear(Awaited awaited, double[] values, double rate) {
        return new Ear(awaited, rate).hear(Arrays.copyOf(values, Math.min(values.length, Ear.MOST_SAMPLES)));
    }

    private static List<Hearing.Heard> heard(List<Hearing> all) {
        return all.stream()
                .filter(Hearing.Heard.class::isInstance)
                .map(Hearing.Heard.class::cast)
                .toList();
    }

    private static double[] noise(double[] values, double loud, long seed) {
        Random random = new Random(seed);
        return Arrays.stream(values)
                .map(value -> value + loud * random.nextGaussian())
                .toArray();
    }

    @Property(tries = 60)
    void hearsAStringWhereItIs(
            @ForAll Family family, @ForAll @DoubleRange(min = -400, max = 400) double cents, @ForAll int seed) {
        SetUp setUp = Examples.instrument(family);
        Random random = new Random(seed);
        Position position =
                setUp.positions().get(random.nextInt(setUp.positions().size()));
        double rate = RATES[random.nextInt(RATES.length)];
        double[] values = noise(plucked(setUp, position, cents, rate), 0.003, seed);
        List<Hearing.Heard> heard = heard(hear(Awaited.open(setUp).inHand(position), values, rate));
        assertThat(heard).as("%s %s at %s Hz", family, position, rate).isNotEmpty();
        double sounding = string(setUp, position, cents).partialHz(1);
        assertThat(heard).allSatisfy(one -> {
            assertThat(one.string()).isEqualTo(position);
            assertThat(1200 * Math.log(one.hertz() / sounding) / Math.log(2)).isCloseTo(0, within(1.5));
        });
        double latest = sounding < 60 ? 0.5 : 0.25;
        assertThat(heard.get(0).atSeconds() - BEGINS_SECONDS).isLessThanOrEqualTo(latest);
    }

    /** Several who play one string beat, and a bow sways: what counts is the middle of it, not what is loudest at the moment. */
    @ParameterizedTest
    @CsvSource({"-8, 1, 7, 0, 2", "-3, 0, 3, 0, 0.5", "0, 0, 0, 25, 0.5"})
    void hearsTheMiddleOfWhatWavers(double one, double another, double third, double swayCents, double withinCents) {
        SetUp cello = Examples.instrument(Family.CELLO);
        double rate = 22_050;
        double[] values = new double[(int) ((BEGINS_SECONDS + 0.8) * rate)];
        for (double cents : List.of(one, another, third)) {
            PluckedString string = string(cello, Position.III, cents);
            double turns = 0;
            for (int i = (int) (BEGINS_SECONDS * rate); i < values.length; i++) {
                double seconds = i / rate - BEGINS_SECONDS;
                turns += string.pitchHz() * Math.pow(2, swayCents / 1200 * Math.sin(35 * seconds)) / rate;
                for (int n = 1; n <= 8; n++) {
                    values[i] += 0.1 / n * Math.sin(2 * Math.PI * n * turns);
                }
            }
        }
        List<Hearing.Heard> heard = heard(hear(Awaited.open(cello).inHand(Position.III), values, rate));
        double middle = string(cello, Position.III, 0).pitchHz();
        assertThat(heard)
                .filteredOn(each -> each.atSeconds() > BEGINS_SECONDS + 0.6)
                .hasSizeGreaterThan(3)
                .allSatisfy(each -> assertThat(1200 * Math.log(each.hertz() / middle) / Math.log(2))
                        .isCloseTo(0, within(withinCents)));
    }

    /** Where a piece of a steady sound is missing, as a busy device loses some, the string has not moved. */
    @ParameterizedTest
    @ValueSource(ints = {2, 5, 8, 13, 21})
    void aPieceThatIsMissingMovesNoString(int missingMs) {
        SetUp violin = Examples.instrument(Family.VIOLIN);
        double rate = 22_050;
        double[] values = new double[(int) (2.5 * rate)];
        for (int i = 0; i < values.length; i++) {
            double at = i / rate + (i < 1.5 * rate ? 0 : missingMs / 1e3);
            for (int n = 1; n <= 8; n++) {
                values[i] += 0.1
                        / n
                        * Math.sin(
                                2 * Math.PI * n * string(violin, Position.II, 0).pitchHz() * at);
            }
        }
        assertThat(heard(hear(Awaited.open(violin), values, rate)))
                .filteredOn(each -> each.atSeconds() > 1)
                .hasSizeGreaterThan(30)
                .extracting(each -> each.cents().value())
                .allSatisfy(cents -> assertThat(cents).isCloseTo(0, within(0.75)));
    }

    /** Two strokes of a bow that swells over a quarter of a second are two, and each is heard from its own beginning. */
    @Test
    void tellsSlowStrokesApart() {
        SetUp cello = Examples.instrument(Family.CELLO);
        double rate = 22_050;
        double[] values = new double[(int) (3 * rate)];
        Random random = new Random(5);
        for (int i = 0; i < values.length; i++) {
            double stroke = i / rate % 1.5 - 0.5;
            double swells = Math.exp(-8 * Math.max(0, 1 - stroke / 0.25));
            values[i] = 3e-4 * random.nextGaussian();
            for (int n = 1; n <= 8 && stroke > 0; n++) {
                values[i] += 0.1
                        / n
                        * swells
                        * Math.sin(
                                2 * Math.PI * n * string(cello, Position.III, 0).pitchHz() * i / rate);
            }
        }
        List<Hearing.Heard> heard = heard(hear(Awaited.open(cello).inHand(Position.III), values, rate));
        assertThat(heard)
                .extracting(Hearing.Heard::soundsSeconds)
                .allSatisfy(seconds -> assertThat(seconds).isLessThan(1.2));
        assertThat(heard).anySatisfy(each -> assertThat(each.atSeconds()).isGreaterThan(2.5));
    }

    /** A neighbour is told by its own pitch, though another string is in hand. */
    @Test
    void tellsAWrongString() {
        SetUp violin = Examples.VIOLIN;
        double[] values = plucked(violin, Position.III, 8, 44_100);
        assertThat(heard(hear(Awaited.open(violin).inHand(Position.II), values, 44_100)))
                .isNotEmpty()
                .allSatisfy(one -> {
                    assertThat(one.string()).isEqualTo(Position.III);
                    assertThat(one.cents().value()).isCloseTo(8, within(1.0));
                });
    }

    @ParameterizedTest
    @ValueSource(doubles = {-1000, -800, -600})
    void followsASlackString(double cents) {
        SetUp cello = Examples.instrument(Family.CELLO);
        double[] values = plucked(cello, Position.I, cents, 44_100);
        Awaited onlyOne =
                new Awaited(Map.of(Position.I, Awaited.open(cello).hertz().get(Position.I)), Optional.of(Position.I));
        assertThat(heard(hear(onlyOne, values, 44_100)))
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.cents().value()).isCloseTo(cents, within(3.0)));
    }

    /** A slack string passes where its neighbours could be, and is not taken for one of them that is where it was left. */
    @ParameterizedTest
    @ValueSource(doubles = {-1000, -880, -560})
    void tellsASlackStringFromItsNeighbours(double cents) {
        double[] values = plucked(Examples.VIOLIN, Position.II, cents, 44_100);
        assertThat(heard(hear(Awaited.open(Examples.VIOLIN).inHand(Position.II), values, 44_100)))
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.string()).isEqualTo(Position.II));
    }

    /** Clipped it has more partials than it had, all in their places. */
    @Test
    void bearsClipping() {
        double[] loud = Arrays.stream(plucked(Examples.VIOLIN, Position.III, -20, 44_100))
                .map(value -> 12 * value)
                .toArray();
        assertThat(heard(hear(Awaited.open(Examples.VIOLIN).inHand(Position.III), loud, 44_100)))
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.cents().value()).isCloseTo(-20, within(2.0)));
    }

    @ParameterizedTest
    @ValueSource(ints = {50, 60})
    void takesNoHumForAString(int mains) {
        double[] values = new double[60_000];
        for (int i = 0; i < values.length; i++) {
            for (int n = 1; n <= 8; n++) {
                values[i] += 0.05 / n * Math.sin(2 * Math.PI * mains * n * i / 44_100);
            }
        }
        for (Family family : Family.values()) {
            SetUp setUp = Examples.instrument(family);
            setUp.positions()
                    .forEach(position -> assertThat(heard(
                                    hear(Awaited.open(setUp).inHand(position), noise(values, 0.001, mains), 44_100)))
                            .as("%s %s", family, position)
                            .isEmpty());
        }
    }

    @Property(tries = 20)
    void takesNoNoiseForAString(@ForAll Family family, @ForAll int seed) {
        SetUp setUp = Examples.instrument(family);
        assertThat(heard(hear(Awaited.open(setUp), noise(new double[60_000], 0.1, seed), 44_100)))
                .isEmpty();
    }

    /** The line through the peaks of this noise passes all of them by. */
    @Test
    void takesNoLineThatPassesAllPeaksByForAString() {
        assertThat(heard(hear(Awaited.open(Examples.VIOLIN), noise(new double[60_000], 0.1, -1831788311), 44_100)))
                .isEmpty();
    }

    @Test
    void hearsSilence() {
        assertThat(hear(Awaited.open(Examples.VIOLIN), new double[44_100], 44_100))
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one).isInstanceOf(Hearing.Silence.class));
    }

    /** In whatever pieces samples come, the same is heard. */
    @Test
    void doesNotCareHowSamplesCome() {
        double[] values = plucked(Examples.VIOLIN, Position.II, 30, 48_000);
        Awaited awaited = Awaited.open(Examples.VIOLIN);
        Ear inPieces = new Ear(awaited, 48_000);
        List<Hearing> heard = new ArrayList<>();
        for (int at = 0; at < values.length; at += 777) {
            heard.addAll(inPieces.hear(Arrays.copyOfRange(values, at, Math.min(values.length, at + 777))));
        }
        assertThat(heard).isEqualTo(hear(awaited, values, 48_000));
    }

    @Test
    void refusesWhatIsNoSound() {
        Ear ear = new Ear(Awaited.open(Examples.VIOLIN), 44_100);
        assertThatThrownBy(() -> ear.hear(new double[] {Double.NaN})).hasMessageContaining("not a number");
        assertThatThrownBy(() -> ear.hear(new double[Ear.MOST_SAMPLES + 1])).hasMessageContaining("at most 96000");
        assertThatThrownBy(() -> new Ear(Awaited.open(Examples.VIOLIN), 7999)).hasMessageContaining("samplesPerSecond");
    }
}
