package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * Plans a bench by what its minutes are worth.
 *
 * <p>Jobs of different worth and length, days of different length, each job on one day: this is the generalised assignment problem.
 * A price is put on every minute of every day. With prices, each job looks for the day on which its worth less the price of its
 * minutes is most, and takes it if something is left; the sum of what is left to the jobs and of what all minutes cost is a bound
 * that no schedule exceeds, whatever the prices are. Prices rise on days that too many jobs want and fall on the others, by steps
 * that become smaller, until the bound is as low as it gets (Lagrangian relaxation with subgradient steps: M. L. Fisher, Management
 * Science 27, 1981).
 *
 * <p>Schedules come from two beginnings: the one there was before, as far as it still holds, and one in which the jobs that most
 * exceed their price choose first. Both are mended: jobs move to make room for one more, one gives its place to one that is worth
 * more, parts are taken down and put up again in another order. The better is kept. If it reaches the bound it is the best there
 * is. If not, branch and bound with the same prices looks for a better one or proves that there is none, as far as so many looks go;
 * what it has not ruled out stays in the bound. Last, without losing any worth, jobs go back to what was promised, to where they
 * stood, and to early days.
 *
 * <p>All counts are of work and not of time, so that the same question has the same answer on every machine.
 */
public final class PricedMinutes implements BenchPlanner {

    private static final int NOWHERE = -1;

    /** So often prices change. More helps little: the bound is rounded down to whole worth. */
    private static final int PRICE_STEPS = 250;
    /** So often in a row without a lower bound, and steps become half as long. */
    private static final int PATIENCE = 12;
    /** So many nodes branch and bound looks at. */
    private static final int MOST_NODES = 150_000;
    /** So often part of a schedule is taken down and put up again. */
    private static final int REBUILDS = 300;
    /** All jobs of so many times are taken down at a time. */
    private static final int TAKEN_TIMES = 3;
    /** The best way to put them up again is looked for at so many nodes. */
    private static final int FEW_NODES = 3_000;
    /** So many moves are tried at random. */
    private static final int MOVES = 600_000;
    /** A move is compared with what there was so many moves ago. */
    private static final int MEMORY = 400;
    /** So many jobs may move to make room for one. */
    private static final int MOST_MOVES = 2;
    /** So many looks for room are taken for each mending, whatever it finds. */
    private static final int MOST_LOOKS = 100_000;
    /** Sums of decimals may be so much off. */
    private static final double ROUNDING = 1e-6;

    @Override
    public BenchSchedule plan(List<BenchJob> jobs, List<BenchTime> times) {
        requireNonNull(times, "times");
        if (jobs.stream().map(BenchJob::name).distinct().count() != jobs.size()) {
            throw new IllegalArgumentException("jobs are " + jobs + "; each must have a name of its own");
        }
        if (times.stream().map(BenchTime::place).distinct().count() != times.size()) {
            throw new IllegalArgumentException("times are " + times + "; each person must have one time a day");
        }
        Map<BenchJob, Place> places = new HashMap<>();
        int[] free = free(times);
        pin(jobs, times, free, places);
        int pinnedWorth = places.keySet().stream().mapToInt(BenchJob::worth).sum();
        List<BenchJob> open =
                jobs.stream().filter(job -> job.pinned().isEmpty()).toList();
        Search search = new Search(open, times, free);
        int most = search.run();
        search.places(places);
        return BenchSchedule.of(jobs, times, places, pinnedWorth + most);
    }

    private static int[] free(List<BenchTime> times) {
        return times.stream().mapToInt(BenchTime::minutes).toArray();
    }

    /** Pinned jobs come first, and nobody else asks for their minutes. Where one time is too short for its pins, the most worth of them. */
    private static void pin(List<BenchJob> jobs, List<BenchTime> times, int[] free, Map<BenchJob, Place> places) {
        for (int slot = 0; slot < times.size(); slot++) {
            Place place = times.get(slot).place();
            List<BenchJob> pinned = jobs.stream()
                    .filter(job -> job.pinned().filter(place::equals).isPresent()
                            && job.mayBeOn(place.day())
                            && job.minutesOf(place.person()).isPresent())
                    .toList();
            for (BenchJob job : mostWorth(pinned, place.person(), free[slot])) {
                free[slot] -= job.minutesOf(place.person()).orElseThrow();
                places.put(job, place);
            }
        }
    }

