package rosinedpeg.core.buying;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;

/**
 * Which changes a sum of money allows, so that what is done is worth most: the most worn strings on the instruments that are played
 * most.
 *
 * <p>A choice of things that each cost something and are worth something, within a sum, is the knapsack problem. It is solved exactly by
 * dynamic programming over the money (Bellman, 1957) while there is room for its table; beyond, the changes are taken in the order of
 * what they are worth for their price, and the bound is what they would be worth if the last could be taken in part (Dantzig,
 * <i>Operations Research</i> 5, 1957): no choice is worth more.
 *
 * @param chosen which changes fit, by their place in the list that was given, in its order
 * @param costMinor what they cost, in the smallest unit of the currency
 * @param worth what they are worth together
 * @param bound what no choice within the sum exceeds; the same as {@code worth} where the choice is exactly the best
 */
public record Budget(List<Integer> chosen, long costMinor, double worth, double bound) {

    /** So many entries the table may have. */
    private static final long ROOM = 40_000_000;

    /**
     * A change that could be made.
     *
     * @param costMinor what its strings cost, in the smallest unit of the currency, 0 or more
     * @param worth what it is worth, 0 or more
     */
    public record Change(long costMinor, double worth) {

        /** Checks the figures. */
        public Change {
            requireFinite("worth", worth);
            if (costMinor < 0) {
                throw new IllegalArgumentException("costMinor is " + costMinor + "; it must be 0 or more");
            }
            if (worth < 0) {
                throw new IllegalArgumentException("worth is " + worth + "; it must be 0 or more");
            }
        }

        /**
         * A change of strings.
         *
         * @param costMinor what they cost, in the smallest unit of the currency, 0 or more
         * @param worn the used-up shares of those that come off, added up, 0 or more
         * @param hoursPerWeek how much the instrument is played, 0 to 168 h a week
         * @return that change: worth the more, the more worn they are and the more they are played
         */
        public static Change of(long costMinor, double worn, double hoursPerWeek) {
            requireFinite("worn", worn);
            requireFinite("hoursPerWeek", hoursPerWeek);
            return new Change(costMinor, Math.max(0, worn) * Math.max(0, hoursPerWeek));
        }
    }

    /** Copies what was chosen. */
    public Budget {
        chosen = List.copyOf(chosen);
        requireFinite("worth", worth);
        requireFinite("bound", bound);
    }

    /** {@return whether no other choice is worth more} */
    public boolean isBest() {
        return worth >= bound;
    }

    /**
     * Chooses.
     *
     * @param changes what could be done
     * @param sumMinor the money there is, in the smallest unit of the currency, 0 or more
     * @return what to do
     */
    public static Budget of(List<Change> changes, long sumMinor) {
        if (sumMinor < 0) {
            throw new IllegalArgumentException("sumMinor is " + sumMinor + "; it must be 0 or more");
        }
        long all = changes.stream().mapToLong(Change::costMinor).sum();
        long sum = Math.min(sumMinor, all);
        return (sum + 1) * changes.size() <= ROOM ? exactly(changes, (int) sum) : nearly(changes, sum);
    }

    private static Budget exactly(List<Change> changes, int sum) {
        double[] best = new double[sum + 1];
        List<BitSet> taken = new ArrayList<>();
        for (Change change : changes) {
            BitSet here = new BitSet(sum + 1);
            for (int money = sum; money >= change.costMinor(); money--) {
                double with = best[(int) (money - change.costMinor())] + change.worth();
                if (with > best[money]) {
                    best[money] = with;
                    here.set(money);
                }
            }
            taken.add(here);
        }
        List<Integer> chosen = new ArrayList<>();
        int money = sum;
        for (int i = changes.size() - 1; i >= 0; i--) {
            if (taken.get(i).get(money)) {
                chosen.add(0, i);
                money -= (int) changes.get(i).costMinor();
            }
        }
        return of(changes, chosen, best[sum]);
    }

    private static Budget nearly(List<Change> changes, long sum) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < changes.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingDouble(
                i -> -changes.get(i).worth() / Math.max(1, changes.get(i).costMinor())));
        List<Integer> chosen = new ArrayList<>();
        long left = sum;
        double bound = 0;
        boolean broken = false;
        for (int i : order) {
            Change change = changes.get(i);
            boolean fits = change.costMinor() <= left;
            if (!broken) {
                bound += fits ? change.worth() : change.worth() * left / change.costMinor();
                broken = !fits;
            }
            if (fits) {
                chosen.add(i);
                left -= change.costMinor();
            }
        }
        chosen.sort(null);
        return of(changes, chosen, bound);
    }

    private static Budget of(List<Change> changes, List<Integer> chosen, double bound) {
        double worth = chosen.stream().mapToDouble(i -> changes.get(i).worth()).sum();
        return new Budget(
                chosen,
                chosen.stream().mapToLong(i -> changes.get(i).costMinor()).sum(),
                worth,
                Math.max(worth, Math.abs(bound - worth) < 1e-9 * Math.max(1, worth) ? worth : bound));
    }
}
