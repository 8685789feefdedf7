package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.assertj.core.groups.Tuple;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import rosinedpeg.core.bridge.BridgeCurve;
import rosinedpeg.core.bridge.BridgeCurve.StringPoint;
import rosinedpeg.core.bridge.BridgeEasing;
import rosinedpeg.core.bridge.BridgePlace;
import rosinedpeg.core.bridge.Drag;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.bridge.StuckShare;
import rosinedpeg.core.figure.Evidence;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.core.fit.FitCheck;
import rosinedpeg.core.grooves.Groove;
import rosinedpeg.core.grooves.Guard;
import rosinedpeg.core.pegs.CollarTrend;
import rosinedpeg.core.pegs.PegDiagnosis;
import rosinedpeg.core.pegs.PegSign;
import rosinedpeg.core.pegs.PegTreatment;
import rosinedpeg.core.pegs.PegWood;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.TunedString;
import rosinedpeg.core.rounds.TuningRounds;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.OtherTuning;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.tailpiece.Afterlength;
import rosinedpeg.core.tailpiece.FineTuner;
import rosinedpeg.core.tailpiece.TailpieceMass;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.DiaryHours;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.PlayingTime;
import rosinedpeg.core.wear.Span;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearRate;
import rosinedpeg.core.wear.WearSign;
import rosinedpeg.core.wear.WearState;
import rosinedpeg.core.winding.Lock;

/** Bridge curve, tailpiece, rounds, pegs and grooves. */
class InstrumentPartsTest {

    private static final Elasticity STEEL_FIRST = new Elasticity(77, 10_600, 440);

    @Property
    void deepeningTheProuderGrooveEvensTheCurve(
            @ForAll @DoubleRange(min = 31.5, max = 34) double third,
            @ForAll @DoubleRange(min = 31.5, max = 34) double second) {
        List<StringPoint> points = List.of(
                new StringPoint(-16.75, 30),
                new StringPoint(-5.6, third),
                new StringPoint(5.6, second),
                new StringPoint(16.75, 29.5));
        BridgeCurve.Evening evening = new BridgeCurve(points).evening();
        if (evening.index().isPresent()) {
            List<StringPoint> after = new ArrayList<>(points);
            int index = evening.index().getAsInt();
            after.set(
                    index,
                    new StringPoint(points.get(index).xMm(), points.get(index).yMm() - evening.byMm()));
            List<Double> proud = new BridgeCurve(after).proudMm();
            assertThat(proud.get(0)).isCloseTo(proud.get(1), within(1e-6));
            assertThat(evening.byMm()).isPositive();
        }
        assertThat(evening.even())
                .as("nobody files a twentieth of a millimetre")
                .isEqualTo(evening.index().isEmpty() || evening.byMm() < 0.05);
    }

    /** One that leans a little is eased as it stands where it rests on the lap; a bass, and one that leans far, at part tension. */
    @ParameterizedTest
    @CsvSource({
        "VIOLIN, , false, false",
        "VIOLIN, 1, false, false",
        "VIOLIN, -1, true, false",
        "VIOLIN, 12, false, true",
        "CELLO, , false, true",
        "CELLO, 1, false, false",
        "BASS, 1, false, true"
    })
    void aBridgeIsEasedByItsLean(Family family, @Nullable Double degrees, boolean backwards, boolean slackened) {
        BridgeEasing easing = BridgeEasing.of(
                Examples.instrument(family), Optional.ofNullable(degrees).map(Lean::new));
        assertThat(easing).isEqualTo(new BridgeEasing(backwards, slackened));
    }

    @Test
    void aBridgeCurveNeedsItsStringsInOrder() {
        StringPoint point = new StringPoint(0, 30);
        assertThatThrownBy(() -> new BridgeCurve(List.of(point, point))).hasMessageContaining("must have 3 to 5");
        assertThatThrownBy(() -> new BridgeCurve(List.of(point, point, point))).hasMessageContaining("must rise");
    }

