package rosinedpeg.core.week;

import static rosinedpeg.core.week.MinutePrices.ROUNDING;
import static rosinedpeg.core.week.Wanted.NOWHERE;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Branch and bound over some jobs and times: what a branch can still bring is the price of the minutes that are left and what exceeds
 * it.
 */
final class Branches {

    private final List<Wanted> wanted;
    private final MinutePrices prices;
    private final int[] left;
    private final int[] order;
    private final double[] gains;
    private final int[] tried;
    private final int bound;
    private final int mostNodes;
    private int[] found;
    private int foundWorth;
    private int nodes;

    /**
     * Prepares a search.
     *
     * @param wanted all jobs
     * @param jobs the index of those that are looked at
     * @param prices what minutes are worth
     * @param left the minutes that there are for them; 0 where they must not stand
     * @param reached how much worth is found already: only more is looked for
     * @param bound no more than that can be found
     * @param mostNodes after so many looks it ends
     */
    Branches(List<Wanted> wanted, int[] jobs, MinutePrices prices, int[] left, int reached, int bound, int mostNodes) {
        this.wanted = wanted;
        this.prices = prices;
        this.left = left;
        this.bound = bound;
        this.mostNodes = mostNodes;
        this.foundWorth = reached;
        double[] most = new double[wanted.size()];
        for (int job : jobs) {
            most[job] = gain(wanted.get(job));
        }
        this.order = Arrays.stream(jobs)
                .boxed()
                .sorted(Comparator.comparingDouble(job -> -Math.abs(most[job])))
                .mapToInt(Integer::intValue)
                .toArray();
        this.gains = new double[order.length + 1];
        for (int index = order.length - 1; index >= 0; index--) {
            gains[index] = gains[index + 1] + Math.max(0, most[order[index]]);
        }
        this.tried = new int[wanted.size()];
        Arrays.fill(tried, NOWHERE);
        this.found = tried;
        double paid = 0;
        for (int slot = 0; slot < left.length; slot++) {
            paid += prices.of(slot) * left[slot];
        }
        branch(0, 0, paid);
    }

    /** By how much a job exceeds the price of the cheapest place that it may have here; nothing where it has none. */
    private double gain(Wanted one) {
        double least = one.worth();
        for (int place = 0; place < one.slots.length; place++) {
            if (left[one.slots[place]] >= one.minutes[place]) {
                least = Math.min(least, prices.cost(one, place));
            }
        }
        return one.worth() - least;
    }

    /** {@return how much was found; as much as was reached before where no more was} */
    int worth() {
        return foundWorth;
    }

    /** {@return where each job stands in what was found; those that were not looked at stand nowhere} */
    int[] found() {
        return found;
    }

    /** {@return the most that can be done: what was found, unless the search ended before it was through} */
    int most() {
        return nodes >= mostNodes ? bound : foundWorth;
    }

    private void branch(int index, int worth, double paid) {
        if (worth + paid + gains[index] < foundWorth + 1 - ROUNDING || foundWorth == bound || nodes++ >= mostNodes) {
            return;
        }
        if (index == order.length) {
            // What minutes that are left would cost has let it come so far; they bring nothing any more.
            if (worth > foundWorth) {
                found = tried.clone();
                foundWorth = worth;
            }
            return;
        }
        int job = order[index];
        Wanted one = wanted.get(job);
        for (int place = 0; place < one.slots.length; place++) {
            int slot = one.slots[place];
            if (left[slot] >= one.minutes[place]) {
                left[slot] -= one.minutes[place];
                tried[job] = place;
                branch(index + 1, worth + one.worth(), paid - prices.cost(one, place));
                tried[job] = NOWHERE;
                left[slot] += one.minutes[place];
            }
        }
        branch(index + 1, worth, paid);
    }
}
