package rosinedpeg.core.working;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Origin;

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
public record Working(Workable<?> worked, Figure result, List<Term> terms) {

    private static final double NOTHING = 1e-9;

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
     * @param grounds what it may rest on
     * @param <G> of which sort that is
     * @return how it came about
     * @throws IllegalArgumentException when what the figure needs is missing
     */
    public static <G extends Grounds<G>> Working of(Workable<G> worked, G grounds) {
        requireNonNull(worked, "worked");
        requireNonNull(grounds, "grounds");
        double value = worked.value(grounds);
        List<Term> terms = new ArrayList<>();
        for (Ingredient<G> ingredient : grounds.ingredients()) {
            double to = ingredient.nudged();
            double moves = worked.value(ingredient.with().apply(to)) - value;
            if (Math.abs(moves) > NOTHING) {
                terms.add(new Term(
                        ingredient.what(),
                        ingredient.figure(),
                        to > ingredient.figure().value() ? moves : -moves));
            }
        }
        terms.sort(Comparator.comparingDouble((Term term) -> -Math.abs(term.moves())));
        return new Working(worked, Figure.workedOut(value, worked.unit(), weakest(terms)), terms);
    }

    /** What nothing weighty goes into is as good as what packets say; what nothing at all goes into is a usual value. */
    private static Origin weakest(List<Term> terms) {
        List<Term> weighty = terms.stream().filter(Term::weighs).toList();
        Set<Origin> origins = (weighty.isEmpty()
                        ? terms.stream().filter(Term::isOfString).toList()
                        : weighty)
                .stream().map(term -> term.figure().origin()).collect(Collectors.toSet());
        return Stream.of(Origin.DEFAULT, Origin.LEARNED, Origin.MEASURED)
                .filter(origins::contains)
                .findFirst()
                .orElse(Origin.DEFAULT);
    }
}