    /** {@return those of some jobs that are worth most together within so many minutes; of as much worth, what takes least} */
    private static List<BenchJob> mostWorth(List<BenchJob> jobs, String person, int minutes) {
        long[][] most = new long[jobs.size() + 1][minutes + 1];
        for (int job = 1; job <= jobs.size(); job++) {
            int takes = jobs.get(job - 1).minutesOf(person).orElseThrow();
            long value = jobs.get(job - 1).worth() * (BenchHours.MINUTES_OF_DAY + 1L) - takes;
            for (int there = 0; there <= minutes; there++) {
                most[job][there] = most[job - 1][there];
                if (takes <= there) {
                    most[job][there] = Math.max(most[job][there], most[job - 1][there - takes] + value);
                }
            }
        }
        List<BenchJob> chosen = new ArrayList<>();
        int there = minutes;
        for (int job = jobs.size(); job > 0; job--) {
            if (most[job][there] > most[job - 1][there]) {
                chosen.add(jobs.get(job - 1));
                there -= jobs.get(job - 1).minutesOf(person).orElseThrow();
            }
        }
        return chosen;
    }

    /** A job with what it takes to find a place for it; days and people by the index of the time. */
    private static final class Wanted {

        private final BenchJob job;
        private final int[] slots;
        private final int[] minutes;
        private final long[] values;

        Wanted(BenchJob job, int[] slots, int[] minutes, long[] values) {
            this.job = job;
            this.slots = slots;
            this.minutes = minutes;
            this.values = values;
        }

        int worth() {
            return job.worth();
        }

        int shortest() {
            return Arrays.stream(minutes).min().orElse(0);
        }
    }

    /**
     * What counts after worth, in whole numbers, each so large that no sum of the next reaches it.
     *
     * @param worth for each unit of worth
     * @param promise for a promise that is kept
     * @param stays for standing on the same day as before; half as much again with the same person
     */
    private record Scale(long worth, long promise, long stays) {

        static Scale of(int jobs, long days) {
            long stays = 2 * (jobs * (days + 1) + 1);
            long promise = jobs * stays * 2 + 1;
            return new Scale(jobs * promise * 2 + 1, promise, stays);
        }

        long value(BenchJob job, Place place, long day) {
            long value = worth * job.worth() - day;
            if (job.promised().filter(place.day()::equals).isPresent()) {
                value += promise;
            }
            if (job.before().map(Place::day).filter(place.day()::equals).isPresent()) {
                value += stays;
            }
            if (job.before().filter(place::equals).isPresent()) {
                value += stays / 2;
            }
            return value;
        }
    }

    private static final class Search {

        private final List<BenchTime> times;
        private final int[] free;
        private final List<Wanted> wanted = new ArrayList<>();
        /** For each job the index of its place among its own slots. */
        private final int[] at;

        private final List<BitSet> standing;
        private final double[] prices;
        private int looks;

        Search(List<BenchJob> jobs, List<BenchTime> times, int[] free) {
            this.times = times;
            this.free = free;
            List<BenchJob> inOrder = jobs.stream()
                    .sorted(Comparator.comparing(BenchJob::latest).thenComparing(BenchJob::name))
                    .toList();
            LocalDate first = times.stream()
                    .map(time -> time.place().day())
                    .min(Comparator.naturalOrder())
                    .orElse(LocalDate.EPOCH);
            long days = times.stream()
                    .mapToLong(
                            time -> ChronoUnit.DAYS.between(first, time.place().day()))
                    .max()
                    .orElse(0);
            Scale scale = Scale.of(jobs.size(), days);
            for (BenchJob job : inOrder) {
                int[] slots = IntStream.range(0, times.size())
                        .filter(slot -> fits(job, slot))
                        .toArray();
                if (slots.length > 0) {
                    wanted.add(new Wanted(
                            job,
                            slots,
                            Arrays.stream(slots)
                                    .map(slot -> job.minutesOf(person(slot)).orElseThrow())
                                    .toArray(),
                            Arrays.stream(slots)
                                    .mapToLong(slot -> scale.value(
                                            job,
                                            times.get(slot).place(),
                                            ChronoUnit.DAYS.between(
                                                    first,
                                                    times.get(slot).place().day())))
                                    .toArray()));
                }
            }
            this.at = new int[wanted.size()];
            Arrays.fill(at, NOWHERE);
            this.standing = times.stream().map(time -> new BitSet()).toList();
            this.prices = new double[times.size()];
        }

        private String person(int slot) {
            return times.get(slot).place().person();
        }

