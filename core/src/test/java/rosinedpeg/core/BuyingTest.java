package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.buying.Budget;
import rosinedpeg.core.buying.Budget.Change;
import rosinedpeg.core.buying.Coming;
import rosinedpeg.core.buying.Shortfall;
import rosinedpeg.core.buying.Shortfall.How;

/** What to buy, by when, and what a sum allows. */
class BuyingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);

    @Test
    void wantsAreMetByWhatLiesThereThenByWhatComesAndTheRestIsMissing() {
        Shortfall shortfall = Shortfall.of(
                List.of(DAY.plusDays(20), DAY, DAY.plusDays(2), DAY.plusDays(30)),
                1,
                List.of(new Coming(DAY.plusDays(40), 1), new Coming(DAY.plusDays(1), 1)),
                2,
                6);
        assertThat(shortfall.wants())
                .extracting(Shortfall.Met::how)
                .containsExactly(How.THERE, How.COMING, How.COMING_LATE, How.MISSING);
        assertThat(shortfall.sendBy()).contains(DAY.plusDays(24));
        assertThat(shortfall.toLieReady()).isEqualTo(2);
        assertThat(shortfall.toBuy()).isEqualTo(3);
    }

    /** Whatever is ordered is never ordered again: what was bought is enough, and not one string too many. */
    @Property
    void nothingIsOrderedTwiceForOneNeed(
            @ForAll @Size(max = 12) List<@IntRange(max = 60) Integer> wanted,
            @ForAll @IntRange(max = 8) int there,
            @ForAll @IntRange(max = 5) int ready,
            @ForAll @IntRange(max = 20) int leadDays) {
        List<LocalDate> days = wanted.stream().map(DAY::plusDays).toList();
        Shortfall first = Shortfall.of(days, there, List.of(), ready, leadDays);
        assertThat(first.toBuy()).isEqualTo(Math.max(0, days.size() + ready - there));
        assertThat(first.sendBy().isPresent()).isEqualTo(days.size() > there);
        if (first.toBuy() > 0) {
            Shortfall sent = Shortfall.of(
                    days, there, List.of(new Coming(DAY.plusDays(leadDays), first.toBuy())), ready, leadDays);
            assertThat(sent.toBuy()).isZero();
            assertThat(sent.sendBy()).isEqualTo(Optional.empty());
            Shortfall arrived = Shortfall.of(days, there + first.toBuy(), List.of(), ready, leadDays);
            assertThat(arrived.toBuy()).isZero();
        }
    }

    /** Every choice is tried: none is worth more. */
    @Property(tries = 300)
    void aSmallChoiceIsTheBestThereIs(
            @ForAll @Size(max = 9) List<@IntRange(max = 40) Integer> costs,
            @ForAll @Size(min = 9, max = 9) List<@IntRange(max = 30) Integer> worths,
            @ForAll @IntRange(max = 120) int sum) {
        List<Change> changes = IntStream.range(0, costs.size())
                .mapToObj(i -> new Change(costs.get(i), worths.get(i)))
                .toList();
        double best = 0;
        for (int choice = 0; choice < 1 << changes.size(); choice++) {
            int set = choice;
            List<Change> taken = IntStream.range(0, changes.size())
                    .filter(i -> (set >> i & 1) == 1)
                    .mapToObj(changes::get)
                    .toList();
            if (taken.stream().mapToLong(Change::costMinor).sum() <= sum) {
                best = Math.max(best, taken.stream().mapToDouble(Change::worth).sum());
            }
        }
        Budget budget = Budget.of(changes, sum);
        assertThat(budget.worth()).isCloseTo(best, within(1e-9));
        assertThat(budget.isBest()).isTrue();
        assertThat(budget.costMinor()).isLessThanOrEqualTo(sum);
        assertThat(budget.costMinor())
                .isEqualTo(budget.chosen().stream()
                        .mapToLong(i -> changes.get(i).costMinor())
                        .sum());
    }

    /** As many as a shelf has, against a table over every sum of money (Bellman, 1957). */
    @Property(tries = 200)
    void manyChangesComeToTheBestThereIs(
            @ForAll @Size(min = 1, max = 60) List<@IntRange(max = 90) Integer> costs,
            @ForAll @Size(min = 60, max = 60) List<@IntRange(max = 40) Integer> worths,
            @ForAll @IntRange(max = 2000) int sum) {
        List<Change> changes = IntStream.range(0, costs.size())
                .mapToObj(i -> new Change(costs.get(i), worths.get(i) / 3.0))
                .toList();
        double[] best = new double[sum + 1];
        for (Change change : changes) {
            for (int money = sum; money >= change.costMinor(); money--) {
                best[money] = Math.max(best[money], best[money - (int) change.costMinor()] + change.worth());
            }
        }
        Budget budget = Budget.of(changes, sum);
        assertThat(budget.worth()).isCloseTo(best[sum], within(1e-9));
        assertThat(budget.isBest()).isTrue();
        assertThat(budget.costMinor()).isLessThanOrEqualTo(sum);
    }

    /** Every change is worth its price, and no choice comes to an odd sum: a choice that fits, within a bound that holds. */
    @Test
    void tooManyChoicesSayHowFarFromTheBestTheyMayBe() {
        List<Change> changes = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            long cost = 2 * (10_000 + i * 7919L % 50_000);
            changes.add(new Change(cost, cost));
        }
        Budget budget = Budget.of(changes, 7_000_001);
        assertThat(budget.costMinor()).isLessThanOrEqualTo(7_000_001);
        assertThat(budget.isBest()).isFalse();
        assertThat(budget.bound()).isEqualTo(7_000_001);
        assertThat(budget.worth()).isGreaterThan(0.98 * budget.bound());
        assertThat(Budget.of(changes, 100_000_000).chosen()).hasSize(400);
    }
}
