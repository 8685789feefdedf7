package rosinedpeg.core.pace;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.RealVector;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.setup.Family;

/**
 * How long the next piece of work will take at this bench, from what finished work took.
 *
 * <p>How many times the usual minutes a run took is, as a logarithm, the sum of five things: how quickly this workshop works, whatever
 * it does; how much longer this family takes it; this way of working; this person; and how one run scatters. All five are taken as
 * normal with the spreads below (the usual linear model with random effects), so that little on record moves little: one slow run is a
 * slow run, ten are a slow bench, and somebody new works like the others do until their own runs say otherwise. With nothing on record
 * it is the usual time exactly.
 *
 * <p>The usual minutes of the steps carry how much there is to do. What is learned is a factor on them, so that one string and a set
 * of five teach each other.
 */
public final class LearnedPace {

    /** How far workshops differ, as a standard deviation of the logarithm: a third either way; like all five a default of our own. */
    static final double WORKSHOPS = 0.35;

    /** How far families differ in a workshop. */
    static final double FAMILIES = 0.15;

    /** How far ways of working differ. */
    static final double SCHOOLS = 0.1;

    /** How far people differ. */
    static final double PEOPLE = 0.25;

    /** How far one run scatters. */
    static final double RUN = 0.25;

    /** So many standard deviations hold nine cases in ten. */
    private static final double NINE_IN_TEN = 1.6448536269514722;

    private static final Part WORKSHOP = new Part(Effect.OF_WORKSHOP, Effect.OF_WORKSHOP);

    private final Map<Part, Integer> unknowns = new HashMap<>();
    private final List<FinishedWork> counted;
    private final Map<List<Object>, Schools> ways = new HashMap<>();
    private final DecompositionSolver precision;
    private final RealVector best;

    /** What makes work quicker or slower, with how far it does. */
    private enum Effect {
        OF_WORKSHOP(WORKSHOPS),
        OF_FAMILY(FAMILIES),
        OF_SCHOOLS(SCHOOLS),
        OF_PERSON(PEOPLE);

        private final double variance;

        Effect(double spread) {
            this.variance = spread * spread;
        }
    }

    /** One of the unknowns: which family, which person; of the workshop there is but one. */
    private record Part(Effect effect, Object which) {}

    /**
     * How much the figure rests on.
     *
     * @param runs finished runs of the workshop that count
     * @param ofFamily those on instruments of the family
     * @param inThisWay those done in the same way
     * @param byPerson those by the same person
     */
    public record Count(int runs, int ofFamily, int inThisWay, int byPerson) {}

    private LearnedPace(Collection<FinishedWork> finished) {
        this.counted = finished.stream().filter(FinishedWork::counts).toList();
        finished.forEach(one -> ways.putIfAbsent(
                List.of(one.work().family(), one.work().person()), one.work().schools()));
        unknowns.put(WORKSHOP, 0);
        counted.forEach(one -> parts(one.work()).forEach(part -> unknowns.putIfAbsent(part, unknowns.size())));
        double[][] information = new double[unknowns.size()][unknowns.size()];
        double[] pull = new double[unknowns.size()];
        unknowns.forEach((part, index) -> information[index][index] = 1 / part.effect().variance);
        for (FinishedWork one : counted) {
            List<Integer> indices =
                    parts(one.work()).stream().map(unknowns::get).toList();
            for (int row : indices) {
                pull[row] += one.lnRatio() / (RUN * RUN);
                for (int column : indices) {
                    information[row][column] += 1 / (RUN * RUN);
                }
            }
        }
        this.precision = new CholeskyDecomposition(new Array2DRowRealMatrix(information, false)).getSolver();
        this.best = precision.solve(new ArrayRealVector(pull, false));
    }

    /**
     * Learns.
     *
     * @param finished what was done, the latest first; what took less than a fifth of the usual time, or more than five times it, does not count
     * @return the pace
     */
    public static LearnedPace of(Collection<FinishedWork> finished) {
        return new LearnedPace(finished);
    }

    /**
     * How somebody works on a family, as far as the finished work shows.
     *
     * @param family the family
     * @param person who
     * @return the ways of their latest finished work on it; empty where they finished none
     */
    public Optional<Schools> ways(Family family, String person) {
        requireNonNull(family, "family");
        requireNonNull(person, "person");
        return Optional.ofNullable(ways.get(List.of(family, person)));
    }

    private static List<Part> parts(Work work) {
        return List.of(
                WORKSHOP,
                new Part(Effect.OF_FAMILY, work.family()),
                new Part(Effect.OF_SCHOOLS, work.schools()),
                new Part(Effect.OF_PERSON, work.person()));
    }

    /**
     * How long work will take.
     *
     * @param work what it is
     * @param usualMinutes how long it usually takes, 0.1 to 1440 minutes
     * @return the minutes, with the interval one run lies in nine times in ten
     * @throws rosinedpeg.core.figure.OutOfRangeException when {@code usualMinutes} is outside its range
     */
    public Interval minutes(Work work, double usualMinutes) {
        requireNonNull(work, "work");
        FinishedWork.USUAL.require("usualMinutes", usualMinutes);
        double[] asked = new double[unknowns.size()];
        double variance = RUN * RUN;
        double middle = 0;
        for (Part part : parts(work)) {
            Integer index = unknowns.get(part);
            if (index == null) {
                variance += part.effect().variance;
            } else {
                asked[index] = 1;
                middle += best.getEntry(index);
            }
        }
        RealVector vector = new ArrayRealVector(asked, false);
        variance += vector.dotProduct(precision.solve(vector));
        double reach = NINE_IN_TEN * Math.sqrt(requireFinite("variance", variance));
        return new Interval(
                usualMinutes * Math.exp(middle - reach),
                usualMinutes * Math.exp(middle),
                usualMinutes * Math.exp(middle + reach));
    }

    /** {@return how many finished runs count} */
    public int runs() {
        return counted.size();
    }

    /** {@return how much a figure for such work rests on} */
    public Count count(Work work) {
        requireNonNull(work, "work");
        return new Count(
                counted.size(),
                count(one -> one.family() == work.family()),
                count(one -> one.schools().equals(work.schools())),
                count(one -> one.person().equals(work.person())));
    }

    private int count(Predicate<Work> same) {
        return (int) counted.stream().map(FinishedWork::work).filter(same).count();
    }
}
