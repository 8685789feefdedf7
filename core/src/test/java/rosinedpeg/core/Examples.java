package rosinedpeg.core;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;

/** A full-size violin with a usual set, for tests. */
public final class Examples {

    public static final SetUp VIOLIN = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));

    private Examples() {}

    public static Map<Position, StringSpec> violinSet() {
        Map<Position, StringSpec> set = new EnumMap<>(Position.class);
        set.put(Position.I, violinString(Position.I, StringCore.PLAIN_STEEL, 78, 0.26, 10_600));
        set.put(Position.II, violinString(Position.II, StringCore.SYNTHETIC, 54, 0.68, 1400));
        set.put(Position.III, violinString(Position.III, StringCore.SYNTHETIC, 43, 0.80, 1400));
        set.put(Position.IV, violinString(Position.IV, StringCore.SYNTHETIC, 44, 0.80, 1500));
        return set;
    }

    public static StringSpec violinString(
            Position position, StringCore core, double tensionN, double diameterMm, double axialStiffnessN) {
        Pitch pitch = Family.VIOLIN.openStrings().get(position.ordinal());
        double totalMm = 383 + VIOLIN.value(Quantity.nutToPeg(position)) + 90;
        return new StringSpec(
                position,
                core,
                Winding.NONE,
                StringEnd.BALL,
                pitch,
                328,
                tensionN,
                diameterMm,
                axialStiffnessN,
                45,
                384,
                totalMm);
    }

    public static ChangeRequest request(Schools schools, Set<Position> chosen, Map<Position, Position> setAsides) {
        Map<Position, StringSpec> replacements = new EnumMap<>(violinSet());
        replacements.keySet().retainAll(chosen);
        return new ChangeRequest(VIOLIN, violinSet(), replacements, setAsides, Map.of(), schools, LoadBands.USUAL);
    }

    public static ChangePlan plan(Position... chosen) {
        return ChangePlanner.plan(request(Schools.USUAL, Set.of(chosen), Map.of()));
    }

    public static Schools together() {
        Schools usual = Schools.USUAL;
        return new Schools(
                Schools.Off.TOGETHER,
                usual.begin(),
                usual.firstEnd(),
                usual.lock(),
                usual.wall(),
                usual.treatment(),
                usual.oldStrings());
    }
}
