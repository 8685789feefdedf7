package rosinedpeg.web.platform;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;

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

    /** {@return what the database is asked for: as much as a page shows, after so many, or after the last whole page before that} */
    public static Pageable after(int many) {
        return PageRequest.of(Math.max(0, many) / MOST, MOST);
    }

    /** {@return how many come before what an address asks for; none where it says nothing of that} */
    public static int after(String sent) {
        return sent.matches("\\d{1,7}") ? Integer.parseInt(sent) : 0;
    }

    /** {@return what the database answered to that} */
    public static <T> ListPage<T> of(Page<T> page) {
        return new ListPage<>(page.getContent(), (int) page.getPageable().getOffset(), (int) page.getTotalElements());
    }

    /** {@return as much of a list that is there already, after so many} */
    public static <T> ListPage<T> of(List<T> all, int from) {
        return of(all, from, MOST);
    }

    /** {@return the same, with another number of them at a time} */
    public static <T> ListPage<T> of(List<T> all, int from, int most) {
        int start = Math.min(Math.max(0, from), all.size()) / most * most;
        return new ListPage<>(all.subList(start, Math.min(all.size(), start + most)), start, all.size());
    }

    /** {@return the same part of the list with something else shown of each, without those that are gone meanwhile} */
    public <R> ListPage<R> flatMap(Function<T, Optional<R>> change) {
        return new ListPage<>(
                shown.stream().map(change).flatMap(Optional::stream).toList(), from, total);
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
