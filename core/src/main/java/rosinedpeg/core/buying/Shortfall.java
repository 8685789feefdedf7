package rosinedpeg.core.buying;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * What is missing of one kind of string, and by when it has to be sent for.
 *
 * <p>Wants are met in the order of their days: by what lies there, then by what is on order, the first to come first. What is on
 * order meets a want even where it comes too late, since a second order would come later still: nothing is ordered twice for one
 * need. Whatever is left unmet is missing, and so is what should lie ready once all of that is used.
 *
 * @param wants how each want is met, in the order of their days
 * @param toLieReady how many are missing so that enough lie ready afterwards, 0 or more
 * @param sendBy the last day on which an order comes in time for the first want that is unmet; empty when none is
 */
public record Shortfall(List<Met> wants, int toLieReady, Optional<LocalDate> sendBy) {

    /** How a want is met. */
    public enum How {
        /** By a string that lies there. */
        THERE,
        /** By one that is on order, in time. */
        COMING,
        /** By one that is on order and comes too late. */
        COMING_LATE,
        /** Not at all: it has to be bought. */
        MISSING
    }

    /**
     * How one want is met.
     *
     * @param on the day on which a string is wanted
     * @param how how
     */
    public record Met(LocalDate on, How how) {
        /** Checks the parts. */
        public Met {
            requireNonNull(on, "on");
            requireNonNull(how, "how");
        }
    }

    /** Copies the wants. */
    public Shortfall {
        wants = List.copyOf(wants);
        requireNonNull(sendBy, "sendBy");
        if (toLieReady < 0) {
            throw new IllegalArgumentException("toLieReady is " + toLieReady + "; it must be 0 or more");
        }
    }

    /**
     * Holds what is wanted against what is there.
     *
     * @param wantedOn the days on which a string of the kind is wanted, in any order, one for each string
     * @param there how many lie there, 0 or more
     * @param coming what is on order, in any order
     * @param ready how many are to lie ready afterwards, 0 or more
     * @param leadDays days from sending an order until it is there, 0 or more
     * @return what is missing
     */
    public static Shortfall of(List<LocalDate> wantedOn, int there, List<Coming> coming, int ready, int leadDays) {
        if (there < 0) {
            throw new IllegalArgumentException("there is " + there + "; it must be 0 or more");
        }
        if (ready < 0) {
            throw new IllegalArgumentException("ready is " + ready + "; it must be 0 or more");
        }
        if (leadDays < 0) {
            throw new IllegalArgumentException("leadDays is " + leadDays + "; it must be 0 or more");
        }
        Deque<LocalDate> onOrder = new ArrayDeque<>();
        coming.stream().sorted(Comparator.comparing(Coming::on)).forEach(one -> {
            for (int string = 0; string < one.strings(); string++) {
                onOrder.add(one.on());
            }
        });
        int left = there;
        Optional<LocalDate> sendBy = Optional.empty();
        List<Met> wants = new ArrayList<>();
        for (LocalDate day : wantedOn.stream().sorted().toList()) {
            How how = How.MISSING;
            if (left > 0) {
                left--;
                how = How.THERE;
            } else if (!onOrder.isEmpty()) {
                how = onOrder.remove().isAfter(day) ? How.COMING_LATE : How.COMING;
            } else if (sendBy.isEmpty()) {
                sendBy = Optional.of(day.minusDays(leadDays));
            }
            wants.add(new Met(day, how));
        }
        return new Shortfall(wants, Math.max(0, ready - left - onOrder.size()), sendBy);
    }

    /** {@return how many have to be bought} */
    public int toBuy() {
        return (int) wants.stream().filter(want -> want.how() == How.MISSING).count() + toLieReady;
    }
}
