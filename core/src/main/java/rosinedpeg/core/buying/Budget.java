package rosinedpeg.core.buying;

import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Which changes a sum of money allows, so that what is done is worth most: the most worn strings on the instruments that are played
 * most.
 *
 * <p>A choice of things that each cost something and are worth something, within a sum, is the knapsack problem. Change by change, those
 * first that are worth most for their price, every choice is kept that no other matches for less money (Nemhauser and Ullmann,
 * <i>Management Science</i> 15, 1969), unless what the rest of the money could buy at best does not bring it up to what is sure already.
 * At best is what it would be if the last change could be made in part: no choice is worth more (Dantzig, <i>Operations Research</i> 5,
 * 1957). Few choices are left so, and the answer is exact; where too many are, the changes are taken in that order as long as they fit,
 * and the bound says how good that is at least.
 *
 * @param chosen which changes fit, by their place in the list that was given, in its order
 * @param costMinor what they cost, in the smallest unit of the currency
 * @param worth what they are worth together
 * @param bound what no choice within the sum exceeds; the same as {@code worth} where the choice is exactly the best
 */
public record Budget(List<Integer> chosen, long costMinor, double worth, double bound) {

    /** So many choices are looked at before it is left at a bound. */
    private static final int ROOM = 300_000;
    /** Two worths that differ by less, as a share of them, are the same: they were added up in another order. */
    private static final double ROUNDING = 1e-9;

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

        /** What it is worth for its price; what costs nothing comes before everything. */
        private double forItsPrice() {
            return costMinor == 0 ? Double.POSITIVE_INFINITY : worth / costMinor;
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
        ByWorth byWorth = new ByWorth(changes);
        Some nearly = byWorth.nearly(sumMinor);
        double bound = byWorth.bound(0, sumMinor);
        return byWorth.exactly(sumMinor, nearly.worth())
                .map(best -> of(best, best.worth()))
                .orElseGet(() -> of(nearly, bound));
    }

    private static Budget of(Some some, double bound) {
        List<Integer> chosen = new ArrayList<>();
        for (Some one = some; one.before() != null; one = one.before()) {
            chosen.add(one.last());
        }
        chosen.sort(null);
        return new Budget(
                chosen,
                some.costMinor(),
                some.worth(),
                bound - some.worth() < ROUNDING * Math.max(1, some.worth()) ? some.worth() : bound);
    }

    /**
     * Some of the changes.
     *
     * @param costMinor what they cost
     * @param worth what they are worth
     * @param before the same without the last; null for none
     * @param last which that is
     */
    private record Some(
            long costMinor, double worth, @Nullable Some before, int last) {

        private Some and(Change change, int place) {
            return new Some(costMinor + change.costMinor(), worth + change.worth(), this, place);
        }
    }

    /** The changes, those first that are worth most for their price. */
    private static final class ByWorth {

        private static final Some NONE = new Some(0, 0, null, -1);

        private final List<Change> changes;
        private final List<Integer> order;
        /** What the first of them cost and are worth together, by how many. */
        private final long[] cost;

        private final double[] worth;

        ByWorth(List<Change> changes) {
            this.changes = changes;
            order = IntStream.range(0, changes.size())
                    .boxed()
                    .sorted(Comparator.comparingDouble(
                            place -> -changes.get(place).forItsPrice()))
                    .toList();
            cost = new long[order.size() + 1];
            worth = new double[order.size() + 1];
            for (int at = 0; at < order.size(); at++) {
                cost[at + 1] = cost[at] + at(at).costMinor();
                worth[at + 1] = worth[at] + at(at).worth();
            }
        }

        private Change at(int at) {
            return changes.get(order.get(at));
        }

        /** {@return those that fit, one after the other} */
        Some nearly(long sum) {
            Some taken = NONE;
            for (int place : order) {
                Some more = taken.and(changes.get(place), place);
                if (more.costMinor() <= sum) {
                    taken = more;
                }
            }
            return taken;
        }

        /** {@return what those from a place on are worth at best for so much money, the last of them in part} */
        double bound(int from, long money) {
            int found = Arrays.binarySearch(cost, from, cost.length, cost[from] + money);
            int upTo = found < 0 ? -found - 2 : found;
            // What costs nothing comes along.
            while (upTo < order.size() && cost[upTo + 1] == cost[upTo]) {
                upTo++;
            }
            double whole = worth[upTo] - worth[from];
            return upTo == order.size()
                    ? whole
                    : whole + at(upTo).worth() * (money - (cost[upTo] - cost[from])) / at(upTo).costMinor();
        }

        /**
         * {@return the best choice; empty where too many would have to be looked at}
         *
         * @param sum the money there is
         * @param sure what some choice is worth
         */
        Optional<Some> exactly(long sum, double sure) {
            List<Some> kept = List.of(NONE);
            int looked = 0;
            for (int at = 0; at < order.size(); at++) {
                List<Some> next = new ArrayList<>();
                double best = -1;
                for (Some some : merged(kept, order.get(at), sum)) {
                    // Whatever costs as much or more has to be worth more.
                    if (some.worth() > best
                            && some.worth() + bound(at + 1, sum - some.costMinor()) >= sure * (1 - ROUNDING)) {
                        best = some.worth();
                        next.add(some);
                    }
                }
                kept = next;
                looked += kept.size();
                if (looked > ROOM) {
                    return Optional.empty();
                }
            }
            return Optional.of(kept.get(kept.size() - 1));
        }

        /** {@return choices as they are, and with one more change where that fits, by what they cost and then by what they are worth} */
        private List<Some> merged(List<Some> kept, int place, long sum) {
            List<Some> merged = new ArrayList<>(2 * kept.size());
            int with = 0;
            for (Some some : kept) {
                while (with < kept.size() && costs(kept.get(with), place) < some.costMinor()) {
                    merged.add(kept.get(with++).and(changes.get(place), place));
                }
                merged.add(some);
            }
            while (with < kept.size() && costs(kept.get(with), place) <= sum) {
                merged.add(kept.get(with++).and(changes.get(place), place));
            }
            return merged;
        }

        private long costs(Some some, int place) {
            return some.costMinor() + changes.get(place).costMinor();
        }
    }
}
