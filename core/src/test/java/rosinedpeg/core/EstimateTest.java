package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.estimate.KaplanMeier;
import rosinedpeg.core.estimate.KaplanMeier.Fall;
import rosinedpeg.core.estimate.KaplanMeier.Watched;
import rosinedpeg.core.estimate.Posterior;

/** How good a figure is that was learned. */
class EstimateTest {

    private static List<Watched> watched(List<Integer> lengths, boolean over) {
        return lengths.stream().map(length -> new Watched(length, over)).toList();
    }

    private static double after(List<Fall> falls, double length) {
        return falls.stream()
                .filter(fall -> fall.length() <= length)
                .reduce((earlier, later) -> later)
                .map(Fall::share)
                .orElse(1.0);
    }

    /** Where all were watched to their end it is what anybody would count. */
    @Property
    void whereAllAreOverItIsTheShareThatAnybodyWouldCount(
            @ForAll @Size(min = 1, max = 20) List<@IntRange(max = 12) Integer> lengths,
            @ForAll @IntRange(max = 13) int after) {
        assertThat(after(KaplanMeier.of(watched(lengths, true)), after))
                .isCloseTo(
                        lengths.stream().filter(length -> length > after).count() / (double) lengths.size(),
                        within(1e-12));
    }

    /** The share only falls, never below none; who is still watched can only raise it. */
    @Property
    void whoIsStillWatchedRaisesIt(
            @ForAll @Size(min = 1, max = 12) List<@IntRange(max = 12) Integer> over,
            @ForAll @Size(max = 12) List<@IntRange(max = 12) Integer> still,
            @ForAll @IntRange(max = 13) int after) {
        List<Watched> both = new ArrayList<>(watched(over, true));
        both.addAll(watched(still, false));
        List<Fall> falls = KaplanMeier.of(both);
        double last = 1;
        for (Fall fall : falls) {
            assertThat(fall.share()).isBetween(0.0, last);
            last = fall.share();
        }
        assertThat(after(falls, after))
                .isGreaterThanOrEqualTo(after(KaplanMeier.of(watched(over, true)), after) - 1e-12);
        assertThat(falls.stream().mapToInt(Fall::ended).sum()).isEqualTo(over.size());
    }

    /** Two that scatter as Gauss has it, leaning on one another: what follows from both has the known hundredths. */
    @ParameterizedTest
    @CsvSource({"1, 0, 0.3", "0, 1, 0.3", "1, 1, 0.3", "1, -1, -0.6", "2, 0.5, 0.8"})
    void theHundredthsOfWhatFollowsAreThoseOfItsLaw(double ofFirst, double ofSecond, double leaning) {
        double first = 0.5;
        double second = 0.2;
        double both = leaning * first * second;
        double determinant = first * first * second * second - both * both;
        Posterior posterior = new Posterior(
                3,
                -1,
                new Posterior.Scatter(first * first, second * second, both),
                Posterior.Laid.ASKEW,
                (one, other) -> -((one - 3) * (one - 3) * second * second
                                - 2 * (one - 3) * (other + 1) * both
                                + (other + 1) * (other + 1) * first * first)
                        / determinant
                        / 2);
        Posterior.Following following = posterior.following((one, other) -> ofFirst * one + ofSecond * other);
        double spread = Math.sqrt(ofFirst * ofFirst * first * first
                + 2 * ofFirst * ofSecond * both
                + ofSecond * ofSecond * second * second);
        double middle = 3 * ofFirst - ofSecond;
        assertThat(following.below(0.05)).isCloseTo(middle - 1.645 * spread, within(0.06 * spread));
        assertThat(following.below(0.5)).isCloseTo(middle, within(0.03 * spread));
        assertThat(following.below(0.95)).isCloseTo(middle + 1.645 * spread, within(0.06 * spread));
    }

    @Test
    void whatDoesNotScatterIsRefused() {
        assertThatThrownBy(() -> new Posterior.Scatter(0, 1, 0)).hasMessageContaining("must be above 0");
        assertThatThrownBy(() -> new Watched(-1, true)).hasMessageContaining("0 or more");
    }
}