        private boolean fits(BenchJob job, int slot) {
            return job.mayBeOn(times.get(slot).place().day())
                    && job.minutesOf(person(slot))
                            .filter(minutes -> minutes <= free[slot])
                            .isPresent();
        }

        /** {@return the most that can be done, as far as it is known; what was found stands in {@code at}} */
        private int run() {
            int[] whole = free.clone();
            standAsBefore();
            fill(byLatest());
            mend();
            Found first = found();
            int all = wanted.stream().mapToInt(Wanted::worth).sum();
            if (first.worth() == all) {
                settle();
                return all;
            }
            int bound = (int) Math.floor(price(whole, first.worth()) + ROUNDING);
            takeAllDown();
            fillByPrice();
            mend();
            Found best = better(first, found());
            if (best.worth() < bound) {
                best = better(best, wander(best, bound));
                best = moreWorth(best, rebuild(best, bound));
            }
            int most = bound;
            if (best.worth() < bound) {
                Branches branches = new Branches(byLatest(), whole.clone(), best.worth(), bound, MOST_NODES);
                most = branches.run();
                best = moreWorth(best, new Found(branches.found, branches.foundWorth, 0));
            }
            restore(best);
            fill(byWorth());
            settle();
            return most;
        }

        /** A schedule that was found. */
        private record Found(int[] at, int worth, long value) {}

        private Found found() {
            int worth = 0;
            long value = 0;
            for (int job = 0; job < at.length; job++) {
                if (at[job] != NOWHERE) {
                    worth += wanted.get(job).worth();
                    value += wanted.get(job).values[at[job]];
                }
            }
            return new Found(at.clone(), worth, value);
        }

        /** {@return the second only where it does more: otherwise what stood stays} */
        private static Found moreWorth(Found one, Found other) {
            return other.worth() > one.worth() ? other : one;
        }

        private static Found better(Found one, Found other) {
            return other.value() > one.value() ? other : one;
        }

        private void put(int job, int place) {
            Wanted one = wanted.get(job);
            if (at[job] != NOWHERE) {
                free[one.slots[at[job]]] += one.minutes[at[job]];
                standing.get(one.slots[at[job]]).clear(job);
            }
            at[job] = place;
            if (place != NOWHERE) {
                free[one.slots[place]] -= one.minutes[place];
                standing.get(one.slots[place]).set(job);
            }
        }

        private void takeAllDown() {
            for (int job = 0; job < at.length; job++) {
                put(job, NOWHERE);
            }
        }

        private void restore(Found found) {
            takeAllDown();
            for (int job = 0; job < at.length; job++) {
                put(job, found.at()[job]);
            }
        }

        private boolean hasRoom(int job, int place) {
            Wanted one = wanted.get(job);
            return free[one.slots[place]] >= one.minutes[place];
        }

        /**
         * What stood somewhere stands there again as far as there is room, what is worth most first, and after that what was only
         * promised: so that no schedule is worse than the one before where nothing but more minutes has come.
         */
        private void standAsBefore() {
            int[] order = byWorth();
            for (int job : order) {
                stand(
                        job,
                        place -> wanted.get(job)
                                .job
                                .before()
                                .filter(place::equals)
                                .isPresent());
            }
            for (int job : order) {
                if (at[job] == NOWHERE) {
                    stand(
                            job,
                            place -> wanted.get(job)
                                    .job
                                    .promised()
                                    .filter(place.day()::equals)
                                    .isPresent());
                }
            }
        }

        private void stand(int job, Predicate<Place> there) {
            Wanted one = wanted.get(job);
            for (int place = 0; place < one.slots.length; place++) {
                if (hasRoom(job, place)
                        && there.test(times.get(one.slots[place]).place())) {
                    put(job, place);
                    return;
                }
            }
        }

        private int[] sorted(Comparator<Integer> order) {
            return IntStream.range(0, at.length)
                    .boxed()
                    .sorted(order)
                    .mapToInt(Integer::intValue)
                    .toArray();
        }

        private int[] byLatest() {
            return IntStream.range(0, at.length).toArray();
        }

        private int[] byWorth() {
            return sorted(
                    Comparator.<Integer>comparingInt(job -> -wanted.get(job).worth())
                            .thenComparingInt(job -> wanted.get(job).shortest()));
        }

