package rosinedpeg.core.week;

import java.util.List;

/** Puts jobs on a bench. */
public interface BenchPlanner {

    /**
     * Finds a schedule. First counts how much of what is worth doing is done in time, then how many promises are kept, then how
     * little is moved from where it stood before, then how early things are done. The same jobs and times give the same schedule.
     *
     * @param jobs the jobs, each with a name of its own
     * @param times the minutes there are, one for each person and day
     * @return the schedule
     * @throws IllegalArgumentException when two jobs have one name, or somebody has two times on one day
     */
    BenchSchedule plan(List<BenchJob> jobs, List<BenchTime> times);
}
