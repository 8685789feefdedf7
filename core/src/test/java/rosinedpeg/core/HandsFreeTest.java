package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.hearing.HandsFree;
import rosinedpeg.core.hearing.HandsFree.Minded;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.hearing.HandsFree.Warning;
import rosinedpeg.core.hearing.Hearing;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.pitch.Fifths;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.rounds.PegTurn;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Elasticity;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/** What is made of what is heard while both hands are at the pegs. */
class HandsFreeTest {

    private static final double EVERY_SECONDS = 0.02;

    private final List<Minded> minded = new ArrayList<>();
    private HandsFree minds;
    private double now;

    @BeforeEach
    void begin() {
        minds = new HandsFree(Optional.of(Position.II), Map.of(Position.II, 150.0));
    }

    /** A string sounds for some time, its pitch as it goes by the seconds since its pluck. */
    private List<Notice> sounds(Position string, double seconds, double spread, DoubleUnaryOperator cents) {
        List<Notice> notices = new ArrayList<>();
        double begins = now;
        for (now += 0.16; now < begins + seconds; now += EVERY_SECONDS) {
            double since = now - begins;
            Minded one = minds.take(new Hearing.Heard(
                    now, since, string, 440, new Cents(cents.applyAsDouble(since)), spread, Optional.empty()));
            minded.add(one);
            notices.addAll(one.notices());
        }
        return notices;
    }

    private void rests(double seconds) {
        for (double until = now + seconds; now < until; now += EVERY_SECONDS) {
            minded.add(minds.take(new Hearing.Silence(now)));
        }
    }

    private List<Notice> plucked(Position string, double cents) {
        rests(0.3);
        return sounds(string, 1.2, 0.4, since -> cents);
    }

    @Test
    void aPluckIsReadOnce() {
        assertThat(plucked(Position.II, -40)).containsExactly(new Notice.Read(Position.II, new Cents(-40)));
        assertThat(plucked(Position.II, -40)).as("another pluck").hasSize(1);
    }

    @Test
    void aWrongStringIsTold() {
        assertThat(plucked(Position.III, 3)).containsExactly(new Notice.WrongString(Position.III));
    }

    /** One that trembles is read later, one that nobody can read never. */
    @Test
    void waitsUntilAPluckStands() {
        assertThat(sounds(Position.II, 0.7, 6, since -> -40.0)).isEmpty();
        assertThat(sounds(Position.II, 1.2, 6, since -> -40.0)).hasSize(1);
        rests(0.3);
        assertThat(sounds(Position.II, 1.2, 25, since -> -40.0)).isEmpty();
    }

    /** Under a bow it is read where it stands, moved, and read where it stands again. */
    @Test
    void readsABowedStringWhereItStands() {
        List<Notice> notices =
                sounds(Position.II, 5, 0.5, since -> since < 1.5 ? -30 : since < 3 ? -30 + (since - 1.5) * 18 : -3);
        assertThat(notices.stream().filter(Notice.Read.class::isInstance).map(Notice.Read.class::cast))
                .first()
                .satisfies(first -> assertThat(first.cents().value()).isEqualTo(-30));
        assertThat(notices.stream()
                        .filter(Notice.Read.class::isInstance)
                        .map(Notice.Read.class::cast)
                        .reduce((one, other) -> other))
                .hasValueSatisfying(last -> assertThat(last.cents().value()).isCloseTo(-3, within(5.0)));
    }

    /** Two seconds at its pitch, in one sound or in several. */
    @Test
    void holdsAfterTwoSeconds() {
        assertThat(sounds(Position.II, 1.9, 0.4, since -> 2.0)).doesNotContain(new Notice.Holds(Position.II));
        rests(2);
        assertThat(sounds(Position.II, 1, 0.4, since -> -2.0)).contains(new Notice.Holds(Position.II));
        assertThat(sounds(Position.II, 3, 0.4, since -> -2.0)).doesNotContain(new Notice.Holds(Position.II));
    }