    @Test
    void aSixthOfTheLengthSoundsTwoOctavesAndAFifthUp() {
        Afterlength exact = new Afterlength(328, 328 / 6.0);
        assertThat(exact.interval().value()).isCloseTo(3102, within(0.05));
        assertThat(exact.sounding(Pitch.of("A4")).nearest()).isEqualTo(Pitch.of("E7"));
        Afterlength tooShort = new Afterlength(328, 48);
        assertThat(tooShort.offTarget().value()).isPositive();
        assertThat(tooShort.cordChangeMm())
                .as("a loop of cord moves the tailpiece by half")
                .isCloseTo(2 * (48 - 328 / 6.0), within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"4, 3, 6, GOOD", "0.1, 3, 6, NO_TRAVEL_UP", "4, 0.1, 6, RATTLES", "4, 3, 1, LEVER_NEAR_TOP"})
    void judgesAFineTuner(double out, double in, double clearance, FineTuner.Judgement judgement) {
        FineTuner tuner = new FineTuner(out, in, 0.8, 0.5, clearance);
        assertThat(tuner.judge()).isEqualTo(judgement);
        assertThat(tuner.centsUp(STEEL_FIRST)).isGreaterThan(0);
        assertThat(tuner.centsPerTurn(STEEL_FIRST)).isCloseTo(STEEL_FIRST.centsForMm(0.4), within(1e-9));
        assertThat(tuner.centsDown(STEEL_FIRST))
                .as("down is further than up for the same way")
                .isGreaterThan(0);
    }

    private static TuningRounds violin(Coupling coupling) {
        return new TuningRounds(
                Examples.violinSet().entrySet().stream()
                        .map(entry -> TunedString.of(entry.getKey(), Examples.VIOLIN.elasticity(entry.getValue())))
                        .toList(),
                coupling);
    }

    @Test
    void theStiffestStringLastLeavesLeastToRedo() {
        Map<Position, Double> slack = new EnumMap<>(Examples.VIOLIN.tensionsN(Examples.violinSet()));
        slack.replaceAll((position, tensionN) -> tensionN * 0.1);
        TuningRounds.Rounds best = violin(Coupling.usual(Family.VIOLIN)).best(slack, TuningRounds.TOLERANCE_CENTS);
        assertThat(best.order().get(3)).isEqualTo(Position.I);
        assertThat(best.centsAfter().get(best.count() - 1).values())
                .allMatch(cents -> Math.abs(cents) <= TuningRounds.TOLERANCE_CENTS);
    }

    @Property(tries = 200)
    void theCouplingIsLearnedFromTheDropsItCauses(@ForAll @IntRange(min = 5, max = 50) int tenThousandths) {
        double truth = tenThousandths / 10_000.0;
        Map<Position, Double> nowN = new EnumMap<>(Examples.VIOLIN.tensionsN(Examples.violinSet()));
        nowN.put(Position.II, 20.0);
        Map<Position, Cents> drops = violin(new Coupling(truth)).predictedDrops(nowN, Position.II);
        double riseN = Examples.VIOLIN.tensionN(Examples.violinSet().get(Position.II)) - 20;
        List<Coupling.Observation> seen = drops.entrySet().stream()
                .map(drop -> {
                    double before = nowN.get(drop.getKey());
                    double lossN = before - before * drop.getValue().toTensionFraction();
                    Elasticity elasticity =
                            Examples.VIOLIN.elasticity(Examples.violinSet().get(drop.getKey()));
                    return new Coupling.Observation(
                            riseN, elasticity.axialStiffnessN() / elasticity.freeLengthMm(), lossN);
                })
                .toList();
        assertThat(drops)
                .hasSize(3)
                .allSatisfy((position, drop) -> assertThat(drop.value()).isNegative());
        assertThat(Coupling.learn(seen).orElseThrow()).isCloseTo(truth, within(1e-9));
        assertThat(Coupling.learn(List.of())).isEmpty();
    }

    @Test
    void pitchesFromSlackRiseToPitch() {
        assertThat(TuningRounds.pitchesFromSlack().stream().map(Cents::semitones))
                .isSorted()
                .last()
                .isEqualTo(0.0);
    }

