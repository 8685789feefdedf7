package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.inspection.Condition;
import rosinedpeg.core.inspection.Inspection;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.inspection.Seen;
import rosinedpeg.core.lending.ConditionChange;
import rosinedpeg.core.lending.Loan;
import rosinedpeg.core.lending.ShelfWear;
import rosinedpeg.core.lending.Turn;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.wear.WearState;

/** Instruments that go out and come back: their days, the look on their way, what it comes to over many loans. */
class LendingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);

    @Property
    void twoLoansOverlapWhenADayWouldBeBothTheirs(
            @ForAll @IntRange(max = 12) int from,
            @ForAll @IntRange(max = 8) int length,
            @ForAll @IntRange(max = 12) int otherFrom,
            @ForAll @IntRange(max = 8) int otherLength,
            @ForAll @IntRange(max = 30) int backAfter) {
        Optional<LocalDate> back = backAfter > 20 ? Optional.empty() : Optional.of(DAY.plusDays(from + backAfter));
        Loan one = new Loan(DAY.plusDays(from), DAY.plusDays(from + length), back);
        Loan other = Loan.of(DAY.plusDays(otherFrom), DAY.plusDays(otherFrom + otherLength));
        Set<Integer> days = days(from, back.isEmpty() ? length : Math.min(length, backAfter));
        days.retainAll(days(otherFrom, otherLength));
        assertThat(one.overlaps(other)).isEqualTo(!days.isEmpty());
        assertThat(other.overlaps(one)).isEqualTo(one.overlaps(other));
    }

    /** On the day one comes back it is free again, unless it went out on that very day. */
    private static Set<Integer> days(int from, int length) {
        return new HashSet<>(
                IntStream.range(from, from + Math.max(1, length)).boxed().toList());
    }

    @ParameterizedTest
    @CsvSource({"3,,0,3", "10,,0,10", "14,,4,14", "30,12,2,12", "30,9,0,9"})
    void itIsLateFromTheDayAfterTheOneItIsToBeBackOn(int today, Integer back, long late, long out) {
        Loan loan = new Loan(DAY, DAY.plusDays(10), Optional.ofNullable(back).map(DAY::plusDays));
        assertThat(loan.lateDays(DAY.plusDays(today))).isEqualTo(late);
        assertThat(loan.daysOut(DAY.plusDays(today))).isEqualTo(out);
    }

    @ParameterizedTest
    @CsvSource({"9, true", "10, true", "11, false"})
    void whatFallsDueUntilTheDayItIsToBeFallsDueOutThere(int day, boolean outThere) {
        assertThat(Loan.of(DAY, DAY.plusDays(10)).fallsDueOutThere(DAY.plusDays(day)))
                .isEqualTo(outThere);
    }

    @Test
    void itIsNotBackBeforeItWentOut() {
        assertThatIllegalArgumentException().isThrownBy(() -> Loan.of(DAY, DAY.minusDays(1)));
        assertThatIllegalArgumentException().isThrownBy(() -> Loan.of(DAY, DAY.plusDays(Loan.LONGEST_DAYS + 1)));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Loan(DAY, DAY.plusDays(9), Optional.of(DAY.minusDays(1))));
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void theLookTakesNoLongerThanTwoMinutes(Family family) {
        SetUp setUp = Examples.instrument(family);
        assertThat(LookOver.seconds(setUp)).isBetween(60, LookOver.TWO_MINUTES);
        assertThat(LookOver.findings(condition(setUp), Seen.NOTHING, DAY)).isEmpty();
    }

    private static Condition condition(SetUp setUp) {
        return Condition.of(setUp, Examples.set(setUp));
    }

    @ParameterizedTest
    @EnumSource(Seen.Sign.class)
    void whateverIsSeenIsTold(Seen.Sign sign) {
        Seen seen = new Seen(Set.of(), Map.of(), Map.of(), Set.of(), Set.of(sign));
        assertThat(LookOver.findings(condition(Examples.VIOLIN), seen, DAY))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(LookOver.Stop.of(finding.kind())).isEqualTo(sign.stop());
                    assertThat(LookOver.onlySeen(finding.kind())).isTrue();
                });
        assertThat(LookOver.Stop.values())
                .filteredOn(stop -> stop.signs().contains(sign))
                .containsExactly(sign.stop());
    }

    @Test
    void oneLooksAtWhatIsThere() {
        SetUp bass = Examples.instrument(Family.BASS);
        assertThat(LookOver.stops(Examples.VIOLIN)).containsExactly(LookOver.Stop.values());
        assertThat(LookOver.stops(Examples.with(TailEnd.SLOT, bass))).doesNotContain(LookOver.Stop.FINE_TUNERS);
        assertThat(LookOver.Stop.STRINGS.seconds(Examples.VIOLIN)).isEqualTo(LookOver.Stop.STRINGS.seconds(bass));
        assertThat(LookOver.atAPeg(Examples.VIOLIN)).contains(PegSign.STICKS, PegSign.END_STANDS_OUT_BEYOND_FAR_WALL);
        assertThat(LookOver.atAPeg(bass)).doesNotContain(PegSign.END_STANDS_OUT_BEYOND_FAR_WALL);
        assertThat(LookOver.onAString()).contains(WearSign.WINDING_OPEN);
        assertThat(LookOver.onlySeen(FindingKind.STRING_MISSING)).isTrue();
        assertThat(LookOver.onlySeen(FindingKind.PEG_STICKS)).isFalse();
    }

    /** What was known of the others stays; of a string that is gone nothing is said but that. */
    @Test
    void whatIsKnownOfAWornStringStaysUntilItIsGone() {
        Condition known = Examples.violin(
                Map.of(Position.I, WearState.CHANGE_NOW, Position.III, WearState.CHANGE_NOW), Rosining.NONE);
        Seen gone = new Seen(Set.of(Position.I), Map.of(), Map.of(), Set.of(), Set.of());
        assertThat(LookOver.findings(known, gone, DAY))
                .extracting(Finding::kind, Finding::position)
                .containsExactly(
                        Tuple.tuple(FindingKind.STRING_MISSING, Position.I),
                        Tuple.tuple(FindingKind.STRING_TO_CHANGE_NOW, Position.III));
    }

    @Test
    void whatOnlyAProperLookSeesStaysAsItWasKnown() {
        assertThat(LookOver.pegAfter(
                        Set.of(PegSign.STICKS, PegSign.ONE_BAND_SHINY), Set.of(PegSign.END_STANDS_OUT_BEYOND_FAR_WALL)))
                .containsExactly(PegSign.ONE_BAND_SHINY, PegSign.END_STANDS_OUT_BEYOND_FAR_WALL);
        assertThat(LookOver.wearAfter(Set.of(WearSign.CORROSION, WearSign.DULL), Set.of()))
                .containsExactly(WearSign.DULL);
    }

    @Test
    void whatIsSeenStandsBesideWhatWasMeasuredWhatStopsTheWorkFirst() {
        Seen seen = new Seen(
                Set.of(Position.I),
                Map.of(Position.II, Set.of(WearSign.WINDING_OPEN)),
                Map.of(Position.IV, Set.of(PegSign.STICKS)),
                Set.of(Position.I),
                EnumSet.of(Seen.Sign.POST_RATTLES));
        assertThat(LookOver.findings(condition(Examples.VIOLIN), seen, DAY).stream()
                        .map(Finding::kind))
                .containsExactly(
                        FindingKind.POST_RATTLES,
                        FindingKind.STRING_MISSING,
                        FindingKind.STRING_TO_CHANGE_NOW,
                        FindingKind.PEG_STICKS,
                        FindingKind.TUNER_SCREWED_IN);
        assertThat(Inspection.of(condition(Examples.VIOLIN), DAY)).isEmpty();
    }

    @Test
    void betweenTwoLooksItIsTheSameUnlessItGrewWorse() {
        Finding sticks = Finding.on(Position.IV, FindingKind.PEG_STICKS, Severity.TODAY);
        Finding due = Finding.on(Position.II, FindingKind.STRING_DUE, Severity.WATCH);
        Finding open = Finding.on(Position.II, FindingKind.STRING_TO_CHANGE_NOW, Severity.TODAY);
        Finding leans = Finding.on(null, FindingKind.BRIDGE_TO_EASE, Severity.TODAY);
        ConditionChange change = ConditionChange.between(List.of(sticks, due, leans), List.of(sticks, open));
        assertThat(change.same()).containsExactly(sticks);
        assertThat(change.worse()).containsExactly(open);
        assertThat(change.gone()).containsExactly(leans);
        Finding dueToday = Finding.on(Position.II, FindingKind.STRING_DUE, Severity.TODAY);
        assertThat(ConditionChange.between(List.of(due), List.of(dueToday)).worse())
                .as("the same, but worse")
                .containsExactly(dueToday);
        assertThat(ConditionChange.between(List.of(dueToday), List.of(due)).same())
                .as("the same, and no worse")
                .containsExactly(due);
    }

    @Test
    void whatWearsIsCountedOncePerLoanWithAnIntervalThatNarrows() {
        Finding first = Finding.on(Position.I, FindingKind.TUNER_SCREWED_IN, Severity.WATCH);
        Finding second = Finding.on(Position.II, FindingKind.TUNER_SCREWED_IN, Severity.WATCH);
        List<ShelfWear.Returned> few = List.of(
                new ShelfWear.Returned(100, List.of(), List.of(first, second)),
                new ShelfWear.Returned(50, List.of(first), List.of(first)));
        ShelfWear wear = ShelfWear.of(few);
        assertThat(wear.daysOut()).isEqualTo(150);
        assertThat(wear.monthsOut()).isCloseTo(150 / 30.44, within(0.01));
        ShelfWear.Worn worn = wear.found().get(0);
        assertThat(worn.times()).isEqualTo(1);
        assertThat(worn.share().best()).isEqualTo(0.5);
        assertThat(worn.positions()).containsExactlyInAnyOrderEntriesOf(Map.of(Position.I, 1, Position.II, 1));
        // A beta distribution with 1½ and 1½: its quantiles by numerical integration elsewhere.
        assertThat(worn.share().low()).isCloseTo(0.0972, within(0.001));
        assertThat(worn.share().high()).isCloseTo(0.9028, within(0.001));
        List<ShelfWear.Returned> many = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            many.addAll(few);
        }
        ShelfWear.Worn surer = ShelfWear.of(many).found().get(0);
        assertThat(surer.share().low()).isBetween(0.4, 0.5);
        assertThat(ShelfWear.of(List.of()).found()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "-60,-3,true,LATE",
        "-60,0,true,COMES_BACK",
        "-60,24,true,COMES_BACK",
        "-60,25,true,STAYS_OUT",
        "3,60,false,GOES_OUT",
        "26,60,false,"
    })
    void atATurnOneComesBackAnotherStaysOut(int from, int until, boolean out, Turn.Does does) {
        LocalDate turn = DAY.plusDays(10);
        Loan loan = Loan.of(DAY.plusDays(from), DAY.plusDays(until));
        assertThat(Turn.Does.values())
                .filteredOn(
                        one -> one.isOut() == out && Turn.days(one, turn, DAY).hold(one.day(loan)))
                .containsExactlyElementsOf(Stream.ofNullable(does).toList());
    }

    /** Whatever the turn and the day, nothing that is out is told twice, and nothing that is to be back after either is left out. */
    @Property
    void atATurnNothingIsToldTwice(
            @ForAll @IntRange(min = -400, max = 400) int until, @ForAll @IntRange(min = -400, max = 400) int turn) {
        Loan loan = Loan.of(DAY.minusDays(500), DAY.plusDays(until));
        long told = Stream.of(Turn.Does.values())
                .filter(one ->
                        one.isOut() && Turn.days(one, DAY.plusDays(turn), DAY).hold(one.day(loan)))
                .count();
        assertThat(told).isEqualTo(until >= 0 && until < turn - Turn.AROUND_DAYS ? 0 : 1);
    }

    @ParameterizedTest
    @CsvSource({"0,true,", "0,false,PLAIN_STEEL", "4,true,SYNTHETIC", "1,false,GUT"})
    void newStringsWantDaysAtHome(int days, boolean enough, StringCore core) {
        Turn.Home home = Turn.Home.between(DAY, DAY.plusDays(days), core == null ? Set.of() : Set.of(core));
        assertThat(home.days()).isEqualTo(days);
        assertThat(home.longEnough()).isEqualTo(enough);
    }
}
