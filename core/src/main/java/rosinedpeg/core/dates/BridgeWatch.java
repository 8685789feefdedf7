package rosinedpeg.core.dates;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;

/** After a change the bridge is looked at every day for a week: a new string that settles, and is tuned again, pulls it along. */
public final class BridgeWatch {

    /** How long it is looked at. */
    public static final int DAYS = 7;

    private BridgeWatch() {}

    /**
     * Whether the bridge is looked at on a day.
     *
     * @param changed the day the latest string came on
     * @param day the day that is asked about
     * @return from the day of the change for a week
     */
    public static boolean asksOn(LocalDate changed, LocalDate day) {
        requireNonNull(day, "day");
        return !day.isBefore(changed) && day.isBefore(changed.plusDays(DAYS));
    }
}
