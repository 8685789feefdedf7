package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import rosinedpeg.core.bridge.StuckShares;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.setup.Measurable;
import rosinedpeg.core.setup.SetUp;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.strings.StringSpec;

/**
 * How a figure came about.
 *
 * <p>Nothing is written twice: the figure is worked out by its own method again and again, each number it could rest on made a
 * little larger in turn while all others stay as they are. What moves it, went into it; what moves it furthest is worth
 * measuring first.
 *
 * @param worked which figure
 * @param result the figure, with the weakest origin of what went into it
 * @param terms what went into it, what moves it most first
 */
public record Working(Worked worked, Figure result, List<Term> terms) {

    /** By what share a number is made larger to see what follows. */
    public static final double NUDGE = 0.05;

    /** A number that is 0 is moved by this share of what may be entered for it. */
    private static final double NUDGE_OF_RANGE = 0.02;

    private static final double NOTHING = 1e-9;

    private static final Set<Term.Part> OF_A_STRING = EnumSet.range(Term.Part.DESIGN_LENGTH, Term.Part.TOTAL_LENGTH);

    private static final Set<Term.Part> STUCK = EnumSet.of(Term.Part.STUCK_DRY, Term.Part.STUCK_GRAPHITED);

    /** Checks the parts and copies the list. */
    public Working {
        requireNonNull(worked, "worked");
        requireNonNull(result, "result");
        terms = List.copyOf(terms);
    }

    /** {@return what is not measured yet and moves it most; empty when all that was measured can be} */
    public Optional<Term> worthMeasuring() {
        return terms.stream()
                .filter(term -> term.measurable().isPresent() && term.figure().origin() == Origin.DEFAULT)
                .findFirst();
    }

    /**
     * The working of a figure.
     *
     * @param worked which figure
     * @param inputs what it may rest on
     * @return how it came about
     * @throws IllegalArgumentException when the figure is one string's and none is asked about
     */
    public static Working of(Worked worked, Inputs inputs) {
        double value = worked.value(inputs);
        List<Term> terms = new ArrayList<>();
        measurables(worked, inputs, value, terms);
        inputs.string().ifPresent(string -> parts(worked, inputs, value, string, terms));
        carried(worked, inputs, value, terms);
        stuck(worked, inputs, value, terms);
        terms.sort(Comparator.comparingDouble((Term term) -> -Math.abs(term.moves())));
        return new Working(worked, Figure.workedOut(value, worked.unit(), weakest(terms)), terms);
    }

    /** What a maker says of a string makes no figure weaker; what nothing measured goes into is a usual value. */
    private static Origin weakest(List<Term> terms) {
        Set<Origin> origins = terms.stream()
                .filter(term -> term.measurable().isPresent()
                        || term.part().filter(STUCK::contains).isPresent())
                .map(term -> term.figure().origin())
                .collect(Collectors.toSet());
        return Stream.of(Origin.DEFAULT, Origin.LEARNED, Origin.MEASURED)
                .filter(origins::contains)
                .findFirst()
                .orElse(Origin.DEFAULT);
    }

    /** All figures are held where they are, so that a usual value that would follow from the one that is moved does not. */
    private static void measurables(Worked worked, Inputs inputs, double value, List<Term> terms) {
        SetUp setUp = inputs.setUp();
        Map<Measurable, Double> held = new LinkedHashMap<>();
        setUp.figures().forEach((measurable, figure) -> held.put(measurable, figure.value()));
        setUp.figures().forEach((measurable, figure) -> {
            Map<Measurable, Double> moved = new LinkedHashMap<>(held);
            double to = nudged(figure.value(), setUp.rangeOf(measurable));
            moved.put(measurable, to);
            double moves = worked.value(inputs.on(setUp.measured(moved))) - value;
            if (Math.abs(moves) > NOTHING) {
                terms.add(new Term(
                        Optional.of(measurable),
                        Optional.empty(),
                        measurable.position(),
                        figure,
                        to > figure.value() ? moves : -moves));
            }
        });
    }

    private static double nudged(double value, Range range) {
        double step = value == 0 ? NUDGE_OF_RANGE * (range.high() - range.low()) : NUDGE * Math.abs(value);
        return range.contains(value + step) ? value + step : value - step;
    }

