package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Packet.Doubt;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.usual.UsualString;

/** The string that follows from what a packet says. The figures of the examples were worked out by hand. */
class PacketTest {

    private static final Pull NOTHING = new Pull.OfGauge(Pull.Gauge.MEDIUM);

    static Stream<Arguments> pulls() {
        Size violin = Size.of(Family.VIOLIN, "4/4");
        return Stream.of(
                // μ = 7850·π/4·(0.26 mm)² = 0.4168 g/m; v = 2·0.328 m·659.26 Hz = 432.47 m/s; T = μ·v².
                Arguments.of(violin, Position.I, StringCore.PLAIN_STEEL, Winding.NONE, NOTHING, 0.26, 77.95),
                // A bare gut A of 0.72 mm: μ = 1300·π/4·(0.72 mm)² = 0.5293 g/m; v = 288.64 m/s.
                Arguments.of(violin, Position.II, StringCore.GUT, Winding.NONE, NOTHING, 0.72, 44.10),
                // 0.65 g/m on the A: 0.65e-3·288.64².
                Arguments.of(
                        violin,
                        Position.II,
                        StringCore.SYNTHETIC,
                        Winding.ALUMINIUM,
                        new Pull.OfMass(0.65),
                        null,
                        54.15),
                // 1.5 g over 560 mm, G: 2.6786 g/m; v = 2·0.328·195.998 = 128.575 m/s.
                Arguments.of(
                        violin,
                        Position.IV,
                        StringCore.SYNTHETIC,
                        Winding.SILVER,
                        new Pull.Weighed(1.5, 560, 0.1),
                        null,
                        44.28));
    }

    @ParameterizedTest
    @MethodSource("pulls")
    void tensionFollowsFromWhatIsKnown(
            Size size,
            Position position,
            StringCore core,
            Winding winding,
            Pull pull,
            Double diameterMm,
            double tensionN) {
        Packet packet = Examples.packet(size, position, core, winding, pull, Optional.ofNullable(diameterMm));
        StringSpec string = packet.string();
        assertThat(string.tensionN()).isCloseTo(tensionN, within(0.05));
        assertThat(string.assumed()).doesNotContain(StringFigure.TENSION).contains(StringFigure.TOTAL_LENGTH);
        assertThat(packet.doubts(string)).isEmpty();
    }