    @ParameterizedTest
    @CsvSource({
        "BOTH_BANDS_SHINY, FITS, false",
        "CREAKS, STICKING, false",
        "CREEPS_BACK, SLIPPING, false",
        "HALF_A_BAND_SHINY, TAPER_MISMATCH, true",
        "COLLAR_CLOSE_TO_WALL, WORN_IN, true",
        "CRACK_NEAR_THE_HOLE, CRACKED, true"
    })
    void diagnosesAPeg(PegSign sign, PegDiagnosis diagnosis, boolean refer) {
        assertThat(PegDiagnosis.of(Set.of(sign), PegKind.TAPERED_WOOD, Optional.empty()))
                .containsExactly(diagnosis);
        assertThat(diagnosis.refer()).isEqualTo(refer);
        assertThat(PegDiagnosis.of(Set.of(sign, PegSign.SPLIT), PegKind.TAPERED_WOOD, Optional.empty())
                        .get(0)
                        .stops())
                .isTrue();
        assertThat(diagnosis.stops()).isEqualTo(diagnosis == PegDiagnosis.CRACKED);
    }

    /** What one can treat oneself waits for the bench; nothing does where a repairer has to see to the peg first. */
    @ParameterizedTest
    @CsvSource({
        "CREAKS, true",
        "CREEPS_BACK, true",
        "BOTH_BANDS_SHINY, false",
        "COLLAR_CLOSE_TO_WALL, false",
        "CREAKS COLLAR_CLOSE_TO_WALL, false",
        "CREEPS_BACK HALF_A_BAND_SHINY, false",
        "'', false"
    })
    void aPegThatSticksOrSlipsWantsTreatment(String signs, boolean wants) {
        assertThat(PegDiagnosis.wantsTreatment(Arrays.stream(signs.split(" "))
                        .filter(sign -> !sign.isEmpty())
                        .map(PegSign::valueOf)
                        .collect(Collectors.toSet())))
                .isEqualTo(wants);
    }

    @ParameterizedTest
    @CsvSource({
        "TAPERED_WOOD, CLEANED PEG_COMPOUND LUBRICATING_PASTE GRIPPING_DROPS DRY_SOAP CHALK REPAIRER",
        "GEARED, CLEANED REPAIRER",
        "MACHINE_HEAD, CLEANED OIL REPAIRER"
    })
    void nothingForTaperedPegsGoesOnGears(PegKind pegs, String treatments) {
        assertThat(PegTreatment.of(pegs)).extracting(Enum::name).containsExactly(treatments.split(" "));
    }

    /** Ebony polishes and then slips; the same bands on another wood are a good fit. */
    @Test
    void polishedEbonyIsToldBeforeItSlips() {
        Set<PegSign> shiny = Set.of(PegSign.BOTH_BANDS_SHINY);
        assertThat(PegDiagnosis.of(shiny, PegKind.TAPERED_WOOD, Optional.of(PegWood.EBONY)))
                .containsExactly(PegDiagnosis.POLISHED);
        assertThat(PegDiagnosis.of(shiny, PegKind.TAPERED_WOOD, Optional.of(PegWood.BOXWOOD)))
                .containsExactly(PegDiagnosis.FITS);
        assertThat(PegDiagnosis.of(
                        Set.of(PegSign.BOTH_BANDS_SHINY, PegSign.CREEPS_BACK),
                        PegKind.TAPERED_WOOD,
                        Optional.of(PegWood.EBONY)))
                .containsExactly(PegDiagnosis.SLIPPING);
        assertThat(PegTreatment.DRY_SOAP.suits(Set.of(PegSign.CREEPS_BACK))).isFalse();
        assertThat(PegTreatment.PEG_COMPOUND.suits(Set.of(PegSign.CREEPS_BACK))).isTrue();
        assertThat(PegTreatment.DRY_SOAP.suits(Set.of(PegSign.CREAKS))).isTrue();
    }

