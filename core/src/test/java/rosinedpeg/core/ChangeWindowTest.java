package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.Life;

class ChangeWindowTest {

    private static final Instant OPENING = Instant.parse("2026-12-07T19:30:00Z");
    private static final Life LIFE = new Life(300, 30);

    private static ChangeWindow window(StringCore core, double hoursPerWeek) {
        return ChangeWindow.of(core, LIFE, hoursPerWeek, Steadiness.CONCERT, OPENING);
    }

    @Test
    void steelMayBeChangedLaterThanGut() {
        assertThat(window(StringCore.PLAIN_STEEL, 10).latest())
                .isAfter(window(StringCore.SYNTHETIC, 10).latest());
        assertThat(window(StringCore.SYNTHETIC, 10).latest())
                .isAfter(window(StringCore.GUT, 10).latest());
    }

    @Test
    void theLatestMomentLeavesMoreThanTheForecastAsksFor() {
        Duration left = Duration.between(window(StringCore.SYNTHETIC, 10).latest(), OPENING);
        double steadyHours = SettlingForecast.usual(StringCore.SYNTHETIC).steadyAtHours(Steadiness.CONCERT);
        assertThat(left.toMinutes() / 60.0).isGreaterThan(steadyHours);
        assertThat(window(StringCore.SYNTHETIC, 10).inTime(OPENING)).isFalse();
    }

    @Property
    void theMoreItIsPlayedTheLaterItMakesSense(
            @ForAll @IntRange(min = 0, max = 60) int hours, @ForAll @IntRange(min = 0, max = 60) int more) {
        ChangeWindow less = window(StringCore.GUT, hours);
        ChangeWindow busier = window(StringCore.GUT, hours + more);
        assertThat(busier.earliest()).isAfterOrEqualTo(less.earliest());
        assertThat(busier.earliest()).isBeforeOrEqualTo(busier.latest());
    }

    @Test
    void oneADayIsInTimeAndADayApart() {
        Map<Position, ChangeWindow> windows = new EnumMap<>(Position.class);
        windows.put(Position.I, window(StringCore.PLAIN_STEEL, 10));
        windows.put(Position.II, window(StringCore.SYNTHETIC, 10));
        windows.put(Position.III, window(StringCore.SYNTHETIC, 10));
        Map<Position, Instant> days = ChangeWindow.onePerDay(windows);
        days.forEach(
                (position, day) -> assertThat(windows.get(position).inTime(day)).isTrue());
        List<Instant> sorted = new ArrayList<>(days.values());
        sorted.sort(null);
        for (int i = 1; i < sorted.size(); i++) {
            assertThat(Duration.between(sorted.get(i - 1), sorted.get(i))).isGreaterThanOrEqualTo(Duration.ofDays(1));
        }
        assertThat(days.get(Position.I)).as("what settles soonest goes last").isEqualTo(sorted.get(2));
    }
}
