package rosinedpeg.web.bench;

import java.util.List;
import java.util.Optional;

/** Somebody who knows what else the bench is to do today. */
public interface DayAtBench {

    /** {@return what is left of today's list; empty where there is no list} */
    Optional<Rest> rest();

    /**
     * What is left of a day's list.
     *
     * @param jobs how many jobs, 0 or more
     * @param minutes how long they take together
     * @param left the minutes that are left of the day, those included
     * @param next the job that comes next, if there is one
     * @param runs how many runs were led to their end today
     * @param took how long they took together, in minutes
     * @param usual how long they usually take, in minutes
     * @param broken the instruments of which a promised day does not hold any more
     */
    record Rest(
            int jobs,
            int minutes,
            int left,
            Optional<Next> next,
            int runs,
            double took,
            double usual,
            List<String> broken) {}

    /**
     * The job that comes next.
     *
     * @param instrument on what
     * @param what what is done
     * @param minutes how long it takes
     * @param address the page on which it begins
     */
    record Next(String instrument, String what, int minutes, String address) {}
}
