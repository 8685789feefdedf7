package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.week.Wanted.NOWHERE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import rosinedpeg.core.week.Standing.Found;

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
 * <p>Before all that the jobs are set aside that are in nobody's way: a day that is long enough for everything that may be on it is
 * long enough for it whatever else is planned, and without these jobs another day may be, too. What is left is often little.
 *
 * <p>All counts are of work and not of time, so that the same question has the same answer on every machine.
 */
public final class PricedMinutes implements BenchPlanner {

    /** So many nodes branch and bound looks at. */
    private static final int MOST_NODES = 150_000;

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
        int[] free = times.stream().mapToInt(BenchTime::minutes).toArray();
        pin(jobs, times, free, places);
        int pinned = places.keySet().stream().mapToInt(BenchJob::worth).sum();
        List<Wanted> wanted =
                Wanted.of(jobs.stream().filter(job -> job.pinned().isEmpty()).toList(), times, free);
        Standing standing = new Standing(wanted, free);
        int most = search(wanted, times, free, standing);
        for (int job = 0; job < wanted.size(); job++) {
            if (standing.isDone(job)) {
                places.put(wanted.get(job).job, times.get(standing.slot(job)).place());
            }
        }
        return BenchSchedule.of(jobs, times, places, pinned + most);
    }

    /** Finds where jobs stand. {@return the most that can be done, as far as it is known} */
    private static int search(List<Wanted> wanted, List<BenchTime> times, int[] free, Standing standing) {
        Moves moves = new Moves(wanted, standing);
        Found first = begun(moves, standing, times, moves.byLatest())
                .orBetter(begun(moves, standing, times, moves.byWorth()));
        standing.restore(first.at());
        int[] sure = inNobodysWay(wanted, free);
        int all = wanted.stream().mapToInt(Wanted::worth).sum();
        if (first.worth() == all) {
            moves.settle();
            return all;
        }
        int[] contested = IntStream.range(0, sure.length)
                .filter(job -> sure[job] == NOWHERE)
                .toArray();
        int beside = all - worth(wanted, contested);
        List<Wanted> others = Arrays.stream(contested).mapToObj(wanted::get).toList();
        MinutePrices prices = MinutePrices.of(others, free, first.worth() - beside);
        int most = beside + prices.bound();
        Found best = first;
        if (best.worth() < most) {
            Branches branches = new Branches(
                    wanted, contested, prices, free.clone(), best.worth() - beside, prices.bound(), MOST_NODES);
            most = beside + branches.most();
            if (branches.worth() + beside > best.worth()) {
                best = together(branches, sure, standing);
            }
        }
        if (best.worth() < most) {
            standing.restore(nowhere(wanted.size()));
            moves.fillByPrice(prices);
            moves.mend();
            best = best.orBetter(standing.found());
            best = best.orBetter(moves.wander(best, most));
            best = best.orMoreWorth(moves.rebuild(best, most, prices));
        }
        standing.restore(best.at());
        moves.fill(moves.byWorth());
        moves.settle();
        return most;
    }

    /**
     * What stood stands, and what is undone goes beside it: by last days that is mostly better; but only what is worth most first makes
     * sure that minutes which one job wants do as much as that job.
     */
    private static Found begun(Moves moves, Standing standing, List<BenchTime> times, int[] order) {
        standing.restore(nowhere(order.length));
        moves.standAsBefore(times);
        moves.fill(order);
        Found stood = standing.found();
        moves.mend();
        // What only frees minutes and brings nothing in with them has moved for nothing.
        return standing.found().orBetter(stood);
    }

    private static int[] nowhere(int jobs) {
        int[] nowhere = new int[jobs];
        Arrays.fill(nowhere, NOWHERE);
        return nowhere;
    }

    private static int worth(List<Wanted> wanted, int[] jobs) {
        return Arrays.stream(jobs).map(job -> wanted.get(job).worth()).sum();
    }

    private static Found together(Branches branches, int[] sure, Standing standing) {
        int[] at = branches.found().clone();
        for (int job = 0; job < at.length; job++) {
            at[job] = sure[job] == NOWHERE ? at[job] : sure[job];
        }
        standing.restore(at);
        return standing.found();
    }

    /** {@return a place for each job that can be there whatever becomes of the others; nowhere for those that contend for minutes} */
    private static int[] inNobodysWay(List<Wanted> wanted, int[] free) {
        int[] sure = nowhere(wanted.size());
        boolean found = true;
        while (found) {
            found = false;
            for (int slot = 0; slot < free.length; slot++) {
                List<Integer> here = new ArrayList<>();
                int minutes = 0;
                for (int job = 0; job < sure.length; job++) {
                    int place = sure[job] == NOWHERE ? wanted.get(job).placeOf(slot) : NOWHERE;
                    if (place >= 0) {
                        here.add(job);
                        minutes += wanted.get(job).minutes[place];
                    }
                }
                if (!here.isEmpty() && minutes <= free[slot]) {
                    for (int job : here) {
                        sure[job] = wanted.get(job).placeOf(slot);
                    }
                    found = true;
                }
            }
        }
        return sure;
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
}