    /** A new string is left a little over its pitch; where all are tuned together none is. */
    @Test
    void holdsALittleOverWhileItIsInHand() {
        assertThat(sounds(Position.II, 3, 0.4, since -> 12.0)).contains(new Notice.Holds(Position.II));
        rests(1);
        assertThat(sounds(Position.II, 3, 0.4, since -> 12 + since * 6)).doesNotContain(new Notice.Holds(Position.II));
        minds = new HandsFree(Optional.empty(), Map.of());
        assertThat(sounds(Position.II, 3, 0.4, since -> 12.0)).doesNotContain(new Notice.Holds(Position.II));
    }

    @Test
    void doesNotHoldThroughARestOrAwayFromItsPitch() {
        sounds(Position.II, 1.5, 0.4, since -> 0.0);
        rests(7);
        assertThat(sounds(Position.II, 1.5, 0.4, since -> 0.0)).doesNotContain(new Notice.Holds(Position.II));
        sounds(Position.II, 0.4, 0.4, since -> -9.0);
        assertThat(sounds(Position.II, 1.5, 0.4, since -> 0.0)).doesNotContain(new Notice.Holds(Position.II));
    }

    @Test
    void warnsBeforeItIsOver() {
        sounds(Position.II, 1.5, 4, since -> -400 + since * 60);
        assertThat(minded)
                .as("far below")
                .allSatisfy(one -> assertThat(one.warning()).isEmpty());
        minded.clear();
        sounds(Position.II, 1, 4, since -> -60 + since * 60);
        assertThat(minded.stream().flatMap(one -> one.warning().stream())).contains(Warning.RISES_FAST);
        minded.clear();
        sounds(Position.II, 0.6, 1, since -> 60.0);
        assertThat(minded.get(minded.size() - 1).warning()).contains(Warning.NEAR_BREAKING);
    }

    /** A turn of so many degrees draws the string from one tension to the other: body, string and gears together. */
    @Property(tries = 100)
    void aPegIsTurnedByWhatIsLacking(@ForAll Family family, @ForAll @DoubleRange(min = 0.2, max = 1.1) double share) {
        SetUp setUp = Examples.instrument(family);
        StringSpec string = Position.II.in(Examples.set(setUp));
        double fullN = setUp.tensionN(string);
        PegTurn turn = PegTurn.of(setUp, string, new Coupling(0), share * fullN, fullN);
        double ratio = setUp.pegKind().holdsByFriction() ? 1 : setUp.value(Quantity.GEAR_RATIO);
        double mm =
                Elasticity.drawnInMm(turn.degrees() / ratio, setUp.value(Quantity.SHAFT_DIAMETER), string.diameterMm());
        assertThat(share * fullN + mm * setUp.elasticity(string).stiffnessNPerMm())
                .isCloseTo(fullN, within(1e-6 * fullN));
        assertThat(turn.up()).isEqualTo(share < 1);
        assertThat(PegTurn.of(setUp, string, Coupling.usual(family), share * fullN, fullN)
                        .turns())
                .as("the body gives too")
                .isGreaterThanOrEqualTo(turn.turns());
    }

    @Test
    void fifthsBeatWhereTheyAreTempered() {
        SetUp violin = Examples.VIOLIN;
        List<Double> tempered = Fifths.TEMPERED.hertz(violin.openStrings(), violin.referenceA());
        List<Double> pure = Fifths.PURE.hertz(violin.openStrings(), violin.referenceA());
        assertThat(tempered.get(1)).isEqualTo(440).isEqualTo(pure.get(1));
        assertThat(pure).containsExactly(660.0, 440.0, 440 / 1.5, 440 / 2.25);
        assertThat(Fifths.beatsPerSecond(
                                violin.openString(Position.II),
                                tempered.get(1),
                                violin.openString(Position.I),
                                tempered.get(0))
                        .orElseThrow())
                .isCloseTo(1.49, within(0.01));
        SetUp bass = Examples.instrument(Family.BASS);
        List<Double> fourths = Fifths.PURE.hertz(bass.openStrings(), bass.referenceA());
        assertThat(fourths.get(0) / fourths.get(1)).isCloseTo(4 / 3.0, within(1e-12));
    }
}
