package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.stock.Level;
import rosinedpeg.core.stock.Likeness;
import rosinedpeg.core.stock.Lying;
import rosinedpeg.core.stock.SecondLife;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.wear.WearSign;

/** What lies in the drawer: which is taken first, what may go on again, what is nearest. */
class StockTest {

    @Provide
    Arbitrary<List<Lying>> drawer() {
        return Combinators.combine(
                        Arbitraries.integers()
                                .between(0, 400)
                                .map(LocalDate.EPOCH::plusDays)
                                .injectNull(0.2),
                        Arbitraries.longs().between(0, 50).map(Instant::ofEpochSecond),
                        Arbitraries.doubles().between(0, 1.5).injectNull(0.5),
                        Arbitraries.of(Lying.Where.class))
                .as((bought, entered, worn, where) ->
                        new Lying(Optional.ofNullable(bought), entered, Optional.ofNullable(worn), where))
                .list()
                .ofMinSize(1)
                .ofMaxSize(12);
    }

    @Property
    void aPlanTakesTheOldestNewOneAndLeavesTheCasesToTheLast(@ForAll("drawer") List<Lying> drawer) {
        drawer.stream()
                .filter(one -> one.worn().isEmpty())
                .min(Lying.PLANNED)
                .ifPresent(first -> assertThat(drawer)
                        .filteredOn(one -> one.worn().isEmpty())
                        .allSatisfy(other -> {
                            assertThat(first.where()).isLessThanOrEqualTo(other.where());
                            if (other.where() == first.where()) {
                                assertThat(bought(first)).isBeforeOrEqualTo(bought(other));
                            }
                        }));
    }

    @Property
    void whenOneBreaksAnOldOneGoesOnFirst(@ForAll("drawer") List<Lying> drawer) {
        Lying first = drawer.stream().min(Lying.EMERGENCY).orElseThrow();
        drawer.stream()
                .flatMap(one -> one.worn().stream())
                .min(Comparator.naturalOrder())
                .ifPresentOrElse(
                        least -> assertThat(first.worn()).contains(least),
                        () -> assertThat(drawer)
                                .extracting(Lying::where)
                                .noneMatch(
                                        (switch (first.where()) {
                                                    case OWN_CASE -> List.of();
                                                    case DRAWER -> List.of(Lying.Where.OWN_CASE);
                                                    case OTHER_CASE ->
                                                        List.of(Lying.Where.OWN_CASE, Lying.Where.DRAWER);
                                                })::contains));
    }

    private static LocalDate bought(Lying one) {
        return one.boughtOn().orElse(LocalDate.MIN);
    }

    @ParameterizedTest
    @CsvSource({
        "4/4, 0.4, , 4/4, false, GOOD",
        "4/4, 0.4, DULL, 4/4, false, GOOD",
        "4/4, 0.4, , 3/4, false, OTHER_SIZE",
        "3/4, 0.4, , 4/4, false, OTHER_SIZE",
        "4/4, 0.4, , 4/4, true, DOES_NOT_FIT",
        "4/4, 1.0, , 4/4, false, SPENT",
        "4/4, 0.1, WINDING_OPEN, 4/4, false, OPEN",
    })
    void judgesASecondLife(String from, double worn, WearSign sign, String on, boolean stopped, SecondLife life) {
        assertThat(SecondLife.of(
                        Size.of(Family.VIOLIN, from),
                        worn,
                        sign == null ? Set.of() : Set.of(sign),
                        Size.of(Family.VIOLIN, on),
                        stopped
                                ? List.of(Finding.on(Position.II, FindingKind.END_MISMATCH, Severity.STOPS))
                                : List.of()))
                .isEqualTo(life);
    }

    @ParameterizedTest
    @CsvSource({"0, 0, NOT_KEPT", "0, 2, EMPTY", "1, 2, LOW", "2, 2, ENOUGH", "3, 2, ENOUGH", "1, 0, ENOUGH"})
    void theDrawerIsJudgedByWhatIsToLieReady(int lying, int ready, Level level) {
        assertThat(Level.of(lying, ready)).isEqualTo(level);
    }

    /** Two of what is in use and none of what is not, until somebody says otherwise. */
    @ParameterizedTest
    @CsvSource({", true, 2", ", false, 0", "0, true, 0", "5, false, 5", "99, true, 99"})
    void whatIsToLieReadyIsSaidOrUsual(@Nullable Integer said, boolean inUse, int ready) {
        assertThat(Level.ready(Optional.ofNullable(said), inUse)).isEqualTo(ready);
        assertThatThrownBy(() -> Level.ready(Optional.of(100), inUse))
                .hasMessage("said is 100; it must be from 0 to 99");
    }

    @Test
    void whatIsNearestHasTheSameCoreFirst() {
        StringSpec wanted = Examples.violinSet().get(Position.II);
        StringSpec tenser = Examples.violinString(Position.II, StringCore.SYNTHETIC, 60, 0.70, 1400);
        StringSpec slacker = Examples.violinString(Position.II, StringCore.SYNTHETIC, 53, 0.66, 1400);
        StringSpec steel = Examples.violinString(Position.II, StringCore.ROPE_STEEL, 54, 0.68, 4000);
        Likeness ofTenser = Likeness.of(Examples.VIOLIN, wanted, tenser);
        assertThat(ofTenser.tensionShare()).isCloseTo(60 / 54.0 - 1, within(1e-9));
        assertThat(ofTenser.thicknessMm()).isCloseTo(0.02, within(1e-9));
        assertThat(Likeness.of(Examples.VIOLIN, wanted, wanted)).isEqualTo(new Likeness(true, 0, 0));
        assertThat(List.of(steel, tenser, slacker, wanted).stream()
                        .sorted(Comparator.comparing(one -> Likeness.of(Examples.VIOLIN, wanted, one))))
                .containsExactly(wanted, slacker, tenser, steel);
        StringSpec third = Examples.violinSet().get(Position.III);
        assertThatThrownBy(() -> Likeness.of(Examples.VIOLIN, wanted, third))
                .hasMessage("other is for III, wanted for II");
    }
}
