package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.settling.Behaviour;
import rosinedpeg.core.settling.Interval;
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
            readings.add(
                    new SettlingReading(hour, -truth.lostCents(hour) + random.nextGaussian() * spreadCents, false));
        }
        return readings;
    }

    private static Behaviour latest(StringCore core, List<SettlingReading> readings) {
        return SettlingFit.of(core, readings).latest().orElseThrow().behaviour();
    }

    @ParameterizedTest
    @EnumSource(StringCore.class)
    void withoutReadingsTheDefaultStands(StringCore core) {
        SettlingFit fit = SettlingFit.of(core, List.of());
        assertThat(fit.forecast().totalCents())
                .isCloseTo(SettlingForecast.usual(core).totalCents(), within(1e-6));
        assertThat(fit.latest()).isEmpty();
        Interval steady = fit.steadyAtHours(Steadiness.CONCERT);
        assertThat(steady.best()).isBetween(steady.low(), steady.high());
        assertThat(steady.high() / steady.low()).as("nothing is known yet").isGreaterThan(1.5);
    }

    /** Strings scatter about their core's default; the truth lies in the interval about nine times in ten, however they are read. */
    @ParameterizedTest
    @CsvSource({"0, 4, false", "3, 4, false", "3, 8, false", "6, 4, false", "6, 8, false", "6, 8, true"})
    void theTruthLiesInTheIntervalNineTimesInTen(int many, double noiseCents, boolean retunes) {
        for (StringCore core : StringCore.values()) {
            assertThat(new SettlingSimulation(7, 400).coverage(core, Steadiness.CONCERT, many, noiseCents, retunes))
                    .as("%s, %d readings at %s cents", core, many, noiseCents)
                    .isBetween(0.84, 0.96);
        }
    }

    /** A string that never slips is hardly ever said to; one that does is found, or said to be undecided. */
    @ParameterizedTest
    @EnumSource(StringCore.class)
    void slipsAreFoundAndNotMadeUp(StringCore core) {
        for (boolean retunes : new boolean[] {false, true}) {
            SettlingSimulation simulation = new SettlingSimulation(11, 300);
            assertThat(simulation.alarms(core, 4, retunes).falseAlarms()).isLessThan(0.03);
            assertThat(simulation.alarms(core, 8, retunes).falseAlarms()).isLessThan(0.04);
            SettlingSimulation.Found four = simulation.found(core, 4, retunes);
            SettlingSimulation.Found eight = simulation.found(core, 8, retunes);
            assertThat(four.found() + four.undecided()).isGreaterThan(0.98);
            assertThat(eight.found() + eight.undecided()).isGreaterThan(0.88);
        }
    }

    @Property(tries = 100)
    void readingsWithoutScatterAreFollowed(
            @ForAll @DoubleRange(min = 0.6, max = 1.6) double total,
            @ForAll @DoubleRange(min = 0.6, max = 1.6) double tau) {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        SettlingForecast truth = new SettlingForecast(usual.totalCents() * total, usual.tauHours() * tau);
        SettlingFit found = SettlingFit.of(StringCore.SYNTHETIC, readings(truth, new Random(1), 0));
        for (double hour : HOURS) {
            assertThat(found.forecast().lostCents(hour)).isCloseTo(truth.lostCents(hour), within(6.0));
        }
    }

    /** What is read badly widens the interval. */
    @Test
    void scatterWidensTheInterval() {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        SettlingFit well = SettlingFit.of(StringCore.SYNTHETIC, readings(usual, new Random(3), 2));
        SettlingFit badly = SettlingFit.of(StringCore.SYNTHETIC, readings(usual, new Random(3), 12));
        assertThat(badly.scatterCents()).isGreaterThan(1.8 * well.scatterCents());
        assertThat(width(badly)).isGreaterThan(1.15 * width(well));
    }

    private static double width(SettlingFit fit) {
        Interval steady = fit.steadyAtHours(Steadiness.CONCERT);
        return steady.high() / steady.low();
    }

    /** A slip is named, and what it lost is cut out of the fit. */
    @Test
    void aSlipIsNamedAndCutOut() {
        SettlingForecast usual = SettlingForecast.usual(StringCore.SYNTHETIC);
        List<SettlingReading> asExpected = readings(usual, new Random(2), 2);
        assertThat(latest(StringCore.SYNTHETIC, asExpected)).isEqualTo(Behaviour.SETTLING);

        List<SettlingReading> slipped = new ArrayList<>(asExpected);
        for (double hours : new double[] {38, 44, 60}) {
            slipped.add(new SettlingReading(hours, -usual.lostCents(hours) - 60, false));
        }
        SettlingFit fit = SettlingFit.of(StringCore.SYNTHETIC, slipped);
        assertThat(fit.sinkings())
                .extracting(sinking -> sinking.behaviour() == Behaviour.SLIPPING)
                .containsExactly(false, false, false, false, false, false, true, false, false);
        assertThat(fit.forecast().lostCents(60)).isCloseTo(usual.lostCents(60), within(12.0));

        assertThat(latest(StringCore.SYNTHETIC, List.of(new SettlingReading(1, -250, false))))
                .isEqualTo(Behaviour.BEDDING_IN);
    }

    /** All it lost, as if it had never been retuned; every retuning begins again from its pitch. */
    @Test
    void lossesAddUpOverRetunings() {
        List<SettlingReading> readings = List.of(
                new SettlingReading(5, -30, false),
                new SettlingReading(1, -40, true),
                new SettlingReading(2, -10, true),
                new SettlingReading(9, -5, false));
        assertThat(SettlingReading.losses(readings)).containsExactly(40.0, 50.0, 80.0, 55.0);
    }
}
