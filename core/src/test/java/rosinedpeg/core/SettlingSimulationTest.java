package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.StringCore;

/** How often the settling of made-up strings is foretold rightly. */
class SettlingSimulationTest {

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
}
