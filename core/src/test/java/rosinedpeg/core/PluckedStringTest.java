package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tone.PluckedString;

/** A plucked string sounds at its pitch, dies away, and is never louder than it starts. */
class PluckedStringTest {

    /** How much of a frequency is in some values, by correlation with a sine and a cosine of it. */
    private static double heard(double[] values, double hertz) {
        double sine = 0;
        double cosine = 0;
        for (int i = 0; i < values.length; i++) {
            double angle = 2 * Math.PI * hertz * i / PluckedString.SAMPLES_PER_SECOND;
            sine += values[i] * Math.sin(angle);
            cosine += values[i] * Math.cos(angle);
        }
        return Math.hypot(sine, cosine);
    }

    @Property(tries = 40)
    void itSoundsAtThePitchItsTensionGives(
            @ForAll Family family, @ForAll @DoubleRange(min = 0.2, max = 1.1) double share) {
        SetUp setUp = Examples.instrument(family);
        Map<Position, StringSpec> set = Examples.set(setUp);
        for (Position position : setUp.positions()) {
            StringSpec string = position.in(set);
            PluckedString plucked = PluckedString.of(setUp, string, share * setUp.tensionN(string));
            double expected = setUp.openString(position).frequencyHz(setUp.referenceA()) * Math.sqrt(share);
            double[] values = plucked.samples(1);
            double at = heard(values, plucked.partialHz(1));
            assertThat(plucked.pitchHz()).isCloseTo(expected, within(1e-9));
            assertThat(at).isGreaterThan(heard(values, expected * 1.05)).isGreaterThan(heard(values, expected * 0.95));
            assertThat(plucked.partialHz(2)).isGreaterThan(2 * plucked.pitchHz());
            assertThat(Arrays.stream(values).map(Math::abs).max().orElseThrow()).isBetween(0.2, 1.0);
            assertThat(loudness(values, 0)).isGreaterThan(loudness(values, values.length / 2));
        }
    }

    private static double loudness(double[] values, int from) {
        return Arrays.stream(values, from, from + values.length / 4)
                .map(value -> value * value)
                .sum();
    }

    @Test
    void whereItIsPluckedPartialsAreMissing() {
        PluckedString inTheMiddle = new PluckedString(220, 0, 0.5, PluckedString.Decay.usual(StringCore.GUT));
        double[] values = inTheMiddle.samples(1);
        assertThat(heard(values, 440)).isLessThan(0.02 * heard(values, 220));
        assertThat(heard(values, 660)).isGreaterThan(0.1 * heard(values, 220));
    }
}
