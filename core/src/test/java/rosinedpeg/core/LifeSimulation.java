package rosinedpeg.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.wear.Demand;
import rosinedpeg.core.wear.LearnedLife;
import rosinedpeg.core.wear.Life;
import rosinedpeg.core.wear.Lived;

/**
 * Made-up kinds of string, whose truth is known, worn out by a made-up workshop: how often the interval of a learned life holds
 * it, and how far off it is. {@code ./peg bench lives} prints the table of docs/arithmetic.md.
 */
final class LifeSimulation {

    private static final Life THOUGHT = new Life(300, 30, Origin.DEFAULT);
    /** How much a month brings, on the average. */
    private static final double HOURS_PER_MONTH = 25;

    private final Random random;
    private final int tries;

    LifeSimulation(long seed, int tries) {
        this.random = new Random(seed);
        this.tries = tries;
    }

    /** A kind as it truly is. */
    private record Truth(double factor, double shape) {}

    private Truth kind() {
        return new Truth(
                Math.exp(random.nextGaussian() * LearnedLife.SPREAD_LN_FACTOR),
                LearnedLife.USUAL_SHAPE * Math.exp(random.nextGaussian() * LearnedLife.SPREAD_LN_SHAPE));
    }

    /** Each string ends when its life does; or somebody looks before, and it is still good: about half of them. */
    private List<Lived> strings(Truth truth, int many, boolean someStillGood) {
        List<Lived> strings = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Demand demand = Demand.values()[random.nextInt(Demand.values().length)];
            double ends = truth.factor() * Math.pow(-Math.log(random.nextDouble()) / Math.log(2), 1 / truth.shape());
            // Looked at on some day, whatever its life will be: independent of when it ends.
            double until = someStillGood ? truth.factor() * 2 * random.nextDouble() : Double.POSITIVE_INFINITY;
            double seen = Math.min(ends, until);
            double perMonth = HOURS_PER_MONTH * random.nextDouble() * 2;
            double months = seen * demand.threshold() / (perMonth / THOUGHT.hours() + 1 / THOUGHT.months());
            strings.add(new Lived(months * perMonth, months, demand, ends <= until));
        }
        return strings;
    }

    /**
     * How good what was learned is.
     *
     * @param inside how often the truth lies in the interval
     * @param off the median of how far the factor is off, as a share of the truth
     */
    record Good(double inside, double off) {}

    Good good(int many, boolean someStillGood) {
        int inside = 0;
        List<Double> off = new ArrayList<>();
        for (int i = 0; i < tries; i++) {
            Truth truth = kind();
            Interval factor =
                    LearnedLife.of(THOUGHT, strings(truth, many, someStillGood)).factorWithin();
            inside += truth.factor() >= factor.low() && truth.factor() <= factor.high() ? 1 : 0;
            off.add(Math.abs(factor.best() / truth.factor() - 1));
        }
        off.sort(null);
        return new Good((double) inside / tries, off.get(tries / 2));
    }

    /** Prints the table. */
    public static void main(String[] arguments) {
        int tries = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2500;
        LifeSimulation simulation = new LifeSimulation(20261127, tries);
        System.out.println(
                "| strings | none still good: in the interval | off by | half still good: in the interval | off by |");
        System.out.println("|---|---|---|---|---|");
        for (int many : new int[] {1, 2, 5, 10, 20, 50, 200}) {
            StringBuilder row = new StringBuilder("| " + many);
            for (boolean some : new boolean[] {false, true}) {
                Good good = simulation.good(many, some);
                row.append(String.format(Locale.ROOT, " | %.1f %% | %.0f %%", good.inside() * 100, good.off() * 100));
            }
            System.out.println(row + " |");
        }
    }
}
