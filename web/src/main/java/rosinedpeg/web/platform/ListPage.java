package rosinedpeg.web.platform;

import java.util.List;

/**
 * As much of a long list as a page shows.
 *
 * @param shown what is shown, at most {@value #MOST}
 * @param from how many come before it
 * @param total how many there are
 */
public record ListPage<T>(List<T> shown, int from, int total) {

    /** So many are shown at a time. */
    public static final int MOST = 20;

    /** {@return the part of a list that begins after so many, or nearest to that} */
    public static <T> ListPage<T> of(List<T> all, int after) {
        int from = Math.max(0, Math.min(after, all.size()));
        return new ListPage<>(all.subList(from, Math.min(all.size(), from + MOST)), from, all.size());
    }

    /** {@return how many come before what is not shown yet} */
    public int next() {
        return from + shown.size();
    }

    /** {@return how many are not shown yet} */
    public int left() {
        return total - next();
    }
}
