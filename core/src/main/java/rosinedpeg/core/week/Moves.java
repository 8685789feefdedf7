package rosinedpeg.core.week;

import static rosinedpeg.core.week.Wanted.NOWHERE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import rosinedpeg.core.week.Standing.Found;

/** The moves by which a schedule becomes better. All counts are of work and not of time, so that each ends alike on every machine. */
final class Moves {

    /** So often part of a schedule is taken down and put up again. */
    private static final int REBUILDS = 300;
    /** All jobs of so many times are taken down at a time. */
    private static final int TAKEN_TIMES = 3;
    /** The best way to put them up again is looked for at so many nodes. */
    private static final int FEW_NODES = 3_000;
    /** So many moves are tried at random. */
    private static final int TRIED = 600_000;
    /** A move is compared with what there was so many moves ago. */
    private static final int MEMORY = 400;
    /** So many jobs may move to make room for one. */
    private static final int MOST_MOVED = 2;
    /** So many looks for room are taken for each mending, whatever it finds. */
    private static final int MOST_LOOKS = 100_000;

    private final List<Wanted> wanted;
    private final Standing standing;
    private int looks;

    Moves(List<Wanted> wanted, Standing standing) {
        this.wanted = wanted;
        this.standing = standing;
    }

    /** {@return the jobs in the order of their last days} */
    int[] byLatest() {
        return IntStream.range(0, wanted.size()).toArray();
    }

    /** {@return the jobs, what is worth most first} */
    int[] byWorth() {
        return sorted(Comparator.<Integer>comparingInt(job -> -wanted.get(job).worth())
                .thenComparingInt(job -> wanted.get(job).shortest()));
    }

