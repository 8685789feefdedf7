package rosinedpeg.web.drawer;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Strings of one kind that lie together.
 *
 * @param kindId what they are
 * @param old whether they are old ones
 * @param inCases whether they lie in the cases of instruments
 * @param count how many
 * @param oldest when the oldest of them was bought; none where that is not known of any
 */
record Heap(
        UUID kindId,
        boolean old,
        boolean inCases,
        long count,
        @Nullable LocalDate oldest) {}