    @Test
    void aPegThatWearsItsWayInRunsOut() {
        LocalDate first = LocalDate.of(2022, 1, 1);
        CollarTrend trend = new CollarTrend(
                List.of(
                        new CollarTrend.Collar(first, 9),
                        new CollarTrend.Collar(first.plusYears(1), 7),
                        new CollarTrend.Collar(first.plusYears(2), 5)),
                Optional.of(PegWood.BOXWOOD));
        assertThat(trend.mmPerYear().orElseThrow()).isCloseTo(2, within(0.01));
        assertThat(trend.holeOpensMmPerYear().orElseThrow()).isCloseTo(2 / 30.0, within(0.001));
        assertThat(trend.runsOutOn().orElseThrow())
                .isBetween(first.plusYears(4).minusDays(5), first.plusYears(4).plusDays(5));
        assertThat(trend.pace().orElseThrow().origin()).isEqualTo(Origin.LEARNED);
        assertThat(trend.distanceMm(first.plusYears(3)).orElseThrow())
                .as("by the line through all three")
                .isCloseTo(3, within(0.02));
        List<CollarTrend.Collar> once = List.of(new CollarTrend.Collar(first, 9));
        assertThat(new CollarTrend(once, Optional.empty()).runsOutOn()).isEmpty();
        assertThat(new CollarTrend(once, Optional.of(PegWood.BOXWOOD)).runsOutOn())
                .as("8 mm at 0.8 mm a year")
                .hasValueSatisfying(day -> assertThat(day)
                        .isBetween(first.plusYears(10), first.plusYears(10).plusDays(3)));
        assertThat(new CollarTrend(once, Optional.of(PegWood.EBONY))
                        .pace()
                        .orElseThrow()
                        .origin())
                .isEqualTo(Origin.DEFAULT);
    }

