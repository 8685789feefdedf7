package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.dates.BridgeWatch;
import rosinedpeg.core.dates.ChangeWindow;
import rosinedpeg.core.dates.SafeChange;
import rosinedpeg.core.dates.SafeChange.Performance;
import rosinedpeg.core.settling.SettlingForecast;
import rosinedpeg.core.settling.Steadiness;
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

    /** Steel settles soonest: last it costs nothing, first it lets the others begin no later. */
    @Test
    void oneADayTheStringThatSettlesLongestDecidesWhenToBegin() {
        List<ChangeWindow> inOrder = List.of(
                window(StringCore.SYNTHETIC, 10), window(StringCore.GUT, 10), window(StringCore.PLAIN_STEEL, 10));
        Instant begin = IntStream.range(0, 3)
                .mapToObj(day -> inOrder.get(day).ofWorkBegun(day).latest())
                .min(Comparator.naturalOrder())
                .orElseThrow();
        assertThat(begin).isEqualTo(inOrder.get(1).latest().minus(Duration.ofDays(1)));
        for (int day = 0; day < 3; day++) {
            assertThat(inOrder.get(day).inTime(begin.plus(Duration.ofDays(day))))
                    .isTrue();
        }
        assertThat(inOrder.get(1).inTime(begin.plus(Duration.ofDays(1)).plusSeconds(1)))
                .isFalse();
    }

    /** Against every hour of the weeks before, tried one by one. */
    @Property(tries = 300)
    void aSafeChangeSpoilsNothingAndNoLaterOneDoesAsWell(
            @ForAll @Size(max = 6) List<@IntRange(min = 1, max = 900) Integer> beginHours,
            @ForAll @IntRange(min = -100, max = 1000) int dueHour,
            @ForAll StringCore core) {
        Instant now = OPENING;
        List<Performance> performances = beginHours.stream()
                .map(hour -> new Performance(
                        hour % 3 == 0 ? Steadiness.CONCERT : Steadiness.REHEARSAL, now.plus(Duration.ofHours(hour))))
                .toList();
        Instant due = now.plus(Duration.ofHours(dueHour));
        SafeChange safe = SafeChange.of(core, performances, due, now);
        assertThat(safe.latest()).isAfterOrEqualTo(now);
        assertThat(spoils(core, performances, safe.latest())).isFalse();
        Optional<Performance> wanted = performances.stream()
                .filter(one -> !one.beginsAt().isBefore(due))
                .min(Comparator.comparing(Performance::beginsAt));
        Instant reach = safe.playedFirst()
                .map(first -> ChangeWindow.latest(core, first.steadiness(), first.beginsAt()))
                .orElse(safe.latest());
        for (Instant hour = now; !hour.isAfter(reach); hour = hour.plus(Duration.ofHours(1))) {
            if (hour.isAfter(safe.latest())) {
                assertThat(spoils(core, performances, hour))
                        .as("%s is later", hour)
                        .isTrue();
            }
            if (safe.tooSoon().isPresent() && hour.isBefore(wanted.orElseThrow().beginsAt())) {
                assertThat(spoils(core, performances, hour))
                        .as("%s is in time for the first", hour)
                        .isTrue();
            }
        }
        assertThat(safe.tooSoon().or(safe::playedFirst)).isEqualTo(wanted);
    }

    private static boolean spoils(StringCore core, List<Performance> performances, Instant change) {
        return performances.stream()
                .anyMatch(one -> change.isAfter(ChangeWindow.latest(core, one.steadiness(), one.beginsAt()))
                        && change.isBefore(one.beginsAt()));
    }

    @Test
    void theBridgeIsLookedAtForAWeek() {
        LocalDate changed = LocalDate.of(2026, 12, 7);
        assertThat(IntStream.range(-1, 12)
                        .filter(days -> BridgeWatch.asksOn(changed, changed.plusDays(days)))
                        .boxed())
                .containsExactly(0, 1, 2, 3, 4, 5, 6);
    }
}
