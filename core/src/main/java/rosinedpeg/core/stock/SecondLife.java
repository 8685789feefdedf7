package rosinedpeg.core.stock;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.Set;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.wear.Wear;
import rosinedpeg.core.wear.WearSign;

/**
 * Whether an old string may go on again. It has bent where its bridge and nut were, so that it serves instruments of its own size only;
 * what is spent or open anywhere serves none.
 */
public enum SecondLife {
    /** It may. */
    GOOD,
    /** It was on an instrument of another size. */
    OTHER_SIZE,
    /** Something of it does not fit this instrument. */
    DOES_NOT_FIT,
    /** Its hours and months are used up. */
    SPENT,
    /** Its winding is open: it can cut a finger, and fail. */
    OPEN;

    private static final Range WORN = new Range(0, 1000, Unit.SHARE);

    /**
     * Judges an old string for an instrument.
     *
     * @param from the size of the instrument it comes from
     * @param worn how far it is used up, 0 or more
     * @param signs what was seen on it
     * @param on the size of the instrument it would go on
     * @param fit what {@link rosinedpeg.core.fit.FitCheck} found of it there
     * @return the first thing that stands against it, or {@link #GOOD}
     * @throws rosinedpeg.core.figure.OutOfRangeException when it is worn less than 0
     */
    public static SecondLife of(Size from, double worn, Set<WearSign> signs, Size on, List<Finding> fit) {
        requireNonNull(from, "from");
        requireNonNull(on, "on");
        requireNonNull(signs, "signs");
        requireNonNull(fit, "fit");
        WORN.require("worn", worn);
        if (signs.contains(WearSign.WINDING_OPEN)) {
            return OPEN;
        }
        if (worn >= Wear.SPENT) {
            return SPENT;
        }
        if (from != on) {
            return OTHER_SIZE;
        }
        return fit.stream().anyMatch(Finding::stops) ? DOES_NOT_FIT : GOOD;
    }
}
