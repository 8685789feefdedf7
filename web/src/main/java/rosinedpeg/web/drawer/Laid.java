package rosinedpeg.web.drawer;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.validation.Errors;
import rosinedpeg.web.kinds.Price;
import rosinedpeg.web.platform.Entry;

/**
 * A new string that is laid into the drawer.
 *
 * @param kindId what it is
 * @param place where it lies, as the workshop says it; empty where nobody says
 * @param caseOf the instrument in whose case it lies, if in one
 * @param boughtOn when it was bought, if that is known
 * @param price what was paid for it, if that is known
 */
public record Laid(
        UUID kindId,
        String place,
        @Nullable UUID caseOf,
        @Nullable LocalDate boughtOn,
        @Nullable Price price) {

    /** No place has a longer name. */
    static final int LONGEST_PLACE = 60;

    /** Notes at the field {@code place} when the name of one is too long. */
    public static void readPlace(Errors errors, String place) {
        Entry.note(errors, "place", place, LONGEST_PLACE);
    }
}