    /** A packet that says nothing in figures is of a usual string; one that says what a usual string is like has no faults. */
    @ParameterizedTest
    @EnumSource
    void whatIsNotSaidIsUsual(Family family) {
        for (Size size : Size.of(family)) {
            for (int place = 1; place <= 5; place++) {
                Position position = Position.ofNumber(place);
                Packet asks = Examples.packet(
                        size, position, UsualString.likely(size), Winding.STEEL, NOTHING, Optional.empty());
                StringSpec usual = UsualString.of(asks.setUp(), position);
                StringSpec said = Examples.packet(
                                size, position, usual.core(), usual.winding(), NOTHING, Optional.empty())
                        .string();
                assertThat(said.tensionN()).as("%s %s", size, position).isCloseTo(usual.tensionN(), within(1e-9));
                assertThat(said.diameterMm()).isCloseTo(usual.diameterMm(), within(usual.diameterMm() * 0.01));
                assertThat(said.assumed()).containsExactlyInAnyOrder(StringFigure.values());
                Packet whole = Examples.packet(
                        size,
                        position,
                        usual.core(),
                        usual.winding(),
                        new Pull.OfTension(usual.tensionN()),
                        Optional.of(usual.diameterMm()));
                assertThat(whole.doubts(whole.string()))
                        .as("%s %s", size, position)
                        .isEmpty();
                StringSpec heavy = Examples.packet(
                                size,
                                position,
                                usual.core(),
                                usual.winding(),
                                new Pull.OfGauge(Pull.Gauge.HEAVY),
                                Optional.empty())
                        .string();
                assertThat(heavy.tensionN()).isGreaterThan(said.tensionN());
                assertThat(heavy.diameterMm()).isGreaterThan(said.diameterMm());
                assertThat(heavy.axialStiffnessN()).isGreaterThan(said.axialStiffnessN());
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        // A tension in kilograms typed as newtons; a diameter in hundredths of a mm; gut that would be a wire.
        "PLAIN_STEEL, NONE, 12, 0.26, TOO_LIGHT_FOR_ITS_THICKNESS",
        "SYNTHETIC, ALUMINIUM, 120, 0.25, TOO_HEAVY_FOR_ITS_THICKNESS",
        "GUT, NONE, 300, 0.8, TOO_HEAVY_FOR_ITS_THICKNESS"
    })
    void whatCannotBeIsRefusedWithItsFigures(
            StringCore core, Winding winding, double tensionN, double diameterMm, Doubt.Kind kind) {
        Packet packet = Examples.packet(
                Size.of(Family.VIOLIN, "4/4"),
                Position.I,
                core,
                winding,
                new Pull.OfTension(tensionN),
                Optional.of(diameterMm));
        Doubt doubt = packet.doubts(packet.string()).get(0);
        assertThat(doubt.kind()).isEqualTo(kind);
        assertThat(doubt.isImpossible()).isTrue();
        assertThat(doubt.found() > doubt.limit()).isEqualTo(kind == Doubt.Kind.TOO_HEAVY_FOR_ITS_THICKNESS);
    }

    /** Gut as thin as a wire snaps on the way up. */
    @Test
    void whatBreaksBeforeItsPitchIsRefused() {
        Packet thin = Examples.packet(
                Size.of(Family.VIOLIN, "4/4"),
                Position.I,
                StringCore.GUT,
                Winding.NONE,
                new Pull.OfTension(75),
                Optional.of(0.44));
        assertThat(thin.doubts(thin.string())).extracting(Doubt::kind).contains(Doubt.Kind.BREAKS_BEFORE_ITS_PITCH);
    }

    @Test
    void silkAndScalesAreDoubtedAloud() {
        Packet packet = new Packet(
                Size.of(Family.VIOLIN, "4/4"),
                Position.IV,
                Packet.usualPitch(Family.VIOLIN, Position.IV),
                StringCore.SYNTHETIC,
                Winding.SILVER,
                StringEnd.BALL,
                Optional.empty(),
                new Pull.Weighed(1.5, 560, 1),
                Optional.empty(),
                Optional.empty(),
                Optional.of(60.0),
                Optional.of(380.0),
                Optional.of(560.0));
        assertThat(packet.doubts(packet.string()))
                .containsExactly(
                        new Doubt(Doubt.Kind.SILK_IN_PLAYING_LENGTH, 320, 328),
                        new Doubt(Doubt.Kind.WEIGHED_COARSELY, 1 / 3.0, 0.1));
    }

    @Test
    void aStringIsTunedNearWhereItBelongs() {
        assertThat(Packet.usualPitch(Family.BASS, Position.V).spelling()).isEqualTo("B0");
        assertThat(Packet.usualPitch(Family.VIOLIN, Position.V).spelling()).isEqualTo("C3");
        assertThatThrownBy(() -> new Packet(
                        Size.of(Family.VIOLIN, "4/4"),
                        Position.I,
                        new Pitch(40),
                        StringCore.GUT,
                        Winding.NONE,
                        StringEnd.KNOT,
                        Optional.empty(),
                        NOTHING,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("E2");
    }

    /** A kind on record is put right from what its packet said: grade, thickness and all. */
    @ParameterizedTest
    @EnumSource
    void aPacketIsReadBackFromItsString(Pull.Gauge gauge) {
        for (Size size : Stream.of(Family.values())
                .flatMap(family -> Size.of(family).stream())
                .toList()) {
            for (Optional<Double> thickness : List.of(Optional.<Double>empty(), Optional.of(1.0))) {
                Packet packet = Examples.packet(
                        size,
                        Position.III,
                        UsualString.likely(size),
                        Winding.SILVER,
                        new Pull.OfGauge(gauge),
                        thickness);
                StringSpec string = packet.string();
                Packet read = Packet.of(size, string);
                assertThat(read.string()).isEqualTo(string);
                assertThat(read.diameterMm()).isEqualTo(thickness);
                if (thickness.isEmpty()) {
                    assertThat(read).isEqualTo(packet);
                }
            }
        }
    }
}
