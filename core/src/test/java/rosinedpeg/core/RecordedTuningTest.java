package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.hearing.Awaited;
import rosinedpeg.core.hearing.RecordedTuning;
import rosinedpeg.core.hearing.RecordedTuning.Tuned;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.strings.Position;

/** A recording of somebody who tunes, from plucks whose pitch is known. */
class RecordedTuningTest {

    private static final double RATE = 22_050;

    private final Awaited violin = Awaited.open(Examples.VIOLIN);
    private final RecordedTuning recorded = new RecordedTuning(violin, RATE);

    private void pluck(Position position, double cents) {
        double hertz = new Cents(cents).above(position.in(violin.hertz()));
        double[] values = new double[(int) (1.3 * RATE)];
        int begins = (int) (0.4 * RATE);
        for (int n = 1; n <= 8; n++) {
            for (int i = begins; i < values.length; i++) {
                double seconds = (i - begins) / RATE;
                values[i] += 0.3
                        * Math.sin(n * Math.PI * 0.22)
                        / n
                        * Math.exp(-seconds * (3 + n))
                        * Math.sin(2 * Math.PI * n * hertz * seconds);
            }
        }
        for (int from = 0; from < values.length; from += 4000) {
            recorded.hear(Arrays.copyOfRange(values, from, Math.min(values.length, from + 4000)));
        }
    }

    @Test
    void eachStringIsFoundAndLeft() {
        pluck(Position.II, -38);
        pluck(Position.II, -21);
        pluck(Position.III, -2);
        pluck(Position.II, 1);
        assertThat(recorded.strings()).containsOnlyKeys(Position.II, Position.III);
        Tuned second = recorded.strings().get(Position.II);
        assertThat(second.found().value()).isCloseTo(-38, within(1.0));
        assertThat(second.left().value()).isCloseTo(1, within(1.0));
        assertThat(second.readings()).isEqualTo(3);
        assertThat(second.retuned()).isTrue();
        assertThat(second.foundAtSeconds()).isBetween(0.4, 1.3);
        assertThat(second.leftAtSeconds()).isBetween(4.3, 5.2);
        assertThat(recorded.strings().get(Position.III).retuned()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"-40,0,true", "-40,-30,false", "-3,0,false", "-20,9,true", "-20,45,false"})
    void whatWasBroughtToItsPitchWasTuned(double found, double left, boolean retuned) {
        assertThat(new Tuned(1, new Cents(found), 2, new Cents(left), 2).retuned())
                .isEqualTo(retuned);
    }
}
