package rosinedpeg.web.practice;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.plan.PegCondition;
import rosinedpeg.core.rounds.Coupling;
import rosinedpeg.core.simulation.PracticeStart;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringCore;
import rosinedpeg.core.strings.StringEnd;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;
import rosinedpeg.core.strings.Winding;
import rosinedpeg.web.platform.KeptFigure;
import rosinedpeg.web.platform.KeptNames;
import rosinedpeg.web.platform.KeptSetUp;

/**
 * The form a start is kept in: it stays as it was, whatever becomes of the instrument it was copied from.
 *
 * @param setUp the instrument
 * @param strings its strings, by position
 * @param pegs how its pegs turn, by position
 * @param graphited the strings whose grooves have graphite
 * @param couplingMmPerN how much it gives, in mm/N
 * @param stuckDry how much sticks in dry grooves
 * @param stuckGraphited how much sticks in grooves with graphite
 * @param heldFrom from which share on its post is held
 * @param lightFrom from which share on it is light
 * @param thinFrom from which share on it is thin
 * @param seed what luck goes by
 */
record KeptStart(
        KeptSetUp setUp,
        Map<String, KeptString> strings,
        Map<String, String> pegs,
        List<String> graphited,
        Double couplingMmPerN,
        KeptFigure stuckDry,
        KeptFigure stuckGraphited,
        Double heldFrom,
        Double lightFrom,
        Double thinFrom,
        Long seed) {

    /**
     * A string.
     *
     * @param core what it is made of
     * @param winding what is wound round it
     * @param end how it hangs
     * @param pitch what it is made for, as A4
     * @param designLengthMm the length it is made for, in mm
     * @param tensionN its tension there, in N
     * @param diameterMm in mm
     * @param axialStiffnessN in N
     * @param tailSilkEndMm in mm
     * @param topSilkStartMm in mm
     * @param totalLengthMm in mm
     * @param assumed which figures are only usual
     */
    record KeptString(
            String core,
            String winding,
            String end,
            String pitch,
            Double designLengthMm,
            Double tensionN,
            Double diameterMm,
            Double axialStiffnessN,
            Double tailSilkEndMm,
            Double topSilkStartMm,
            Double totalLengthMm,
            List<String> assumed) {

        static KeptString of(StringSpec spec) {
            return new KeptString(
                    spec.core().name(),
                    spec.winding().name(),
                    spec.end().name(),
                    spec.nominalPitch().spelling(),
                    spec.designLengthMm(),
                    spec.tensionN(),
                    spec.diameterMm(),
                    spec.axialStiffnessN(),
                    spec.tailSilkEndMm(),
                    spec.topSilkStartMm(),
                    spec.totalLengthMm(),
                    spec.assumed().stream().map(Enum::name).sorted().toList());
        }

        StringSpec spec(Position position) {
            Set<StringFigure> usual = EnumSet.noneOf(StringFigure.class);
            assumed.forEach(name -> usual.add(KeptNames.of(StringFigure.class, name)));
            return new StringSpec(
                    position,
                    KeptNames.of(StringCore.class, core),
                    KeptNames.of(Winding.class, winding),
                    KeptNames.of(StringEnd.class, end),
                    Pitch.of(pitch),
                    designLengthMm,
                    tensionN,
                    diameterMm,
                    axialStiffnessN,
                    tailSilkEndMm,
                    topSilkStartMm,
                    totalLengthMm,
                    usual);
        }
    }

    /** {@return a start as it is kept} */
    static KeptStart of(PracticeStart start) {
        Map<String, KeptString> strings = new LinkedHashMap<>();
        start.strings().forEach((position, spec) -> strings.put(position.name(), KeptString.of(spec)));
        Map<String, String> pegs = new LinkedHashMap<>();
        start.pegs().forEach((position, condition) -> pegs.put(position.name(), condition.name()));
        return new KeptStart(
                KeptSetUp.of(start.setUp()),
                strings,
                pegs,
                start.graphited().stream().sorted().map(Position::name).toList(),
                start.coupling().mmPerN(),
                KeptFigure.of(start.stuck().dry()),
                KeptFigure.of(start.stuck().graphited()),
                start.bands().heldFrom(),
                start.bands().lightFrom(),
                start.bands().thinFrom(),
                start.seed());
    }

    /**
     * The start that was kept so.
     *
     * @throws IllegalArgumentException when something of it is not known, or outside its range
     */
    PracticeStart start() {
        Map<Position, StringSpec> specs = new EnumMap<>(Position.class);
        strings.forEach((name, string) -> {
            Position position = KeptNames.of(Position.class, name);
            specs.put(position, string.spec(position));
        });
        Map<Position, PegCondition> conditions = new EnumMap<>(Position.class);
        pegs.forEach((name, condition) ->
                conditions.put(KeptNames.of(Position.class, name), KeptNames.of(PegCondition.class, condition)));
        Set<Position> smooth = EnumSet.noneOf(Position.class);
        graphited.forEach(name -> smooth.add(KeptNames.of(Position.class, name)));
        return new PracticeStart(
                setUp.setUp(),
                specs,
                conditions,
                smooth,
                new Coupling(couplingMmPerN),
                new StuckShares(stuckDry.figure(), stuckGraphited.figure()),
                new LoadBands(heldFrom, lightFrom, thinFrom),
                seed);
    }
}
