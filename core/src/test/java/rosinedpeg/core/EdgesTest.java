package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.bench.BenchLedger;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.bench.OwedAfter;
import rosinedpeg.core.load.LoadBand;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.load.LoadShares;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.rounds.NextRound;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tailpiece.Afterlength;

/** Where one judgement ends and the next begins, at the very figure. */
class EdgesTest {

    private static final Instant AT = Instant.parse("2026-09-01T18:00:00Z");

    @ParameterizedTest
    @CsvSource({"0.5, HELD", "0.4999, LIGHT", "0.3, LIGHT", "0.2999, THIN", "0.15, THIN", "0.1499, UNHELD", "0, UNHELD"
    })
    void aBandBeginsAtItsShare(double share, LoadBand band) {
        assertThat(LoadBands.USUAL.of(share)).isEqualTo(band);
    }

    @ParameterizedTest
    @CsvSource({"0.15, 0.5, false", "0.1499, 0.5, true", "0.9, 0.001, true", "0.9, 0.0011, false"})
    void aPostThatIsLetGoAndABassFootThatLiftsAreRefused(double treble, double bass, boolean refused) {
        assertThat(LoadBands.USUAL.refuse(new LoadShares(bass, treble))).isEqualTo(refused);
    }

    @ParameterizedTest
    @CsvSource({
        "1, 0.9, 0.8, true",
        "1.01, 0.9, 0.8, false",
        "0.5, 0.5, 0.2, false",
        "0.5, 0.3, 0.3, false",
        "0.5, 0.3, 0, false"
    })
    void bandsFall(double held, double light, double thin, boolean allowed) {
        if (allowed) {
            assertThat(new LoadBands(held, light, thin).thinFrom()).isEqualTo(thin);
        } else {
            assertThatThrownBy(() -> new LoadBands(held, light, thin)).hasMessageContaining("they must fall");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "VIOLIN, E5 A4 D4 G3, ",
        "VIOLIN, E5 A4 D4 G3 C3, ",
        "VIOLIN, E5 A4 D4, NUMBER I",
        "VIOLIN, E5 A4 D4 G3 C3 F2, NUMBER I",
        "VIOLIN, E5 E5 D4 G3, NOT_FALLING II",
        "VIOLIN, E5 A4 B4 G3, NOT_FALLING III",
        "VIOLIN, B5 A4 D4 G3, ",
        "VIOLIN, C6 A4 D4 G3, FAR_FROM_USUAL I",
        "VIOLIN, E5 A4 D4 C3, ",
        "VIOLIN, E5 A4 D4 B2, FAR_FROM_USUAL IV",
        "BASS, G2 D2 A1 E1 B0, "
    })
    void aTuningFallsAndStaysNearTheUsual(Family family, String openStrings, String fault) {
        List<Pitch> pitches =
                Arrays.stream(openStrings.split(" ")).map(Pitch::of).toList();
        assertThat(Tuning.fault(family, pitches).map(found -> found.kind() + " " + found.position()))
                .isEqualTo(Optional.ofNullable(fault));
    }

    @ParameterizedTest
    @CsvSource({
        "330, 55, NONE, 0",
        "330, 55.09, NONE, 0.18",
        "330, 54.91, NONE, -0.18",
        "330, 55.2, LET_OUT, 0.4",
        "330, 54.8, TAKE_IN, -0.4",
        "330, 50, TAKE_IN, -10"
    })
    void aCordIsSetNoFinerThanItCanBe(double lengthMm, double afterMm, Afterlength.CordChange cord, double changeMm) {
        Afterlength afterlength = new Afterlength(lengthMm, afterMm);
        assertThat(afterlength.cord()).isEqualTo(cord);
        assertThat(afterlength.cordChangeMm()).isCloseTo(changeMm, within(1e-9));
        assertThat(afterlength.offTarget().value())
                .isCloseTo(afterlength.interval().value() - Afterlength.TARGET_CENTS, within(1e-9));
        Afterlength.Sounding sounding = afterlength.sounding(Pitch.of("E4"));
        assertThat(sounding.nearest().midi() * 100 + sounding.off().value())
                .isCloseTo(Pitch.of("E4").midi() * 100 + afterlength.interval().value(), within(1e-9));
        assertThat(Math.abs(sounding.off().value())).isLessThanOrEqualTo(50);
    }

