package rosinedpeg.core.week;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;

/**
 * Work on one instrument that has to find room on the bench. It is done in one go, by one person.
 *
 * @param name how its owner knows it, one of its own for each job
 * @param worth how much it is worth to have it done in time, 1 to 100: as many times as much as a job that is worth 1
 * @param minutes how long it takes each person who can do it, 1 to 1440
 * @param earliest the first day it can be done: its strings are there by then
 * @param latest the last day it is in time; before {@code earliest} where its strings come too late for that
 * @param notOn days between them on which it cannot be done, because the instrument is not at hand or somebody said so
 * @param pinned where it has to be, if somebody said so; that overrules all else
 * @param promised the day that was promised for it, if one was
 * @param before where it stood when the bench was last planned, if it did
 */
public record BenchJob(
        String name,
        int worth,
        Map<String, Integer> minutes,
        LocalDate earliest,
        LocalDate latest,
        Set<LocalDate> notOn,
        Optional<Place> pinned,
        Optional<LocalDate> promised,
        Optional<Place> before) {

    /** How much a job can be worth. */
    public static final Range WORTH = new Range(1, 100, Unit.RATIO);

    /** How long a job can take. */
    public static final Range MINUTES = new Range(1, 1440, Unit.MINUTE);

    /**
     * Checks the parts and copies the collections.
     *
     * @throws IllegalArgumentException when a figure is outside its range, or nobody can do it
     */
    public BenchJob {
        requireNonNull(name, "name");
        WORTH.require("worth", worth);
        minutes = Map.copyOf(minutes);
        if (minutes.isEmpty()) {
            throw new IllegalArgumentException("minutes has nobody in it; somebody must be able to do it");
        }
        minutes.values().forEach(one -> MINUTES.require("minutes", one));
        requireNonNull(earliest, "earliest");
        requireNonNull(latest, "latest");
        notOn = Set.copyOf(notOn);
        requireNonNull(pinned, "pinned");
        requireNonNull(promised, "promised");
        requireNonNull(before, "before");
    }

    /** A job is asked for by the hundred in every map of a schedule, and its name is its own. */
    @Override
    public int hashCode() {
        return name.hashCode();
    }

    /** {@return whether it can be done on a day, as far as its strings, its date and its instrument go} */
    public boolean mayBeOn(LocalDate day) {
        return !day.isBefore(earliest) && !day.isAfter(latest) && !notOn.contains(day);
    }

    /** {@return the minutes it takes somebody; empty for who cannot do it} */
    public Optional<Integer> minutesOf(String person) {
        return Optional.ofNullable(minutes.get(requireNonNull(person, "person")));
    }

    /** {@return the same job pinned to a place} */
    public BenchJob pinnedTo(Place place) {
        return new BenchJob(name, worth, minutes, earliest, latest, notOn, Optional.of(place), promised, before);
    }

    /** {@return the same job with the place it stood at when the bench was last planned} */
    public BenchJob stoodAt(Optional<Place> place) {
        return before.equals(place)
                ? this
                : new BenchJob(name, worth, minutes, earliest, latest, notOn, pinned, promised, place);
    }
}
