package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import rosinedpeg.core.causes.BreakCause;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.causes.Breakages;
import rosinedpeg.core.causes.Check;
import rosinedpeg.core.causes.Symptom;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;

class CausesTest {

    @ParameterizedTest
    @CsvSource({
        "VIOLIN, I, BRIDGE, NO_GUARD_UNDER_FIRST, 3",
        "BASS, I, BRIDGE, SHARP_BRIDGE_EDGE, 2",
        "VIOLIN, II, BRIDGE, SHARP_BRIDGE_EDGE, 2",
        "CELLO, III, NUT, DRY_NUT_GROOVE, 3",
        "VIOLA, IV, PEG, TOUCHES_IN_PEGBOX, 3",
        "VIOLIN, I, TUNER, BURR_ON_TUNER, 2",
        "BASS, I, TUNER, BURR_ON_TUNER, 1",
        "VIOLIN, II, MID_LENGTH, AGE, 3"
    })
    void thePlaceOfABreakNamesItsLikeliestCause(
            Family family, Position position, BreakPlace place, BreakCause likeliest, int causes) {
        SetUp setUp =
                Examples.with(family == Family.BASS ? TailEnd.SLOT : TailEnd.FORK_TUNER, Examples.instrument(family));
        assertThat(BreakCause.of(setUp, position, place))
                .hasSize(causes)
                .first()
                .isEqualTo(likeliest);
        assertThat(likeliest.refer())
                .as("an edge, a burr, a hole and a groove of wood or metal are a repairer's work")
                .isEqualTo(Set.of("SHARP_BRIDGE_EDGE", "TOUCHES_IN_PEGBOX", "BURR_ON_TUNER")
                        .contains(likeliest.name()));
    }

    @Test
    void twiceAtOnePlaceIsTheInstrumentsFault() {
        Breakages once = new Breakages(List.of(new Breakages.Breakage(Position.I, BreakPlace.NUT)));
        assertThat(once.instrumentAtFault(Position.I, BreakPlace.NUT)).isFalse();
        assertThat(once.count(Position.I, BreakPlace.NUT)).isOne();
        assertThat(once.count(Position.II, BreakPlace.NUT)).isZero();
        assertThat(once.count(Position.I, BreakPlace.PEG)).isZero();
        Breakages twice = new Breakages(List.of(
                new Breakages.Breakage(Position.I, BreakPlace.NUT),
                new Breakages.Breakage(Position.I, BreakPlace.NUT),
                new Breakages.Breakage(Position.I, BreakPlace.MID_LENGTH),
                new Breakages.Breakage(Position.I, BreakPlace.MID_LENGTH)));
        assertThat(twice.instrumentAtFault(Position.I, BreakPlace.NUT)).isTrue();
        assertThat(twice.instrumentAtFault(Position.II, BreakPlace.NUT)).isFalse();
        assertThat(twice.instrumentAtFault(Position.I, BreakPlace.MID_LENGTH))
                .as("a string may wear out twice")
                .isFalse();
    }

    @ParameterizedTest
    @EnumSource(Symptom.class)
    void causesOfASymptomAreToldApartByDifferentLooks(Symptom symptom) {
        for (PegKind pegs : PegKind.values()) {
            List<Symptom.Suspicion> suspicions = symptom.suspicions(pegs);
            assertThat(suspicions).isNotEmpty();
            assertThat(suspicions).extracting(Symptom.Suspicion::cause).doesNotHaveDuplicates();
            assertThat(suspicions.get(0).refer())
                    .as("what one can cure oneself is tried first")
                    .isFalse();
            Check ofOthers = pegs.holdsByFriction() ? Check.LOOK_AT_GEARS : Check.LOOK_AT_BANDS;
            assertThat(suspicions)
                    .as("nobody looks at the bands of gears")
                    .extracting(Symptom.Suspicion::check)
                    .doesNotContain(ofOthers);
        }
    }

    @Test
    void whatAnInstrumentDoesNotHaveIsNeverTheMatter() {
        SetUp bass = new SetUp(
                Examples.instrument(Family.BASS).size(),
                false,
                ReferenceA.STANDARD,
                Family.BASS.openStrings(),
                Map.of(),
                Map.of());
        assertThat(Symptom.of(bass)).doesNotContain(Symptom.TUNER_OUT_OF_TRAVEL).hasSize(Symptom.values().length - 1);
        assertThat(Mishap.Kind.of(bass)).doesNotContain(Mishap.Kind.TUNER_AT_ITS_END, Mishap.Kind.BALL_JAMMED);
        assertThat(Symptom.of(Examples.VIOLIN)).containsExactly(Symptom.values());
        assertThat(Mishap.Kind.of(Examples.VIOLIN)).containsExactly(Mishap.Kind.values());
    }
}