    @Test
    void onlyWhatIsHeardIsSaidToSinkTheLowestFirst() {
        NextRound round = new NextRound(
                Position.IV,
                Map.of(
                        Position.I, new Cents(-0.4),
                        Position.II, new Cents(-0.5),
                        Position.III, new Cents(-3)),
                1,
                List.of(Position.IV));
        assertThat(round.audibleDrops()).extracting(Map.Entry::getKey).containsExactly(Position.III, Position.II);
    }

    /** A pair is the two strings of a side; of one string every school is the same. */
    @ParameterizedTest
    @CsvSource({"I II, true", "III IV, true", "II III, false", "I IV, false", "I II III, true", "II, false"})
    void pairBySideIsComparedWhereThereIsAPair(String chosen, boolean pair) {
        SetUp violin = Examples.VIOLIN;
        Map<Position, StringSpec> set = Examples.violinSet();
        Map<Position, StringSpec> replaced = Arrays.stream(chosen.split(" "))
                .map(Position::valueOf)
                .collect(Collectors.toMap(position -> position, set::get));
        Map<Schools, ChangePlan> plans = ChangePlanner.compare(ChangeRequest.usual(violin, set, replaced));
        Set<Schools.Off> offs =
                plans.keySet().stream().map(schools -> schools.order().off()).collect(Collectors.toSet());
        assertThat(offs.contains(Schools.Off.PAIR_BY_SIDE)).isEqualTo(pair);
        assertThat(offs).contains(Schools.Off.ONE_AT_A_TIME);
        if (replaced.size() == 1) {
            assertThat(plans).hasSize(1);
        } else {
            assertThat(offs).contains(Schools.Off.TOGETHER, Schools.Off.ONE_A_DAY);
            assertThat(plans.values().stream().filter(plan -> !plan.refused()).map(ChangePlan::leastTreble))
                    .isSortedAccordingTo((a, b) -> Double.compare(b, a));
        }
    }

    /** Graphite that was left out twice, pegs that want their angle, the tube once more, and what the case has less of. */
    @Test
    void whatARunLeavesToDo() {
        Map<Position, StringSpec> set = Examples.set(Examples.VIOLIN);
        ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(
                Examples.VIOLIN, set, Map.of(Position.I, set.get(Position.I), Position.II, set.get(Position.II))));
        List<BenchEvent> ledger = new ArrayList<>();
        while (!BenchLedger.fold(plan, ledger).over()) {
            BenchState state = BenchLedger.fold(plan, ledger);
            Step now = state.now().orElseThrow();
            long next = ledger.size() + 1L;
            int index = state.askedAgain() >= 0 ? state.askedAgain() : now.index();
            boolean graphite = plan.steps().get(index).kind() == StepKind.GRAPHITE
                    && plan.steps().get(index).position() == Position.II;
            ledger.add(
                    graphite ? new BenchEvent.StepSkipped(next, AT, index) : new BenchEvent.StepDone(next, AT, index));
        }
        OwedAfter owed = OwedAfter.of(BenchLedger.fold(plan, ledger));
        assertThat(owed.work())
                .isEqualTo(Map.of(
                        StepKind.SET_PEG_ANGLES, List.of(Position.I, Position.II),
                        StepKind.GRAPHITE, List.of(Position.II),
                        StepKind.SEAT_TUBE, List.of(Position.I)));
        assertThat(owed.tubeOn()).isTrue();
        assertThat(owed.used()).containsExactly(Position.I, Position.II);
        assertThat(owed.materials()).isNotEmpty().allMatch(material -> material.usedUp());
        OwedAfter nothing = OwedAfter.of(BenchLedger.fold(plan, List.of()));
        assertThat(nothing.work()).isEmpty();
        assertThat(nothing.tubeOn()).isFalse();
        assertThat(nothing.used()).isEmpty();
        assertThat(nothing.materials()).isEmpty();
    }
}
