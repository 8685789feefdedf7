package rosinedpeg.web.demonstration;

import static rosinedpeg.core.strings.StringCore.GUT;
import static rosinedpeg.core.strings.StringCore.PLAIN_STEEL;
import static rosinedpeg.core.strings.StringCore.ROPE_STEEL;
import static rosinedpeg.core.strings.StringCore.SYNTHETIC;
import static rosinedpeg.core.strings.Winding.ALUMINIUM;
import static rosinedpeg.core.strings.Winding.NONE;
import static rosinedpeg.core.strings.Winding.SILVER;
import static rosinedpeg.core.strings.Winding.STEEL;
import static rosinedpeg.core.strings.Winding.TUNGSTEN;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.StringMake;
import rosinedpeg.core.usual.UsualString;
import rosinedpeg.web.kinds.StringKind;
import rosinedpeg.web.kinds.StringKinds;

/** The strings of two makers that do not exist, each cut for the instrument it is for. */
@Component
class InventedStrings {

    static final String TIDEWICK = "Tidewick";
    static final String CORROWYN = "Corrowyn";

    static final Pitch LOW_C = Pitch.of("C3");

    private final StringKinds kinds;

    InventedStrings(StringKinds kinds) {
        this.kinds = kinds;
    }

    /** A set that pulls so many times what is usual. */
    Map<Position, StringKind> violin(String line, double pull) {
        SetUp full = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
        kinds.add(
                TIDEWICK,
                line,
                Family.VIOLIN,
                spec(full, 1, PLAIN_STEEL, NONE, StringEnd.LOOP, 78 * pull, 0.26, 10_600));
        return set(
                TIDEWICK,
                line,
                spec(full, 1, PLAIN_STEEL, NONE, StringEnd.BALL, 78 * pull, 0.26, 10_600),
                spec(full, 2, SYNTHETIC, ALUMINIUM, StringEnd.BALL, 54 * pull, 0.68, 1400),
                spec(full, 3, SYNTHETIC, ALUMINIUM, StringEnd.BALL, 43 * pull, 0.80, 1400),
                spec(full, 4, SYNTHETIC, SILVER, StringEnd.BALL, 44 * pull, 0.80, 1500));
    }

    /** The fifth string of a violin. */
    StringKind lowC(String line) {
        List<Pitch> pitches = new ArrayList<>(Family.VIOLIN.openStrings());
        pitches.add(LOW_C);
        SetUp five = new SetUp(Size.of(Family.VIOLIN, "4/4"), false, ReferenceA.STANDARD, pitches, Map.of(), Map.of());
        return kinds.add(
                TIDEWICK, line, Family.VIOLIN, spec(five, 5, SYNTHETIC, SILVER, StringEnd.BALL, 42, 1.05, 1700));
    }

    Map<Position, StringKind> violinGut(String line) {
        SetUp full = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));
        return set(
                CORROWYN,
                line,
                spec(full, 1, PLAIN_STEEL, NONE, StringEnd.BALL, 75, 0.25, 9800),
                spec(full, 2, GUT, ALUMINIUM, StringEnd.BALL, 50, 0.72, 980),
                spec(full, 3, GUT, SILVER, StringEnd.BALL, 41, 0.84, 980),
                spec(full, 4, GUT, SILVER, StringEnd.BALL, 42, 0.86, 1050));
    }

    Map<Position, StringKind> halfViolin(String line) {
        return small(line, "1/2", 62);
    }

    Map<Position, StringKind> quarterViolin(String line) {
        return small(line, "1/4", 50);
    }

    Map<Position, StringKind> viola(String line) {
        SetUp viola = SetUp.unmeasured(Size.of(Family.VIOLA, "16½"));
        return set(
                TIDEWICK,
                line,
                spec(viola, 1, PLAIN_STEEL, STEEL, StringEnd.BALL, 80, 0.47, 7000),
                spec(viola, 2, SYNTHETIC, ALUMINIUM, StringEnd.BALL, 49, 0.82, 1700),
                spec(viola, 3, SYNTHETIC, SILVER, StringEnd.BALL, 50, 0.95, 1900),
                spec(viola, 4, SYNTHETIC, SILVER, StringEnd.BALL, 54, 1.15, 2200));
    }

    Map<Position, StringKind> cello(String line) {
        SetUp cello = SetUp.unmeasured(Size.of(Family.CELLO, "4/4"));
        return set(
                CORROWYN,
                line,
                spec(cello, 1, ROPE_STEEL, STEEL, StringEnd.BALL, 175, 0.70, 10_500),
                spec(cello, 2, ROPE_STEEL, STEEL, StringEnd.BALL, 139, 1.00, 10_000),
                spec(cello, 3, ROPE_STEEL, TUNGSTEN, StringEnd.BALL, 135, 1.25, 11_000),
                spec(cello, 4, ROPE_STEEL, TUNGSTEN, StringEnd.BALL, 135, 1.65, 12_000));
    }

    Map<Position, StringKind> bass(String line) {
        SetUp bass = SetUp.unmeasured(Size.of(Family.BASS, "3/4"));
        return set(
                CORROWYN,
                line,
                spec(bass, 1, ROPE_STEEL, STEEL, StringEnd.BALL, 282, 1.25, 28_000),
                spec(bass, 2, ROPE_STEEL, STEEL, StringEnd.BALL, 286, 1.60, 29_000),
                spec(bass, 3, ROPE_STEEL, STEEL, StringEnd.BALL, 288, 2.05, 30_000),
                spec(bass, 4, ROPE_STEEL, STEEL, StringEnd.BALL, 290, 2.55, 30_000));
    }

    private Map<Position, StringKind> small(String line, String size, double firstN) {
        SetUp small = SetUp.unmeasured(Size.of(Family.VIOLIN, size));
        return set(
                TIDEWICK,
                line,
                spec(small, 1, PLAIN_STEEL, NONE, StringEnd.BALL, firstN, 0.26, 10_600),
                spec(small, 2, ROPE_STEEL, ALUMINIUM, StringEnd.BALL, 48, 0.60, 5200),
                spec(small, 3, ROPE_STEEL, STEEL, StringEnd.BALL, 40, 0.66, 5200),
                spec(small, 4, ROPE_STEEL, STEEL, StringEnd.BALL, 41, 0.80, 5400));
    }

    private Map<Position, StringKind> set(String maker, String line, StringSpec... specs) {
        Map<Position, StringKind> set = new EnumMap<>(Position.class);
        for (StringSpec spec : specs) {
            Family family = familyOf(spec);
            set.put(spec.position(), kinds.add(maker, line, family, spec));
        }
        return set;
    }

    /** The family follows from the open string and where it belongs. */
    private static Family familyOf(StringSpec spec) {
        for (Family family : Family.values()) {
            if (family.openStrings().get(spec.position().number() - 1).equals(spec.nominalPitch())) {
                return family;
            }
        }
        throw new IllegalArgumentException("no family has " + spec.nominalPitch() + " at " + spec.position());
    }

    private static StringSpec spec(
            SetUp setUp,
            int number,
            StringCore core,
            Winding winding,
            StringEnd end,
            double tensionN,
            double diameterMm,
            double axialStiffnessN) {
        Position position = Position.ofNumber(number);
        return UsualString.cut(
                setUp,
                position,
                setUp.openString(position),
                new StringMake(core, winding, tensionN, diameterMm, axialStiffnessN),
                end);
    }
}
