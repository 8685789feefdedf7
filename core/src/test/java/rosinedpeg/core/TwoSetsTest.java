package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.dates.SafeChange.Performance;
import rosinedpeg.core.settling.Steadiness;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.week.TwoSets;

/** Two sets in turn: on open days only, each its weeks, and together as long as one after the other. */
class TwoSetsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final Life LIFE = new Life(300, 30);

    private static Map<Position, TwoSets.SetString> set(double hours) {
        return Map.of(Position.II, new TwoSets.SetString(StringCore.SYNTHETIC, new Wear(hours, 0, 0, LIFE)));
    }

    private static TwoSets.Asked asked(
            double onHours,
            double restingHours,
            double perWeek,
            int weeks,
            Set<LocalDate> shut,
            Performance... played) {
        return new TwoSets.Asked(
                set(onHours), set(restingHours), 1, perWeek, DAY, DAY, weeks, shut, List.of(played), ZoneOffset.UTC);
    }

    /** Whatever is worn and played: every turn waits for its weeks and its day, and what is played wears out what is on. */
    @Property(tries = 300)
    void turnsTakeTurns(
            @ForAll @DoubleRange(min = 0, max = 250) double on,
            @ForAll @DoubleRange(min = 0, max = 250) double resting,
            @ForAll @DoubleRange(min = 0, max = 40) double perWeek,
            @ForAll @IntRange(min = 1, max = 26) int weeks,
            @ForAll @Size(max = 20) Set<@IntRange(max = 360) Integer> shutDays,
            @ForAll @IntRange(max = 200) int playedIn) {
        Set<LocalDate> shut = shutDays.stream().map(DAY::plusDays).collect(Collectors.toSet());
        Performance concert = new Performance(
                Steadiness.CONCERT, DAY.plusDays(playedIn).atTime(19, 30).toInstant(ZoneOffset.UTC));
        TwoSets found = TwoSets.of(asked(on, resting, perWeek, weeks, shut, concert));
        LocalDate since = DAY;
        LocalDate wanted = DAY;
        double[] worn = {new Wear(resting, 0, 0, LIFE).worn(), new Wear(on, 0, 0, LIFE).worn()};
        boolean restingNext = true;
        for (TwoSets.Turn turn : found.turns()) {
            assertThat(turn.day()).isAfterOrEqualTo(wanted);
            assertThat(shut).doesNotContain(turn.day());
            assertThat(turn.resting()).isEqualTo(restingNext);
            if (!turn.day().isAfter(DAY.plusDays(playedIn))) {
                assertThat(turn.holdsFor().get(Steadiness.CONCERT)).isBeforeOrEqualTo(concert.beginsAt());
            }
            long days = ChronoUnit.DAYS.between(since, turn.day());
            int off = restingNext ? 1 : 0;
            worn[off] += days * (perWeek / 7 / LIFE.hours() + 24 / Wear.HOURS_PER_MONTH / LIFE.months());
            assertThat(turn.comesOff()).isEqualTo(worn[off], within(1e-9)).isLessThan(1 + 1e-9);
            assertThat(turn.goesOn()).isEqualTo(worn[1 - off], within(1e-9));
            restingNext = !restingNext;
            since = turn.day();
            wanted = since.plusWeeks(weeks);
        }
        if (found.until().isPresent()) {
            long days = ChronoUnit.DAYS.between(since, found.until().get().day());
            assertThat(worn[restingNext ? 1 : 0]
                            + days * (perWeek / 7 / LIFE.hours() + 24 / Wear.HOURS_PER_MONTH / LIFE.months()))
                    .isGreaterThanOrEqualTo(1 - 1e-9);
        }
    }

    /** By hand: 10 h a week of 300 and 30 months; 50 h left are 28.5 days. */
    @Test
    void whatIsOnIsDueLaterForTheWeeksItRests() {
        TwoSets found = TwoSets.of(asked(250, 0, 10, 4, Set.of()));
        assertThat(found.alone()).contains(new TwoSets.Due(DAY.plusDays(29), Position.II));
        assertThat(found.turns())
                .extracting(TwoSets.Turn::day)
                .startsWith(DAY, DAY.plusWeeks(4), DAY.plusWeeks(8), DAY.plusWeeks(12));
        assertThat(found.until()).contains(new TwoSets.Due(DAY.plusWeeks(12).plusDays(29 - 28), Position.II));
    }

    /** By hand: 1.556 h a week of 300 and 30 months take a third in 181.6 days; the second turn and 182 days are the last day looked at. */
    @Test
    void whatIsSpentOnTheLastDayTakesNoTurnMore() {
        TwoSets found = TwoSets.of(asked(200, 0, 1.556, 26, Set.of()));
        assertThat(found.turns()).extracting(TwoSets.Turn::day).containsExactly(DAY, DAY.plusWeeks(26));
        assertThat(found.until()).contains(new TwoSets.Due(DAY.plusWeeks(52), Position.II));
    }

    @Test
    void nothingIsPlayedOnWhatIsSpent() {
        Optional<TwoSets.Due> due = Optional.of(new TwoSets.Due(DAY, Position.II));
        TwoSets spent = TwoSets.of(asked(300, 0, 10, 4, Set.of()));
        assertThat(spent).isEqualTo(new TwoSets(List.of(), due, due));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> asked(0, 0, 10, 27, Set.of()))
                .withMessageContaining("27");
    }
}
