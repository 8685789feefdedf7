package rosinedpeg.core;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.bridge.Lean;
import rosinedpeg.core.care.Rosining;
import rosinedpeg.core.inspection.Condition;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.MishapPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;
import rosinedpeg.core.setup.PegKind;
import rosinedpeg.core.setup.Quantity;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.TailEnd;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.core.usual.Packet;
import rosinedpeg.core.usual.Pull;
import rosinedpeg.core.wear.WearState;

/** A full-size violin with a usual set, for tests. */
public final class Examples {

    public static final SetUp VIOLIN = SetUp.unmeasured(Size.of(Family.VIOLIN, "4/4"));

    private Examples() {}

    /** An A string of which a packet gives the tension. */
    public static final Packet PACKET = new Packet(
            Size.of(Family.VIOLIN, "4/4"),
            Position.II,
            Pitch.of("A4"),
            StringCore.SYNTHETIC,
            Winding.ALUMINIUM,
            StringEnd.BALL,
            Optional.of(328.0),
            new Pull.OfTension(54),
            Optional.of(0.68),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    /** A packet that says what a string is of, how hard it pulls, and perhaps how thick it is. */
    public static Packet packet(
            Size size, Position position, StringCore core, Winding winding, Pull pull, Optional<Double> diameterMm) {
        return new Packet(
                size,
                position,
                Packet.usualPitch(size.family(), position),
                core,
                winding,
                StringEnd.BALL,
                Optional.empty(),
                pull,
                diameterMm,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

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
        double totalMm = 383 + VIOLIN.value(Quantity.NUT_TO_PEG, position) + 90;
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
                totalMm,
                Set.of());
    }

    public static ChangeRequest request(Schools schools, Set<Position> chosen, Map<Position, Set<Position>> covering) {
        Map<Position, StringSpec> replacements = new EnumMap<>(violinSet());
        replacements.keySet().retainAll(chosen);
        return ChangeRequest.usual(VIOLIN, violinSet(), replacements)
                .by(schools)
                .covered(covering);
    }

    public static ChangePlan plan(Position... chosen) {
        return ChangePlanner.plan(request(Schools.USUAL, Set.of(chosen), Map.of()));
    }

    /** A plan after a mishap, by the rules of now. */
    public static ChangePlan amended(ChangePlan plan, int reached, Mishap mishap, int times, Optional<Lean> lean) {
        return MishapPlanner.amendment(plan, reached, mishap, times, lean).in(plan, reached);
    }

    /** A full-size instrument of any family with nothing measured. */
    public static SetUp instrument(Family family) {
        return SetUp.unmeasured(Size.of(family).get(0));
    }

    /** Any size of a family, with a fifth string below the others if wanted; a size too many begins again at the first. */
    public static SetUp instrument(Family family, int size, boolean five) {
        List<Size> sizes = Size.of(family);
        SetUp setUp = SetUp.unmeasured(sizes.get(size % sizes.size()));
        if (!five) {
            return setUp;
        }
        List<Pitch> pitches = new ArrayList<>(setUp.openStrings());
        pitches.add(pitches.get(3).up(family == Family.BASS ? -5 : -7));
        return new SetUp(setUp.size(), false, setUp.referenceA(), pitches, Map.of(), setUp.tailEnds());
    }

    /** The same instrument with other pegs. */
    public static SetUp with(PegKind pegs, SetUp setUp) {
        return fitted(setUp, setUp.tailEnds(), pegs);
    }

    /** The same instrument with every string hung on that. */
    public static SetUp with(TailEnd hungOn, SetUp setUp) {
        Map<Position, TailEnd> tailEnds = new EnumMap<>(Position.class);
        setUp.positions().forEach(position -> tailEnds.put(position, hungOn));
        return fitted(setUp, tailEnds, setUp.pegKind());
    }

    private static SetUp fitted(SetUp setUp, Map<Position, TailEnd> tailEnds, PegKind pegs) {
        return new SetUp(
                setUp.size(),
                setUp.leftHanded(),
                setUp.referenceA(),
                setUp.openStrings(),
                setUp.figures(),
                tailEnds,
                setUp.pegSides(),
                pegs);
    }

    /** The same string of another core and length. */
    public static StringSpec with(StringSpec string, StringCore core, double totalMm) {
        return with(
                string,
                core,
                string.tensionN(),
                string.diameterMm(),
                string.tailSilkEndMm(),
                string.topSilkStartMm(),
                totalMm);
    }

    /** The same string finished otherwise at its tail. */
    public static StringSpec with(StringSpec string, StringEnd end) {
        return new StringSpec(
                string.position(),
                string.core(),
                string.winding(),
                end,
                string.nominalPitch(),
                string.designLengthMm(),
                string.tensionN(),
                string.diameterMm(),
                string.axialStiffnessN(),
                string.tailSilkEndMm(),
                string.topSilkStartMm(),
                string.totalLengthMm(),
                Set.of());
    }

    /** The same string with other figures of its own. */
    public static StringSpec with(
            StringSpec string,
            StringCore core,
            double tensionN,
            double diameterMm,
            double tailSilkEndMm,
            double topSilkStartMm,
            double totalMm) {
        return new StringSpec(
                string.position(),
                core,
                string.winding(),
                string.end(),
                string.nominalPitch(),
                string.designLengthMm(),
                tensionN,
                diameterMm,
                string.axialStiffnessN(),
                tailSilkEndMm,
                topSilkStartMm,
                totalMm,
                Set.of());
    }

    /** The usual strings of an instrument, I first, of four or five. */
    public static Map<Position, StringSpec> set(SetUp setUp) {
        Map<Position, StringSpec> set = new EnumMap<>(Position.class);
        for (Position position : setUp.positions()) {
            set.put(position, string(setUp, position));
        }
        return set;
    }

    /** A string made for an instrument, with two or three turns to spare on its peg. */
    public static StringSpec string(SetUp setUp, Position position) {
        double[] figures = TYPICAL[setUp.family().ordinal()][Math.min(position.ordinal(), 3)];
        boolean steel = position == Position.I || !setUp.family().restsOnLap();
        StringCore core = !steel
                ? StringCore.SYNTHETIC
                : setUp.family().restsOnLap() ? StringCore.PLAIN_STEEL : StringCore.ROPE_STEEL;
        double nutMm = setUp.value(Quantity.AFTERLENGTH) + setUp.value(Quantity.VIBRATING_LENGTH);
        double woundMm = (setUp.family() == Family.BASS ? 2.2 : 3.2)
                * Math.PI
                * (setUp.value(Quantity.SHAFT_DIAMETER) + figures[1]);
        return new StringSpec(
                position,
                core,
                Winding.SILVER,
                position.in(setUp.tailEnds()) == TailEnd.HOOK_TUNER ? StringEnd.LOOP : StringEnd.BALL,
                setUp.openString(position),
                setUp.value(Quantity.VIBRATING_LENGTH),
                figures[0],
                figures[1],
                figures[2],
                setUp.value(Quantity.AFTERLENGTH) * 0.7,
                nutMm + 1,
                nutMm + setUp.value(Quantity.NUT_TO_PEG, position) + woundMm,
                Set.of());
    }

    /** The violin with what is known of how worn its strings are and of its rosin. */
    public static Condition violin(Map<Position, WearState> wear, Rosining rosining) {
        return new Condition(
                VIOLIN, violinSet(), wear, Map.of(), Map.of(), false, false, false, null, null, rosining, null);
    }

    private static final double[][][] TYPICAL = {
        {{78, 0.26, 10_600}, {54, 0.68, 1400}, {43, 0.80, 1400}, {44, 0.80, 1500}},
        {{80, 0.47, 7000}, {49, 0.82, 1700}, {50, 0.95, 1900}, {54, 1.15, 2200}},
        {{175, 0.70, 10_500}, {139, 1.00, 10_000}, {135, 1.25, 11_000}, {135, 1.65, 12_000}},
        {{282, 1.25, 28_000}, {286, 1.60, 29_000}, {288, 2.05, 30_000}, {290, 2.55, 30_000}}
    };

    public static Schools together() {
        return Schools.USUAL.with(Schools.Off.TOGETHER, Schools.USUAL.order().begin());
    }
}
