package rosinedpeg.web.week;

import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.plan.Material;
import rosinedpeg.core.week.BenchSchedule;
import rosinedpeg.core.week.JobKind;
import rosinedpeg.core.week.Place;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.occasions.Occasion;

/**
 * A week at the bench.
 *
 * @param first its first day
 * @param last its last day
 * @param today the day it is
 * @param furthest the last day that is planned
 * @param people who is ever at the bench
 * @param days its days, from today on
 * @param undone what cannot be done in time, in whatever week
 * @param all how many jobs wait
 * @param worth how much of what is worth doing is done in time
 * @param most no plan does more
 * @param wanted how much all of it would be
 * @param more whether more falls due than is planned for
 * @param runs how many finished runs the minutes are learned from
 * @param promised how many days are promised
 * @param drawing the week
 */
record WeekPage(
        LocalDate first,
        LocalDate last,
        LocalDate today,
        LocalDate furthest,
        List<PersonHours> people,
        List<BenchDay> days,
        List<Line> undone,
        int all,
        int worth,
        int most,
        int wanted,
        boolean more,
        int runs,
        long promised,
        View drawing) {

    /** So many of what cannot be done stand on the page; all of them have a page of their own. */
    static final int MOST_UNDONE = 12;
    /** And so much of what somebody does on a day; the day's own sheet has all of it. */
    static final int MOST_LINES = 12;

    /** {@return why work wants to be done, with what each is worth} */
    public JobKind[] kinds() {
        return JobKind.values();
    }

    /** {@return those that stand on the page} */
    public List<Line> undoneShown() {
        return undone.subList(0, Math.min(MOST_UNDONE, undone.size()));
    }

    /**
     * A day.
     *
     * @param day which
     * @param played what is played on it
     * @param benches who is at the bench, with what they do
     */
    record BenchDay(LocalDate day, List<Occasion> played, List<PersonDay> benches) {

        /** {@return the job that is begun with; empty where there is none} */
        public Optional<Job> first() {
            return benches.stream()
                    .flatMap(bench -> bench.lines().stream())
                    .map(Line::job)
                    .findFirst();
        }

        /** {@return the hours that were typed for that day alone, or are usual} */
        boolean isEmpty() {
            return played.isEmpty() && benches.stream().allMatch(bench -> bench.minutes() == 0);
        }
    }

    /**
     * Somebody's day at the bench.
     *
     * @param place the day and the person
     * @param hours their hours, as people write them
     * @param minutes how many minutes they have; of today what is still to come
     * @param taken how many of them are taken
     * @param lines what is done
     */
    record PersonDay(Place place, String hours, int minutes, int taken, List<Line> lines) {

        /** {@return those that stand on the page of the week} */
        public List<Line> shown() {
            return lines.subList(0, Math.min(MOST_LINES, lines.size()));
        }

        /** {@return what is used that day, but for the strings themselves} */
        public Set<Material> kit() {
            Set<Material> kit = EnumSet.noneOf(Material.class);
            lines.forEach(line -> kit.addAll(line.job().kit()));
            kit.remove(Material.NEW_STRING);
            return kit;
        }

        /** {@return the minutes that are left} */
        public int left() {
            return minutes - taken;
        }
    }

    /**
     * A job on the page.
     *
     * @param job the job
     * @param place where it stands, if it can be done
     * @param minutes how long it takes there, or whoever is quickest
     * @param pinned whether it has to be there
     * @param promised the day that was promised for it, if one was
     * @param breaksPromise whether it stands on another day than that, or on none
     * @param undone why it cannot be done, if it cannot
     * @param holdsFrom when its new strings hold for what is played first, or else for a concert, if it has any and can be done
     */
    record Line(
            Job job,
            Optional<Place> place,
            int minutes,
            boolean pinned,
            Optional<LocalDate> promised,
            boolean breaksPromise,
            Optional<BenchSchedule.Undone> undone,
            Optional<Instant> holdsFrom) {

        /** {@return the day it stands on, or the last it could} */
        public LocalDate day() {
            return place.map(Place::day).orElse(job.latest());
        }
    }
}
