package rosinedpeg.core.week;

import java.util.List;

/**
 * What a minute of each time is worth, found so that the bound on what can be done is as low as it gets. The bound is what all minutes
 * cost and what is left to each job that exceeds the price of its cheapest place; it holds whatever the prices are.
 */
final class MinutePrices {

    /** So often prices change. More helps little: the bound is rounded down to whole worth. */
    private static final int STEPS = 250;
    /** So often in a row without a lower bound, and steps become half as long. */
    private static final int PATIENCE = 12;
    /** The first step goes so many times as far as would be right if the bound were reached by it. */
    private static final double FIRST_LENGTH = 1.5;
    /** Sums of decimals may be so much off. */
    static final double ROUNDING = 1e-6;

    private final double[] prices;
    private final int bound;

    private MinutePrices(double[] prices, double bound) {
        this.prices = prices;
        this.bound = (int) Math.floor(bound + ROUNDING);
    }

    /** {@return no schedule does more than that} */
    int bound() {
        return bound;
    }

    /** {@return the price of a minute of a time} */
    double of(int slot) {
        return prices[slot];
    }

    /** {@return the price of the minutes a job takes in one of its places} */
    double cost(Wanted one, int place) {
        return prices[one.slots[place]] * one.minutes[place];
    }

    /** {@return by how much a job exceeds the price of its cheapest place; less than 0 where it does not} */
    double gain(Wanted one) {
        return one.worth() - prices[one.slots[cheapest(one, prices)]] * one.minutes[cheapest(one, prices)];
    }

    private static int cheapest(Wanted one, double[] prices) {
        int best = 0;
        for (int place = 1; place < one.slots.length; place++) {
            if (prices[one.slots[place]] * one.minutes[place] < prices[one.slots[best]] * one.minutes[best]) {
                best = place;
            }
        }
        return best;
    }

    /**
     * Finds prices.
     *
     * @param wanted the jobs
     * @param free the minutes there are in each time
     * @param reached how much is known to be possible: below one more than that the bound need not go
     * @return the prices with the lowest bound that was found
     */
    static MinutePrices of(List<Wanted> wanted, int[] free, int reached) {
        double[] prices = new double[free.length];
        double[] best = prices.clone();
        double least = Double.MAX_VALUE;
        double length = FIRST_LENGTH;
        int without = 0;
        for (int step = 0; step < STEPS; step++) {
            double bound = 0;
            double[] left = new double[free.length];
            for (int slot = 0; slot < free.length; slot++) {
                left[slot] = free[slot];
                bound += prices[slot] * free[slot];
            }
            for (Wanted one : wanted) {
                int place = cheapest(one, prices);
                double gain = one.worth() - prices[one.slots[place]] * one.minutes[place];
                if (gain > 0) {
                    bound += gain;
                    left[one.slots[place]] -= one.minutes[place];
                }
            }
            if (bound < least - ROUNDING) {
                least = bound;
                best = prices.clone();
                without = 0;
            } else if (++without == PATIENCE) {
                without = 0;
                length /= 2;
            }
            double squares = 0;
            for (int slot = 0; slot < left.length; slot++) {
                if (prices[slot] > 0 || left[slot] < 0) {
                    squares += left[slot] * left[slot];
                }
            }
            if (squares == 0 || bound < reached + 1 - ROUNDING) {
                break;
            }
            double by = length * (bound - reached) / squares;
            for (int slot = 0; slot < left.length; slot++) {
                prices[slot] = Math.max(0, prices[slot] - by * left[slot]);
            }
        }
        return new MinutePrices(best, least);
    }
}