    /** One that comes out, or hardly moves, never comes to the wall. */
    @ParameterizedTest
    @ValueSource(doubles = {10, 9, 8.95})
    void aPegThatHardlyMovesInDoesNotRunOut(double yearLaterMm) {
        LocalDate first = LocalDate.of(2022, 1, 1);
        CollarTrend trend = new CollarTrend(
                List.of(new CollarTrend.Collar(first, 9), new CollarTrend.Collar(first.plusYears(1), yearLaterMm)),
                Optional.empty());
        assertThat(trend.distanceMm(first.plusYears(1)).orElseThrow()).isCloseTo(yearLaterMm, within(1e-6));
        assertThat(trend.runsOutOn()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.15, SHALLOW", "0.3, GOOD", "0.5, DEEP", "0.8, TOO_DEEP"})
    void judgesAGroove(double depthMm, Groove.Depth depth) {
        assertThat(new Groove(depthMm, 0.8, 0.8).depth()).isEqualTo(depth);
        assertThat(new Groove(depthMm, 0.6, 0.8).pinches()).isTrue();
    }

    @Test
    void parchmentOrTubeNeverBoth() {
        assertThat(Guard.of(true, false)).isEqualTo(Guard.PARCHMENT);
        assertThatThrownBy(() -> Guard.of(true, true)).hasMessageContaining("one of the two");
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, true, 0, ''",
        "1, 1, 0.5, true, 0.9, ''",
        "1.2, 1.2, 0, true, 0, OFF_ITS_LINE",
        "0.6, -0.6, 0, true, 0, TWISTED",
        "0, 0, -1, true, 0, OFF_CENTRE",
        "0, 0, 0, false, 0, WRONG_WAY_ROUND",
        "0, 0, 0, true, 1, WARPED"
    })
    void findsWhatIsWrongWithABridgesPlace(
            double trebleMm, double bassMm, double offMm, boolean lowUnderFirst, double warpMm, String fault) {
        BridgePlace place = new BridgePlace(trebleMm, bassMm, offMm, lowUnderFirst, warpMm);
        assertThat(place.faults(Examples.VIOLIN).stream().map(Enum::name))
                .containsExactlyElementsOf(fault.isEmpty() ? List.of() : List.of(fault));
        assertThat(place.twistDeg(Examples.VIOLIN))
                .isCloseTo(Math.toDegrees(Math.atan((trebleMm - bassMm) / 31)), within(1e-9));
        assertThat(BridgePlace.Fault.WARPED.refer()).isTrue();
        assertThat(BridgePlace.Fault.TWISTED.refer()).isFalse();
    }

    @Property(tries = 100)
    void theStuckShareIsLearnedFromTheLeanThatIsSeen(@ForAll @DoubleRange(min = 0.05, max = 0.95) double truth) {
        List<StuckShare.Observation> seen = new ArrayList<>();
        for (double full = 0.3; full < 3; full += 0.3) {
            seen.add(new StuckShare.Observation(new Lean(full), full * truth));
        }
        assertThat(StuckShare.learned(Drag.DRY, StuckShare.add(Evidence.NONE, seen))
                        .value())
                .isCloseTo(truth, within(0.01));
        assertThat(StuckShare.learned(Drag.DRY, StuckShare.add(Evidence.NONE, seen))
                        .origin())
                .isEqualTo(Origin.LEARNED);
        assertThat(StuckShare.learned(Drag.DRY, Evidence.NONE)).isEqualTo(Figure.byDefault(0.5, Unit.SHARE));
    }

    @ParameterizedTest
    @CsvSource({"VIOLIN, 1, 23, false", "VIOLIN, 4, 38, true", "CELLO, 4, 131, true", "BASS, 0, 280, false"})
    void fourAddedTunersAreHeavy(Family family, int tuners, double totalG, boolean heavy) {
        TailpieceMass mass = TailpieceMass.usual(family, tuners);
        assertThat(mass.totalG()).isEqualTo(totalG);
        assertThat(mass.heavy()).isEqualTo(heavy);
        assertThat(TailpieceMass.afterlengthTaken(family).isPresent())
                .as("what an added tuner takes is known of the small families")
                .isEqualTo(family == Family.VIOLIN || family == Family.VIOLA);
        assertThatThrownBy(() -> TailpieceMass.usual(family, 6)).hasMessageContaining("addedTuners is 6.0");
    }

    @Test
    void halfATurnDrawsInHalfTheShaftsGirth() {
        Elasticity elasticity = Examples.VIOLIN.elasticity(Examples.violinSet().get(Position.II));
        assertThat(elasticity.centsPerHalfTurn(7.6, 0.68))
                .isCloseTo(elasticity.centsForMm(Math.PI * (7.6 + 0.68) / 2), within(1e-9));
        assertThatThrownBy(() -> Lock.TWICE_THROUGH_HOLE.tipMm(Family.BASS, 40, 2))
                .hasMessageContaining("shaftDiameterMm is 40.0");
    }

    @ParameterizedTest
    @CsvSource({"150, GOOD", "215, SOON", "230, SOON", "240, DUE", "-1, AGE_UNKNOWN"})
    void unknownAgeCountsAsDue(double hours, WearState state) {
        Optional<Wear> wear = hours < 0 ? Optional.empty() : Optional.of(new Wear(hours, 0, 0, new Life(300, 30)));
        assertThat(WearState.of(wear, Set.of(), Demand.CONCERT, 10)).isEqualTo(state);
        assertThat(state.isDue()).isEqualTo(hours < 0 || hours >= 240);
        assertThat(WearState.of(wear, Set.of(WearSign.WINDING_OPEN), Demand.CONCERT, 10))
                .isEqualTo(WearState.CHANGE_NOW);
    }

    /** A state that is kept until then is neither kept too long nor looked at again too early. */
    @Property
    void aStateLastsUntilAgeMakesItAnother(
            @ForAll @DoubleRange(max = 60) double hoursPerWeek,
            @ForAll @DoubleRange(max = 40_000) double ageHours,
            @ForAll @DoubleRange(max = 300) double before,
            @ForAll Demand demand) {
        Life life = new Life(300, 30);
        Wear now = Wear.after(before, ageHours, hoursPerWeek, Set.of(), life);
        WearState state = WearState.of(Optional.of(now), Set.of(), demand, hoursPerWeek);
        OptionalDouble hours = WearState.hoursUntilNext(now, demand.threshold(), hoursPerWeek);
        assertThat(hours.isPresent()).isEqualTo(!state.isDue());
        hours.ifPresent(left -> {
            for (double share : new double[] {0.999, 1.001}) {
                Wear then = Wear.after(before, ageHours + left * share, hoursPerWeek, Set.of(), life);
                assertThat(WearState.of(Optional.of(then), Set.of(), demand, hoursPerWeek) == state)
                        .isEqualTo(share < 1);
            }
        });
    }

    /** What is kept of a string tells how far it is used up later: played as before, in a holiday, or of unknown age. */
    @Property
    void aStringGoesOnAsItsRateSays(
            @ForAll @DoubleRange(max = 60) double hoursPerWeek,
            @ForAll @DoubleRange(max = 40_000) double ageHours,
            @ForAll @DoubleRange(max = 300) double before,
            @ForAll @DoubleRange(max = 9_000) double later) {
        Life life = new Life(300, 30);
        Wear now = Wear.after(before, ageHours, hoursPerWeek, Set.of(), life);
        Wear played = Wear.after(before, ageHours + later, hoursPerWeek, Set.of(), life);
        Wear holiday = Wear.after(before, ageHours + later, ageHours, hoursPerWeek, 0, life);
        Wear unknownAge = Wear.after(before, ageHours, ageHours + later, hoursPerWeek, 0, life);
        assertThat(WearRate.of(now, true, hoursPerWeek).after(later)).isCloseTo(played.worn(), within(1e-9));
        assertThat(WearRate.of(now, true, 0).after(later)).isCloseTo(holiday.worn(), within(1e-9));
        assertThat(WearRate.of(now, false, hoursPerWeek).after(later)).isCloseTo(unknownAge.worn(), within(1e-9));
    }

    /** The sample set's I comes nearest to breaking, as players know. */
    @Test
    void theFirstStringIsNearestToBreaking() {
        Map<Position, StringSpec> set = Examples.violinSet();
        Position nearest = set.keySet().stream()
                .min(Comparator.comparingDouble(
                        position -> set.get(position).centsToBreaking(Examples.VIOLIN.tensionN(set.get(position)))))
                .orElseThrow();
        assertThat(nearest).isEqualTo(Position.I);
        assertThatThrownBy(() -> set.get(Position.I).centsToBreaking(0)).hasMessageContaining("tensions are 0.0");
    }

    @ParameterizedTest
    @EnumSource(OtherTuning.class)
    void ordinaryTuningsMayBe(OtherTuning tuning) {
        assertThat(Tuning.fault(tuning.family(), tuning.openStrings())).isEmpty();
        assertThat(tuning.openStrings()).isNotEqualTo(tuning.family().openStrings());
        assertThat(OtherTuning.of(tuning.family(), tuning.openStrings().size())).contains(tuning);
    }

    @Test
    void soloTuningIsOneToneUpAndPullsHarder() {
        SetUp bass = Examples.instrument(Family.BASS);
        SetUp solo = bass.tuned(OtherTuning.BASS_SOLO.openStrings(), bass.referenceA());
        assertThat(solo.openStrings())
                .isEqualTo(bass.openStrings().stream().map(pitch -> pitch.up(2)).toList());
        StringSpec string = Examples.string(bass, Position.I);
        assertThat(solo.tensionN(string) / bass.tensionN(string)).isCloseTo(Math.pow(2, 4 / 12.0), within(1e-9));
        SetUp low = bass.tuned(bass.openStrings(), new ReferenceA(415));
        assertThat(low.tensionN(string)).isLessThan(bass.tensionN(string));
    }

    /** Each a little heavier, none beyond the limit alone; together they are. */
    @Test
    void aSetIsJudgedByWhatItPressesTogether() {
        Map<Position, StringSpec> heavier = new EnumMap<>(Position.class);
        Examples.violinSet()
                .forEach((position, string) -> heavier.put(
                        position,
                        Examples.violinString(
                                position,
                                string.core(),
                                string.tensionN() * 1.1,
                                string.diameterMm(),
                                string.axialStiffnessN())));
        FitCheck check = new FitCheck(Examples.VIOLIN, Examples.violinSet());
        heavier.forEach((position, string) -> assertThat(check.judge(position, string))
                .extracting(Finding::kind)
                .containsExactly(FindingKind.FITS));
        Finding together = check.judgeTogether(heavier).orElseThrow();
        assertThat(together.kind()).isEqualTo(FindingKind.LOAD_RISE);
        assertThat(together.figures().get(0).value()).isCloseTo(0.1, within(1e-9));
        assertThat(check.judgeTogether(Examples.violinSet())).isEmpty();
    }

    @Test
    void aStringTooThickForItsSlotOrGrooveIsReferred() {
        Map<Position, StringSpec> set = Examples.violinSet();
        FitCheck check = new FitCheck(
                Examples.VIOLIN, set, Map.of(Position.II, 0.6, Position.III, 0.9), Map.of(Position.II, 0.65));
        assertThat(check.judge(Position.II, set.get(Position.II)))
                .extracting(Finding::kind, Finding::stops, Finding::refer)
                .containsExactly(
                        Tuple.tuple(FindingKind.TOO_THICK_FOR_SLOT, true, true),
                        Tuple.tuple(FindingKind.TOO_THICK_FOR_GROOVE, false, true));
        assertThat(check.judge(Position.III, set.get(Position.III)))
                .extracting(Finding::kind)
                .containsExactly(FindingKind.FITS);
    }

    /** Against every hour looked at by itself. */
    @Property(tries = 200)
    void nothingIsPlayedInHolidaysHoweverTheyOverlap(
            @ForAll @Size(max = 5) List<@IntRange(min = -50, max = 150) Integer> begins,
            @ForAll @IntRange(min = 0, max = 60) int long1,
            @ForAll @IntRange(min = 0, max = 100) int until) {
        Instant from = Instant.parse("2026-11-01T00:00:00Z");
        List<Span> holidays = begins.stream()
                .map(hour -> new Span(from.plus(Duration.ofHours(hour)), from.plus(Duration.ofHours(hour + long1))))
                .toList();
        long played = IntStream.range(0, until)
                .mapToObj(hour -> from.plus(Duration.ofHours(hour)))
                .filter(hour -> holidays.stream()
                        .noneMatch(holiday -> !hour.isBefore(holiday.from()) && hour.isBefore(holiday.until())))
                .count();
        assertThat(PlayingTime.hours(from, from.plus(Duration.ofHours(until)), holidays))
                .isEqualTo(played);
    }

    /** Against every hour looked at by itself: in each week the usual hours or those of the dates, whichever are more. */
    @Property(tries = 300)
    void whatTheDiaryTellsOfCountsOnlyBeyondTheUsualHours(
            @ForAll @Size(max = 8) List<@IntRange(min = -50, max = 900) Integer> begins,
            @ForAll @IntRange(min = 1, max = 30) int lasting,
            @ForAll @IntRange(min = 0, max = 900) int until,
            @ForAll @IntRange(min = 0, max = 40) int hoursPerWeek) {
        ZoneId zone = ZoneId.of("UTC");
        Instant from = Instant.parse("2026-11-04T05:00:00Z");
        List<Span> holidays =
                List.of(new Span(Instant.parse("2026-11-10T00:00:00Z"), Instant.parse("2026-11-13T00:00:00Z")));
        List<Span> dates = begins.stream()
                .map(hour -> new Span(from.plus(Duration.ofHours(hour)), from.plus(Duration.ofHours(hour + lasting))))
                .toList();
        Map<LocalDate, double[]> weeks = new TreeMap<>();
        for (int hour = 0; hour < until; hour++) {
            Instant moment = from.plus(Duration.ofHours(hour));
            double[] week = weeks.computeIfAbsent(
                    LocalDate.ofInstant(moment, zone).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                    none -> new double[2]);
            week[0] += dates.stream().anyMatch(date -> !moment.isBefore(date.from()) && moment.isBefore(date.until()))
                    ? 1
                    : 0;
            week[1] += holidays.stream()
                            .noneMatch(holiday -> !moment.isBefore(holiday.from()) && moment.isBefore(holiday.until()))
                    ? hoursPerWeek / 168.0
                    : 0;
        }
        double beyond = weeks.values().stream()
                .mapToDouble(week -> Math.max(0, week[0] - week[1]))
                .sum();
        Instant then = from.plus(Duration.ofHours(until));
        assertThat(DiaryHours.beyondUsual(from, then, hoursPerWeek, holidays, dates, zone))
                .isCloseTo(beyond, within(1e-9));
    }
}