        private void fill(int[] order) {
            for (int job : order) {
                if (at[job] == NOWHERE) {
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
                int left = free[one.slots[place]] - one.minutes[place];
                if (left >= 0 && left < least) {
                    best = place;
                    least = left;
                }
            }
            if (best != NOWHERE) {
                put(job, best);
            }
            return best != NOWHERE;
        }

        /** Those choose first that most exceed the price of their minutes, and each chooses where it exceeds it most. */
        private void fillByPrice() {
            for (int job : sorted(Comparator.<Integer>comparingDouble(job -> -gain(job)))) {
                Wanted one = wanted.get(job);
                int best = NOWHERE;
                for (int place = 0; place < one.slots.length; place++) {
                    if (hasRoom(job, place) && (best == NOWHERE || cost(one, place) < cost(one, best))) {
                        best = place;
                    }
                }
                if (best != NOWHERE) {
                    put(job, best);
                }
            }
        }

        private double cost(Wanted one, int place) {
            return prices[one.slots[place]] * one.minutes[place];
        }

        private int cheapest(Wanted one) {
            int best = 0;
            for (int place = 1; place < one.slots.length; place++) {
                if (cost(one, place) < cost(one, best)) {
                    best = place;
                }
            }
            return best;
        }

        private double gain(int job) {
            Wanted one = wanted.get(job);
            return one.worth() - cost(one, cheapest(one));
        }

        /** Finds prices that make the bound low, and keeps the best of them. {@return the bound} */
        private double price(int[] whole, int reached) {
            double[] best = prices.clone();
            double least = Double.MAX_VALUE;
            double length = 1.5;
            int without = 0;
            for (int step = 0; step < PRICE_STEPS; step++) {
                double bound = 0;
                double[] left = new double[whole.length];
                for (int slot = 0; slot < whole.length; slot++) {
                    left[slot] = whole[slot];
                    bound += prices[slot] * whole[slot];
                }
                for (Wanted one : wanted) {
                    int place = cheapest(one);
                    double gain = one.worth() - cost(one, place);
                    if (gain > 0) {
                        bound += gain;
                        left[one.slots[place]] -= one.minutes[place];
                    }
                }
                if (bound < least - ROUNDING) {
                    least = bound;
                    System.arraycopy(prices, 0, best, 0, prices.length);
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
            System.arraycopy(best, 0, prices, 0, prices.length);
            return least;
        }

        /** Undone jobs are brought in, what is worth most first, as long as that helps. */
        private void mend() {
            looks = 0;
            boolean helped = true;
            while (helped && looks < MOST_LOOKS) {
                helped = false;
                for (int job : byWorth()) {
                    if (at[job] == NOWHERE) {
                        helped |= makeRoom(job, MOST_MOVES) || replace(job);
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
                BitSet others = standing.get(slot);
                for (int other = others.nextSetBit(0); other >= 0; other = others.nextSetBit(other + 1)) {
                    if (free[slot] + minutes(other) >= one.minutes[place]) {
                        if (looks++ >= MOST_LOOKS) {
                            return false;
                        }
                        int stood = at[other];
                        put(other, NOWHERE);
                        put(job, place);
                        if (makeRoom(other, moves - 1)) {
                            return true;
                        }
                        put(job, NOWHERE);
                        put(other, stood);
                    }
                }
            }
            return false;
        }

        private int minutes(int job) {
            return wanted.get(job).minutes[at[job]];
        }

        /** {@return whether a job took the place of one that is worth less, or as much and takes longer} */
        private boolean replace(int job) {
            Wanted one = wanted.get(job);
            for (int place = 0; place < one.slots.length; place++) {
                int slot = one.slots[place];
                BitSet others = standing.get(slot);
                for (int other = others.nextSetBit(0); other >= 0; other = others.nextSetBit(other + 1)) {
                    if (free[slot] + minutes(other) >= one.minutes[place]
                            && (wanted.get(other).worth() < one.worth()
                                    || wanted.get(other).worth() == one.worth()
                                            && minutes(other) > one.minutes[place])) {
                        put(other, NOWHERE);
                        put(job, place);
                        tightest(other);
                        return true;
                    }
                }
            }
            return false;
        }

        /**
         * Moves at random, one job at a time or two that change places, to what is no worse than it was some moves ago: so that a
         * schedule can become worse for a while to become better (late acceptance: E. K. Burke and Y. Bykov, European Journal of
         * Operational Research 258, 2017). All that counts is weighed, so that little is moved that need not.
         */
        private Found wander(Found start, int bound) {
            SplittableRandom random = new SplittableRandom(1);
            restore(start);
            Found best = start;
            long now = start.value();
            long highest = now;
            long[] earlier = new long[MEMORY];
            Arrays.fill(earlier, now);
            for (int move = 0; move < MOVES && best.worth() < bound; move++) {
                long change = move(random, earlier[move % MEMORY] - now);
                now += change;
                earlier[move % MEMORY] = now;
                if (now > highest) {
                    highest = now;
                    best = found();
                }
            }
            restore(best);
            return best;
        }

        /** Makes one move if it changes the value by no less than so much, or for the better. {@return by how much} */
        private long move(SplittableRandom random, long least) {
            int job = random.nextInt(at.length);
            Wanted one = wanted.get(job);
            int place = random.nextInt(one.slots.length);
            if (place == at[job]) {
                return 0;
            }
            long here = value(job, at[job]);
            int slot = one.slots[place];
            if (free[slot] >= one.minutes[place]) {
                return taken(one.values[place] - here, least) ? moved(job, place, here) : 0;
            }
            int other = standing.get(slot).nextSetBit(random.nextInt(at.length));
            if (other < 0 || free[slot] + minutes(other) < one.minutes[place]) {
                return 0;
            }
            Wanted two = wanted.get(other);
            int back = at[job] == NOWHERE ? NOWHERE : Arrays.binarySearch(two.slots, one.slots[at[job]]);
            if (back < 0 || free[two.slots[back]] + minutes(job) < two.minutes[back]) {
                back = NOWHERE;
            }
            long there = value(other, at[other]);
            if (!taken(one.values[place] + value(other, back) - here - there, least)) {
                return 0;
            }
            put(other, NOWHERE);
            return moved(job, place, here) + moved(other, back, there);
        }

        private static boolean taken(long change, long least) {
            return change >= 0 || change >= least;
        }

        private long value(int job, int place) {
            return place == NOWHERE ? 0 : wanted.get(job).values[place];
        }

        private long moved(int job, int place, long before) {
            put(job, place);
            return value(job, place) - before;
        }

        /** Takes down all jobs of a few times, with those that stand nowhere and may be there, and looks for the best way to put them up again. */
        private Found rebuild(Found start, int bound) {
            SplittableRandom random = new SplittableRandom(2);
            Found best = start;
            restore(best);
            for (int round = 0; round < REBUILDS && best.worth() < bound; round++) {
                List<Integer> undone = new ArrayList<>();
                for (int job = 0; job < at.length; job++) {
                    if (at[job] == NOWHERE) {
                        undone.add(job);
                    }
                }
                anew(near(undone.get(random.nextInt(undone.size())), random), undone);
                best = moreWorth(best, found());
            }
            restore(best);
            return best;
        }

        /** {@return times on which a job may stand, and on which those may that stand there} */
        private BitSet near(int job, SplittableRandom random) {
            BitSet slots = new BitSet();
            int next = job;
            for (int count = 0; count < TAKEN_TIMES; count++) {
                int slot = wanted.get(next).slots[random.nextInt(wanted.get(next).slots.length)];
                slots.set(slot);
                int[] there = standing.get(slot).stream().toArray();
                next = there.length == 0 ? job : there[random.nextInt(there.length)];
            }
            return slots;
        }

        private void anew(BitSet slots, List<Integer> undone) {
            List<Integer> jobs = new ArrayList<>();
            int reached = 0;
            int[] left = new int[free.length];
            for (int slot = slots.nextSetBit(0); slot >= 0; slot = slots.nextSetBit(slot + 1)) {
                left[slot] = free[slot];
                for (int job : standing.get(slot).stream().toArray()) {
                    jobs.add(job);
                    left[slot] += minutes(job);
                    reached += wanted.get(job).worth();
                }
            }
            for (int job : undone) {
                if (Arrays.stream(wanted.get(job).slots).anyMatch(slots::get)) {
                    jobs.add(job);
                }
            }
            int[] some = jobs.stream().mapToInt(Integer::intValue).toArray();
            Branches branches = new Branches(some, left, reached, Integer.MAX_VALUE, FEW_NODES);
            branches.run();
            if (branches.foundWorth > reached) {
                for (int job : some) {
                    put(job, NOWHERE);
                }
                for (int job : some) {
                    put(job, branches.found[job]);
                }
            }
        }

        /** Without losing anything, jobs go where they count most: one alone, or two by changing places. */
        private void settle() {
            boolean helped = true;
            for (int round = 0; helped && round < at.length; round++) {
                helped = false;
                for (int job = 0; job < at.length; job++) {
                    helped |= at[job] != NOWHERE && (moveAlone(job) || changePlaces(job));
                }
            }
        }

        private boolean moveAlone(int job) {
            Wanted one = wanted.get(job);
            int best = at[job];
            for (int place = 0; place < one.slots.length; place++) {
                if (one.values[place] > one.values[best]
                        && one.slots[place] != one.slots[at[job]]
                        && hasRoom(job, place)) {
                    best = place;
                }
            }
            if (best == at[job]) {
                return false;
            }
            put(job, best);
            return true;
        }

        /** Only a job that is better off elsewhere looks for one to change with. */
        private boolean changePlaces(int job) {
            Wanted one = wanted.get(job);
            for (int place = 0; place < one.slots.length; place++) {
                if (one.values[place] > one.values[at[job]]) {
                    BitSet others = standing.get(one.slots[place]);
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
            Wanted two = wanted.get(other);
            int back = Arrays.binarySearch(two.slots, one.slots[at[job]]);
            if (back < 0) {
                return false;
            }
            int here = one.slots[at[job]];
            int there = one.slots[place];
            boolean room = free[here] + one.minutes[at[job]] >= two.minutes[back]
                    && free[there] + two.minutes[at[other]] >= one.minutes[place];
            if (!room || one.values[place] + two.values[back] <= one.values[at[job]] + two.values[at[other]]) {
                return false;
            }
            put(other, NOWHERE);
            put(job, place);
            put(other, back);
            return true;
        }

        private void places(Map<BenchJob, Place> places) {
            for (int job = 0; job < at.length; job++) {
                if (at[job] != NOWHERE) {
                    places.put(
                            wanted.get(job).job,
                            times.get(wanted.get(job).slots[at[job]]).place());
                }
            }
        }

        /**
         * Branch and bound over some jobs and times: what a branch can still bring is the price of the minutes that are left and
         * what exceeds it.
         */
        private final class Branches {

            private final int[] left;
            private final int[] order;
            private final double[] gains;
            private final int[] tried;
            private final int bound;
            private int[] found;
            private int foundWorth;
            private int nodes;
            private int mostNodes;

            /**
             * Prepares a search.
             *
             * @param jobs which jobs
             * @param left the minutes that there are for them; 0 where they must not stand
             * @param reached how much worth is found already: only more is looked for
             * @param bound no more than that can be found
             * @param mostNodes after so many looks it ends
             */
            Branches(int[] jobs, int[] left, int reached, int bound, int mostNodes) {
                this.left = left;
                this.bound = bound;
                this.mostNodes = mostNodes;
                this.foundWorth = reached;
                double[] most = new double[at.length];
                for (int job : jobs) {
                    most[job] = gainWithin(wanted.get(job));
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
                this.tried = new int[at.length];
                Arrays.fill(tried, NOWHERE);
                this.found = tried;
            }

            private double gainWithin(Wanted one) {
                double least = one.worth();
                for (int place = 0; place < one.slots.length; place++) {
                    if (left[one.slots[place]] >= one.minutes[place]) {
                        least = Math.min(least, cost(one, place));
                    }
                }
                return one.worth() - least;
            }

            /** {@return the most that can be done, as far as it is known} */
            private int run() {
                double paid = 0;
                for (int slot = 0; slot < left.length; slot++) {
                    paid += prices[slot] * left[slot];
                }
                branch(0, 0, paid);
                return nodes >= mostNodes ? bound : foundWorth;
            }

            private void branch(int index, int worth, double paid) {
                if (worth + paid + gains[index] < foundWorth + 1 - ROUNDING
                        || foundWorth == bound
                        || nodes++ >= mostNodes) {
                    return;
                }
                if (index == order.length) {
                    found = tried.clone();
                    foundWorth = worth;
                    return;
                }
                int job = order[index];
                Wanted one = wanted.get(job);
                for (int place = 0; place < one.slots.length; place++) {
                    int slot = one.slots[place];
                    if (left[slot] >= one.minutes[place]) {
                        left[slot] -= one.minutes[place];
                        tried[job] = place;
                        branch(index + 1, worth + one.worth(), paid - cost(one, place));
                        tried[job] = NOWHERE;
                        left[slot] += one.minutes[place];
                    }
                }
                branch(index + 1, worth, paid);
            }
        }
    }
}
