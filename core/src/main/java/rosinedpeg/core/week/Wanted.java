package rosinedpeg.core.week;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** A job with what it takes to find a place for it: the times it may have, by their index, with its minutes and value on each. */
final class Wanted {

    /** Where a job stands that stands nowhere. */
    static final int NOWHERE = -1;

    final BenchJob job;
    /** The index of each time it may have, in order. */
    final int[] slots;
    /** How long it takes on each of them. */
    final int[] minutes;
    /** What it counts on each of them: worth before all else, by {@link Scale}. */
    final long[] values;

    private Wanted(BenchJob job, int[] slots, int[] minutes, long[] values) {
        this.job = job;
        this.slots = slots;
        this.minutes = minutes;
        this.values = values;
    }

    /** {@return what it is worth} */
    int worth() {
        return job.worth();
    }

    /** {@return the least it takes anybody} */
    int shortest() {
        return Arrays.stream(minutes).min().orElse(0);
    }

    /** {@return which of its places a time is; negative where it may not have it} */
    int placeOf(int slot) {
        return Arrays.binarySearch(slots, slot);
    }

    /**
     * Finds for each job the times that are long enough for it by itself.
     *
     * @param jobs the jobs
     * @param times the times
     * @param free the minutes there are in each
     * @return those that fit anywhere, in the order of their last days
     */
    static List<Wanted> of(List<BenchJob> jobs, List<BenchTime> times, int[] free) {
        LocalDate first = times.stream()
                .map(time -> time.place().day())
                .min(Comparator.naturalOrder())
                .orElse(LocalDate.EPOCH);
        long[] days = times.stream()
                .mapToLong(time -> ChronoUnit.DAYS.between(first, time.place().day()))
                .toArray();
        Scale scale = Scale.of(jobs.size(), Arrays.stream(days).max().orElse(0));
        List<Wanted> wanted = new ArrayList<>();
        jobs.stream()
                .sorted(Comparator.comparing(BenchJob::latest).thenComparing(BenchJob::name))
                .forEach(job -> {
                    int[] slots = IntStream.range(0, times.size())
                            .filter(slot -> fits(job, times.get(slot).place(), free[slot]))
                            .toArray();
                    if (slots.length > 0) {
                        wanted.add(new Wanted(
                                job,
                                slots,
                                Arrays.stream(slots)
                                        .map(slot -> job.minutesOf(
                                                        times.get(slot).place().person())
                                                .orElseThrow())
                                        .toArray(),
                                Arrays.stream(slots)
                                        .mapToLong(slot ->
                                                scale.value(job, times.get(slot).place(), days[slot]))
                                        .toArray()));
                    }
                });
        return wanted;
    }

    private static boolean fits(BenchJob job, Place place, int free) {
        return job.mayBeOn(place.day())
                && job.minutesOf(place.person())
                        .filter(minutes -> minutes <= free)
                        .isPresent();
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
}
