package rosinedpeg.core.working;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringFigure;
import rosinedpeg.core.strings.StringSpec;

/** The numbers of an instrument and of its strings, for whatever rests on them. */
final class Numbers {

    private static final Set<What.Part> OF_A_STRING = EnumSet.range(What.Part.DESIGN_LENGTH, What.Part.TOP_SILK_START);

    private Numbers() {}

    /** All figures are held where they are, so that a usual value that would follow from the one that is moved does not. */
    static <G> List<Ingredient<G>> of(SetUp setUp, Function<SetUp, G> with) {
        Map<Measurable, Double> held = new LinkedHashMap<>();
        setUp.figures().forEach((measurable, figure) -> held.put(measurable, figure.value()));
        List<Ingredient<G>> numbers = new ArrayList<>();
        setUp.figures()
                .forEach((measurable, figure) -> numbers.add(
                        Ingredient.of(new What.Measured(measurable), figure, setUp.rangeOf(measurable), value -> {
                            Map<Measurable, Double> moved = new LinkedHashMap<>(held);
                            moved.put(measurable, value);
                            return with.apply(setUp.measured(moved));
                        })));
        return numbers;
    }

    static <G> List<Ingredient<G>> of(StringSpec string, Function<StringSpec, G> with) {
        return OF_A_STRING.stream()
                .map(part -> Ingredient.of(
                        What.Other.of(part, string.position()),
                        new Figure(of(string, part), unit(part), string.origin(StringFigure.valueOf(part.name()))),
                        rangeOf(string, part),
                        value -> with.apply(with(string, part, value))))
                .toList();
    }

    static <G> List<Ingredient<G>> of(
            What.Part part, Map<Position, Double> ofEach, Unit unit, Function<Map<Position, Double>, G> with) {
        List<Ingredient<G>> numbers = new ArrayList<>();
        ofEach.forEach((position, of) ->
                numbers.add(Ingredient.unbounded(What.Other.of(part, position), Figure.byDefault(of, unit), value -> {
                    Map<Position, Double> moved = new EnumMap<>(ofEach);
                    moved.put(position, value);
                    return with.apply(moved);
                })));
        return numbers;
    }

    private static Unit unit(What.Part part) {
        return part == What.Part.TENSION || part == What.Part.AXIAL_STIFFNESS ? Unit.NEWTON : Unit.MILLIMETRE;
    }

    private static Range rangeOf(StringSpec string, What.Part part) {
        return switch (part) {
            case DESIGN_LENGTH -> StringSpec.DESIGN_LENGTH;
            case TENSION -> StringSpec.TENSION;
            case DIAMETER -> StringSpec.DIAMETER;
            case AXIAL_STIFFNESS -> StringSpec.AXIAL_STIFFNESS;
            case TAIL_SILK_END ->
                new Range(0, Math.min(string.topSilkStartMm(), StringSpec.TAIL_SILK.high()), Unit.MILLIMETRE);
            case TOP_SILK_START -> new Range(string.tailSilkEndMm(), string.totalLengthMm(), Unit.MILLIMETRE);
            default -> new Range(string.topSilkStartMm(), StringSpec.LONGEST_MM, Unit.MILLIMETRE);
        };
    }

    private static double of(StringSpec string, What.Part part) {
        return switch (part) {
            case DESIGN_LENGTH -> string.designLengthMm();
            case TENSION -> string.tensionN();
            case DIAMETER -> string.diameterMm();
            case AXIAL_STIFFNESS -> string.axialStiffnessN();
            case TAIL_SILK_END -> string.tailSilkEndMm();
            case TOP_SILK_START -> string.topSilkStartMm();
            case TOTAL_LENGTH -> string.totalLengthMm();
            default -> throw new IllegalArgumentException("part is " + part + ", which no maker says of a string");
        };
    }

    /** The silk of one that has none starts where it ends, also where that is nearer. */
    private static double topSilkStartMm(StringSpec string, What.Part part, double value) {
        return part == What.Part.TOTAL_LENGTH ? Math.min(string.topSilkStartMm(), value) : string.topSilkStartMm();
    }

    private static StringSpec with(StringSpec string, What.Part part, double value) {
        return new StringSpec(
                string.position(),
                string.core(),
                string.winding(),
                string.end(),
                string.nominalPitch(),
                part == What.Part.DESIGN_LENGTH ? value : string.designLengthMm(),
                part == What.Part.TENSION ? value : string.tensionN(),
                part == What.Part.DIAMETER ? value : string.diameterMm(),
                part == What.Part.AXIAL_STIFFNESS ? value : string.axialStiffnessN(),
                part == What.Part.TAIL_SILK_END ? value : string.tailSilkEndMm(),
                part == What.Part.TOP_SILK_START ? value : topSilkStartMm(string, part, value),
                part == What.Part.TOTAL_LENGTH ? value : string.totalLengthMm(),
                string.assumed());
    }
}