    private static void parts(Worked worked, Inputs inputs, double value, StringSpec string, List<Term> terms) {
        for (Term.Part part : OF_A_STRING) {
            double of = of(string, part);
            double to = nudged(of, rangeOf(string, part));
            double moves = worked.value(inputs.with(with(string, part, to))) - value;
            addPart(
                    terms,
                    part,
                    string.position(),
                    new Figure(of, unit(part), Origin.MEASURED),
                    to > of ? moves : -moves);
        }
    }

    /** A string that carries nothing adds nothing, however much more of nothing it carried. */
    private static void carried(Worked worked, Inputs inputs, double value, List<Term> terms) {
        inputs.carriedN().forEach((position, carriedN) -> {
            double moves = worked.value(inputs.carrying(more(inputs.carriedN(), position), inputs.wholeN())) - value;
            addPart(terms, Term.Part.CARRIED, position, new Figure(carriedN, Unit.NEWTON, Origin.DEFAULT), moves);
        });
        inputs.wholeN().forEach((position, wholeN) -> {
            double moves = worked.value(inputs.carrying(inputs.carriedN(), more(inputs.wholeN(), position))) - value;
            addPart(terms, Term.Part.AT_PITCH, position, new Figure(wholeN, Unit.NEWTON, Origin.DEFAULT), moves);
        });
    }

    private static Map<Position, Double> more(Map<Position, Double> ofEach, Position position) {
        Map<Position, Double> more = new EnumMap<>(ofEach);
        more.merge(position, 1 + NUDGE, (a, b) -> a * b);
        return more;
    }

    private static void stuck(Worked worked, Inputs inputs, double value, List<Term> terms) {
        StuckShares stuck = inputs.stuck();
        StuckShares drier = new StuckShares(more(stuck.dry()), stuck.graphited());
        StuckShares greyer = new StuckShares(stuck.dry(), more(stuck.graphited()));
        addPart(terms, Term.Part.STUCK_DRY, null, stuck.dry(), worked.value(inputs.sticking(drier)) - value);
        addPart(
                terms,
                Term.Part.STUCK_GRAPHITED,
                null,
                stuck.graphited(),
                worked.value(inputs.sticking(greyer)) - value);
    }

    private static Figure more(Figure figure) {
        return new Figure(figure.value() * (1 + NUDGE), figure.unit(), figure.origin());
    }

    private static void addPart(List<Term> terms, Term.Part part, Position position, Figure figure, double moves) {
        if (Math.abs(moves) > NOTHING) {
            terms.add(new Term(Optional.empty(), Optional.of(part), position, figure, moves));
        }
    }

    private static Unit unit(Term.Part part) {
        return part == Term.Part.TENSION || part == Term.Part.AXIAL_STIFFNESS ? Unit.NEWTON : Unit.MILLIMETRE;
    }

    private static Range rangeOf(StringSpec string, Term.Part part) {
        return switch (part) {
            case DESIGN_LENGTH -> StringSpec.DESIGN_LENGTH;
            case TENSION -> StringSpec.TENSION;
            case DIAMETER -> StringSpec.DIAMETER;
            case AXIAL_STIFFNESS -> StringSpec.AXIAL_STIFFNESS;
            default -> new Range(string.topSilkStartMm(), StringSpec.LONGEST_MM, Unit.MILLIMETRE);
        };
    }

    private static double of(StringSpec string, Term.Part part) {
        return switch (part) {
            case DESIGN_LENGTH -> string.designLengthMm();
            case TENSION -> string.tensionN();
            case DIAMETER -> string.diameterMm();
            case AXIAL_STIFFNESS -> string.axialStiffnessN();
            case TOTAL_LENGTH -> string.totalLengthMm();
            case CARRIED, AT_PITCH, STUCK_DRY, STUCK_GRAPHITED ->
                throw new IllegalArgumentException("part is " + part + ", which no maker says of a string");
        };
    }

    private static StringSpec with(StringSpec string, Term.Part part, double value) {
        return new StringSpec(
                string.position(),
                string.core(),
                string.winding(),
                string.end(),
                string.nominalPitch(),
                part == Term.Part.DESIGN_LENGTH ? value : string.designLengthMm(),
                part == Term.Part.TENSION ? value : string.tensionN(),
                part == Term.Part.DIAMETER ? value : string.diameterMm(),
                part == Term.Part.AXIAL_STIFFNESS ? value : string.axialStiffnessN(),
                string.tailSilkEndMm(),
                string.topSilkStartMm(),
                part == Term.Part.TOTAL_LENGTH ? value : string.totalLengthMm());
    }
}