    private int[] sorted(Comparator<Integer> order) {
        return IntStream.range(0, wanted.size())
                .boxed()
                .sorted(order)
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /**
     * What stood somewhere stands there again as far as there is room, what is worth most first, and after that what was only promised:
     * so that no schedule is worse than the one before where nothing but more minutes has come.
     */
    void standAsBefore(List<BenchTime> times) {
        int[] order = byWorth();
        for (int job : order) {
            stand(
                    job,
                    times,
                    place -> wanted.get(job).job.before().filter(place::equals).isPresent());
        }
        for (int job : order) {
            if (!standing.isDone(job)) {
                stand(
                        job,
                        times,
                        place -> wanted.get(job)
                                .job
                                .promised()
                                .filter(place.day()::equals)
                                .isPresent());
            }
        }
    }

    private void stand(int job, List<BenchTime> times, Predicate<Place> there) {
        Wanted one = wanted.get(job);
        for (int place = 0; place < one.slots.length; place++) {
            if (standing.hasRoom(job, place)
                    && there.test(times.get(one.slots[place]).place())) {
                standing.put(job, place);
                return;
            }
        }
    }

    /** Jobs that stand nowhere go where they fit tightest. */
    void fill(int[] order) {
        for (int job : order) {
            if (!standing.isDone(job)) {
                tightest(job);
            }
        }
    }

    /** {@return whether a job found room: where it leaves the least} */
    private boolean tightest(int job) {
        Wanted one = wanted.get(job);
        int best = NOWHERE;
        int least = Integer.MAX_VALUE;
        for (int place = 0; place < one.slots.length; place++) {
            int left = standing.free(one.slots[place]) - one.minutes[place];
            if (left >= 0 && left < least) {
                best = place;
                least = left;
            }
        }
        if (best != NOWHERE) {
            standing.put(job, best);
        }
        return best != NOWHERE;
    }

    /** Those choose first that most exceed the price of their minutes, and each chooses where it exceeds it most. */
    void fillByPrice(MinutePrices prices) {
        for (int job : sorted(Comparator.<Integer>comparingDouble(job -> -prices.gain(wanted.get(job))))) {
            Wanted one = wanted.get(job);
            int best = NOWHERE;
            for (int place = 0; place < one.slots.length; place++) {
                if (standing.hasRoom(job, place)
                        && (best == NOWHERE || prices.cost(one, place) < prices.cost(one, best))) {
                    best = place;
                }
            }
            if (best != NOWHERE) {
                standing.put(job, best);
            }
        }
    }

    /** Undone jobs are brought in, what is worth most first, as long as that helps. */
    void mend() {
        looks = 0;
        boolean helped = true;
        while (helped && looks < MOST_LOOKS) {
            helped = false;
            for (int job : byWorth()) {
                if (!standing.isDone(job)) {
                    helped |= makeRoom(job, MOST_MOVED) || replace(job);
                }
            }
        }
    }

    /** {@return whether a job found room, others being moved to make it, one after the other up to so many} */
    private boolean makeRoom(int job, int moves) {
        if (tightest(job)) {
            return true;
        }
        if (moves == 0) {
            return false;
        }
        Wanted one = wanted.get(job);
        for (int place = 0; place < one.slots.length; place++) {
            int slot = one.slots[place];
            BitSet others = standing.on(slot);
            for (int other = others.nextSetBit(0); other >= 0; other = others.nextSetBit(other + 1)) {
                if (standing.free(slot) + standing.minutes(other) >= one.minutes[place]) {
                    if (looks++ >= MOST_LOOKS) {
                        return false;
                    }
                    int stood = standing.at(other);
                    standing.put(other, NOWHERE);
                    standing.put(job, place);
                    if (makeRoom(other, moves - 1)) {
                        return true;
                    }
                    standing.put(job, NOWHERE);
                    standing.put(other, stood);
                }
            }
        }
        return false;
    }

    /** {@return whether a job took the place of one that is worth less, or as much and takes longer} */
    private boolean replace(int job) {
        Wanted one = wanted.get(job);
        for (int place = 0; place < one.slots.length; place++) {
            int slot = one.slots[place];
            BitSet others = standing.on(slot);
            for (int other = others.nextSetBit(0); other >= 0; other = others.nextSetBit(other + 1)) {
                int worth = wanted.get(other).worth();
                boolean less =
                        worth < one.worth() || worth == one.worth() && standing.minutes(other) > one.minutes[place];
                if (less && standing.free(slot) + standing.minutes(other) >= one.minutes[place]) {
                    standing.put(other, NOWHERE);
                    standing.put(job, place);
                    tightest(other);
                    return true;
                }
            }
        }
        return false;
    }

    /**
     * Moves at random, one job at a time or two that change places, to what is no worse than it was some moves ago: so that a schedule
     * can become worse for a while to become better (late acceptance: E. K. Burke and Y. Bykov, European Journal of Operational Research
     * 258, 2017). All that counts is weighed, so that little is moved that need not be.
     *
     * @param start where to begin
     * @param bound with so much worth it ends: there is no more
     * @return the best that was met
     */
    Found wander(Found start, int bound) {
        SplittableRandom random = new SplittableRandom(1);
        standing.restore(start.at());
        Found best = start;
        long now = start.value();
        long highest = now;
        long[] earlier = new long[MEMORY];
        Arrays.fill(earlier, now);
        for (int move = 0; move < TRIED && best.worth() < bound; move++) {
            now += move(random, earlier[move % MEMORY] - now);
            earlier[move % MEMORY] = now;
            if (now > highest) {
                highest = now;
                best = standing.found();
            }
        }
        return best;
    }

    /** Makes one move if it changes the value by no less than so much, or for the better. {@return by how much} */
    private long move(SplittableRandom random, long least) {
        int job = random.nextInt(wanted.size());
        Wanted one = wanted.get(job);
        int place = random.nextInt(one.slots.length);
        if (place == standing.at(job)) {
            return 0;
        }
        long here = standing.value(job, standing.at(job));
        int slot = one.slots[place];
        if (standing.hasRoom(job, place)) {
            return isTaken(one.values[place] - here, least) ? moved(job, place, here) : 0;
        }
        int other = standing.on(slot).nextSetBit(random.nextInt(wanted.size()));
        if (other < 0 || standing.free(slot) + standing.minutes(other) < one.minutes[place]) {
            return 0;
        }
        int back = back(job, other);
        long there = standing.value(other, standing.at(other));
        if (!isTaken(one.values[place] + standing.value(other, back) - here - there, least)) {
            return 0;
        }
        standing.put(other, NOWHERE);
        return moved(job, place, here) + moved(other, back, there);
    }

    /** {@return the place another job could take where a job stands now; nowhere if none} */
    private int back(int job, int other) {
        if (!standing.isDone(job)) {
            return NOWHERE;
        }
        int slot = standing.slot(job);
        int back = wanted.get(other).placeOf(slot);
        return back >= 0 && standing.free(slot) + standing.minutes(job) >= wanted.get(other).minutes[back]
                ? back
                : NOWHERE;
    }

    private static boolean isTaken(long change, long least) {
        return change >= 0 || change >= least;
    }

    private long moved(int job, int place, long before) {
        standing.put(job, place);
        return standing.value(job, place) - before;
    }

    /**
     * Takes down all jobs of a few times, with those that stand nowhere and may be there, and looks for the best way to put them up
     * again.
     *
     * @param start where to begin
     * @param bound with so much worth it ends: there is no more
     * @param prices what minutes are worth
     * @return the best that was found
     */
    Found rebuild(Found start, int bound, MinutePrices prices) {
        SplittableRandom random = new SplittableRandom(2);
        Found best = start;
        standing.restore(best.at());
        for (int round = 0; round < REBUILDS && best.worth() < bound; round++) {
            int[] undone = IntStream.range(0, wanted.size())
                    .filter(job -> !standing.isDone(job))
                    .toArray();
            anew(near(undone[random.nextInt(undone.length)], random), undone, prices);
            best = best.orMoreWorth(standing.found());
        }
        return best;
    }

    /** {@return times in which a job may stand, and in which those may that stand there} */
    private BitSet near(int job, SplittableRandom random) {
        BitSet slots = new BitSet();
        int next = job;
        for (int count = 0; count < TAKEN_TIMES; count++) {
            int[] its = wanted.get(next).slots;
            int slot = its[random.nextInt(its.length)];
            slots.set(slot);
            int[] there = standing.on(slot).stream().toArray();
            next = there.length == 0 ? job : there[random.nextInt(there.length)];
        }
        return slots;
    }

    private void anew(BitSet slots, int[] undone, MinutePrices prices) {
        List<Integer> jobs = new ArrayList<>();
        int reached = 0;
        int[] left = new int[standing.times()];
        for (int slot = slots.nextSetBit(0); slot >= 0; slot = slots.nextSetBit(slot + 1)) {
            left[slot] = standing.free(slot);
            for (int job : standing.on(slot).stream().toArray()) {
                jobs.add(job);
                left[slot] += standing.minutes(job);
                reached += wanted.get(job).worth();
            }
        }
        for (int job : undone) {
            if (Arrays.stream(wanted.get(job).slots).anyMatch(slots::get)) {
                jobs.add(job);
            }
        }
        int[] some = jobs.stream().mapToInt(Integer::intValue).toArray();
        Branches branches = new Branches(wanted, some, prices, left, reached, Integer.MAX_VALUE, FEW_NODES);
        if (branches.worth() > reached) {
            for (int job : some) {
                standing.put(job, NOWHERE);
            }
            for (int job : some) {
                standing.put(job, branches.found()[job]);
            }
        }
    }

    /** Without losing anything, jobs go where they count most: one alone, or two by changing places. */
    void settle() {
        boolean helped = true;
        for (int round = 0; helped && round < wanted.size(); round++) {
            helped = false;
            for (int job = 0; job < wanted.size(); job++) {
                helped |= standing.isDone(job) && (moveAlone(job) || changePlaces(job));
            }
        }
    }

    private boolean moveAlone(int job) {
        Wanted one = wanted.get(job);
        int stood = standing.at(job);
        int best = stood;
        for (int place = 0; place < one.slots.length; place++) {
            if (one.values[place] > one.values[best] && standing.hasRoom(job, place)) {
                best = place;
            }
        }
        if (best != stood) {
            standing.put(job, best);
        }
        return best != stood;
    }

    /** Only a job that is better off elsewhere looks for one to change with. */
    private boolean changePlaces(int job) {
        Wanted one = wanted.get(job);
        for (int place = 0; place < one.slots.length; place++) {
            if (one.values[place] > one.values[standing.at(job)]) {
                BitSet others = standing.on(one.slots[place]);
                for (int other = others.nextSetBit(0); other >= 0; other = others.nextSetBit(other + 1)) {
                    if (other != job && change(job, place, other)) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private boolean change(int job, int place, int other) {
        Wanted one = wanted.get(job);
        int back = back(job, other);
        boolean room =
                back != NOWHERE && standing.free(one.slots[place]) + standing.minutes(other) >= one.minutes[place];
        if (!room
                || one.values[place] + standing.value(other, back)
                        <= one.values[standing.at(job)] + standing.value(other, standing.at(other))) {
            return false;
        }
        standing.put(other, NOWHERE);
        standing.put(job, place);
        standing.put(other, back);
        return true;
    }
}
