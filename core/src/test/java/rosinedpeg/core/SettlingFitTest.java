package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.estimate.Interval;
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

    /** What fits of these readings give, to be compared when the way they are found is changed. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            PLAIN_STEEL |  | A 40.0, tau 8.00, scatter 5.40, rehearsal 0.00 0.69 2.10, concert 1.66 4.83 8.93
            ROPE_STEEL | 1 -20, 3 -30, 12 -50 | A 79.4, tau 10.96, scatter 4.32, rehearsal 2.02 2.75 3.49, concert 7.76 10.70 14.68, SETTLING 20.0 for 24.7 give 8.1
            SYNTHETIC | 1.5 -63, 5 -48 tuned, 16 -71 tuned | A 234.7, tau 25.03, scatter 18.94, rehearsal 6.22 10.90 16.27, concert 20.67 32.94 47.78, SETTLING 71.0 for 48.8 give 30.4
            SYNTHETIC | 1 -60, 6 -170, 24 -120, 48 -320 | A 314.0, tau 19.54, scatter 54.34, rehearsal 10.52 16.30 21.49, concert 25.94 40.14 57.07, UNDECIDED 200.0 for 35.3 give 64.4
            SYNTHETIC | 1 -90, 2 -160, 4 -300, 9 -310 | A 546.9, tau 10.67, scatter 33.66, rehearsal 16.26 24.60 36.05, concert 28.97 45.84 71.28, SETTLING 10.0 for 98.5 give 49.9
            GUT | 2 -40 tuned, 8 -60 tuned, 30 5, 31 -9 tuned, 60 -40 | A 276.2, tau 62.17, scatter 21.32, rehearsal 3.25 8.87 16.64, concert 21.93 38.26 57.69, SETTLING 40.0 for 40.6 give 36.4
            """)
    void fitsOnRecord(StringCore core, String read, String expected) {
        List<SettlingReading> readings = read == null
                ? List.of()
                : Arrays.stream(read.split(", "))
                        .map(one -> one.split(" "))
                        .map(one -> new SettlingReading(
                                Double.parseDouble(one[0]), Double.parseDouble(one[1]), one.length > 2))
                        .toList();
        SettlingFit fit = SettlingFit.of(core, readings);
        Interval rehearsal = fit.steadyAtHours(Steadiness.REHEARSAL);
        Interval concert = fit.steadyAtHours(Steadiness.CONCERT);
        String last = fit.latest()
                .map(sinking -> String.format(
                        Locale.ROOT,
                        ", %s %.1f for %.1f give %.1f",
                        sinking.behaviour(),
                        sinking.sankCents(),
                        sinking.expectedCents(),
                        sinking.spreadCents()))
                .orElse("");
        assertThat(String.format(
                        Locale.ROOT,
                        "A %.1f, tau %.2f, scatter %.2f, rehearsal %.2f %.2f %.2f, concert %.2f %.2f %.2f%s",
                        fit.forecast().totalCents(),
                        fit.forecast().tauHours(),
                        fit.scatterCents(),
                        rehearsal.low(),
                        rehearsal.best(),
                        rehearsal.high(),
                        concert.low(),
                        concert.best(),
                        concert.high(),
                        last))
                .isEqualTo(expected);
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
