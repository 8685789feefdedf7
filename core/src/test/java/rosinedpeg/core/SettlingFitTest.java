package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.settling.Behaviour;
import rosinedpeg.core.settling.SettlingFit;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.SettlingReading;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;

class SettlingFitTest {

    private static final double[] HOURS = {1, 3, 6, 12, 24, 36};

    private static List<SettlingReading> readings(SettlingForecast truth, Random random, double spreadCents) {
        List<SettlingReading> readings = new ArrayList<>();
        for (double hour : HOURS) {
            readings.add(new SettlingReading(hour, truth.lostCents(hour) + random.nextGaussian() * spreadCents));
        }
        return readings;
    }

    @ParameterizedTest
    @EnumSource(StringCore.class)
    void withoutReadingsTheDefaultStands(StringCore core) {
        SettlingFit fit = SettlingFit.of(core, List.of());
        assertThat(fit.forecast().totalCents())
                .isCloseTo(SettlingForecast.usual(core).totalCents(), within(1e-6));
        SettlingFit.Interval steady = fit.steadyAtHours(Steadiness.CONCERT);
        assertThat(steady.best()).isBetween(steady.low(), steady.high());
        assertThat(steady.high() / steady.low()).as("nothing is known yet").isGreaterThan(1.5);
    }

    /** Strings scatter about their core's default as the fit assumes; the truth must lie in the interval about nine times in ten. */
    @Test
    void recoversMadeUpTruthWithinItsIntervalAtTheStatedRate() {
        Random random = new Random(20260901);
        int inside = 0;
        int tries = 600;
        for (int i = 0; i < tries; i++) {
            SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
            SettlingForecast truth = new SettlingForecast(
                    usual.totalCents() * Math.exp(random.nextGaussian() * SettlingFit.SPREAD_LN_TOTAL),
                    usual.tauHours() * Math.exp(random.nextGaussian() * SettlingFit.SPREAD_LN_TAU));
            SettlingFit.Interval steady = SettlingFit.of(
                            StringCore.SYNTHETIC, readings(truth, random, SettlingFit.READING_SPREAD_CENTS))
                    .steadyAtHours(Steadiness.CONCERT);
            double actual = truth.steadyAtHours(Steadiness.CONCERT);
            if (actual >= steady.low() && actual <= steady.high()) {
                inside++;
            }
        }
        assertThat((double) inside / tries).isBetween(0.86, 0.94);
    }

    @Property(tries = 100)
    void readingsWithoutScatterAreFollowed(
            @ForAll @DoubleRange(min = 0.6, max = 1.6) double total,
            @ForAll @DoubleRange(min = 0.6, max = 1.6) double tau) {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        SettlingForecast truth = new SettlingForecast(usual.totalCents() * total, usual.tauHours() * tau);
        SettlingForecast found = SettlingFit.of(StringCore.SYNTHETIC, readings(truth, new Random(1), 0))
                .forecast();
        for (double hour : HOURS) {
            assertThat(found.lostCents(hour)).isCloseTo(truth.lostCents(hour), within(6.0));
        }
    }

    @Test
    void tellsSettlingFromASlippingPeg() {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        List<SettlingReading> asExpected = readings(usual, new Random(2), 2);
        assertThat(Behaviour.of(StringCore.SYNTHETIC, asExpected)).isEqualTo(Behaviour.SETTLING);

        List<SettlingReading> slipped = new ArrayList<>(asExpected);
        slipped.add(new SettlingReading(38, usual.lostCents(38) + 60));
        assertThat(Behaviour.of(StringCore.SYNTHETIC, slipped)).isEqualTo(Behaviour.SLIPPING);

        assertThat(Behaviour.of(StringCore.SYNTHETIC, List.of(new SettlingReading(1, 150))))
                .isEqualTo(Behaviour.BEDDING_IN);
        assertThatThrownBy(() -> Behaviour.of(StringCore.GUT, List.of())).hasMessageContaining("readings is empty");
    }
}
