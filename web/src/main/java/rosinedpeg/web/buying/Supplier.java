package rosinedpeg.web.buying;

import java.util.UUID;

/**
 * Somebody who sells strings.
 *
 * @param id its id
 * @param name what the workshop calls them
 * @param leadDays days from sending an order until it is there
 * @param version how often it has been changed
 */
record Supplier(UUID id, String name, int leadDays, int version) {

    /** Until somebody says how long a supplier takes; a default of our own. */
    static final int USUAL_LEAD_DAYS = 7;
    /** No order takes longer. */
    static final int MOST_LEAD_DAYS = 365;
    /** No name is longer. */
    static final int LONGEST_NAME = 60;
}
