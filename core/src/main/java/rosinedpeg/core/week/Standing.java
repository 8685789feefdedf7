package rosinedpeg.core.week;

import static rosinedpeg.core.week.Wanted.NOWHERE;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/** Where jobs stand while a schedule is looked for, and what is left of the minutes. A place is the index among a job's own times. */
final class Standing {

    private final List<Wanted> wanted;
    private final int[] free;
    private final int[] at;
    private final BitSet[] onSlot;

    Standing(List<Wanted> wanted, int[] free) {
        this.wanted = wanted;
        this.free = free.clone();
        this.at = new int[wanted.size()];
        Arrays.fill(at, NOWHERE);
        this.onSlot = new BitSet[free.length];
        Arrays.setAll(onSlot, slot -> new BitSet());
    }

    /**
     * A schedule that was found.
     *
     * @param at the place of each job
     * @param worth how much is done
     * @param value the same with all else that counts
     */
    record Found(int[] at, int worth, long value) {

        /** {@return the other where it counts more} */
        Found orBetter(Found other) {
            return other.value() > value ? other : this;
        }

        /** {@return the other only where it does more: otherwise what stands stays} */
        Found orMoreWorth(Found other) {
            return other.worth() > worth ? other : this;
        }
    }

    /** {@return how all of them stand now} */
    Found found() {
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

    /** {@return how many times there are} */
    int times() {
        return free.length;
    }

    /** {@return the place of a job} */
    int at(int job) {
        return at[job];
    }

    /** {@return whether a job stands anywhere} */
    boolean isDone(int job) {
        return at[job] != NOWHERE;
    }

    /** {@return the time a job stands in} */
    int slot(int job) {
        return wanted.get(job).slots[at[job]];
    }

    /** {@return the minutes a job takes where it stands} */
    int minutes(int job) {
        return wanted.get(job).minutes[at[job]];
    }

    /** {@return what a job counts in a place} */
    long value(int job, int place) {
        return place == NOWHERE ? 0 : wanted.get(job).values[place];
    }

    /** {@return the minutes that are left of a time} */
    int free(int slot) {
        return free[slot];
    }

    /** {@return the jobs that stand in a time} */
    BitSet on(int slot) {
        return onSlot[slot];
    }

    /** {@return whether there is room for a job in one of its places} */
    boolean hasRoom(int job, int place) {
        Wanted one = wanted.get(job);
        return free[one.slots[place]] >= one.minutes[place];
    }

    /** Puts a job into one of its places, or nowhere. */
    void put(int job, int place) {
        Wanted one = wanted.get(job);
        if (at[job] != NOWHERE) {
            free[one.slots[at[job]]] += one.minutes[at[job]];
            onSlot[one.slots[at[job]]].clear(job);
        }
        at[job] = place;
        if (place != NOWHERE) {
            free[one.slots[place]] -= one.minutes[place];
            onSlot[one.slots[place]].set(job);
        }
    }

    /** Puts all jobs where they stood. */
    void restore(int[] stood) {
        for (int job = 0; job < at.length; job++) {
            put(job, NOWHERE);
        }
        for (int job = 0; job < at.length; job++) {
            put(job, stood[job]);
        }
    }
}
