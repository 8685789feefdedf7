package rosinedpeg.web.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import rosinedpeg.core.stock.Lying;
import rosinedpeg.web.instrument.OldString;
import rosinedpeg.web.kinds.Price;

/**
 * A string that lies in the drawer, or lay there.
 *
 * @param id its id
 * @param code what it is marked with
 * @param kindId what it is
 * @param place where it lies
 * @param caseOf the instrument in whose case it lies, if in one
 * @param boughtOn when it was bought, if that is known
 * @param price what was paid for it, if that is known
 * @param fittedId the string on an instrument that it was; none for a new one
 * @param enteredAt when it came into the drawer
 * @param enteredBy who put it there; empty where nobody did it by hand
 * @param runId the run it was taken for; none while it lies
 * @param leftAt when it left the drawer for good
 * @param leftHow how it left
 * @param version how often it has been changed
 */
public record InDrawer(
        UUID id,
        String code,
        UUID kindId,
        String place,
        @Nullable UUID caseOf,
        @Nullable LocalDate boughtOn,
        @Nullable Price price,
        @Nullable UUID fittedId,
        Instant enteredAt,
        @Nullable UUID enteredBy,
        @Nullable UUID runId,
        @Nullable Instant leftAt,
        @Nullable LeftHow leftHow,
        int version) {

    /** {@return what it is marked with, as it is written on a label} */
    public String written() {
        return new Code(code).written();
    }

    /** {@return whether it was on an instrument before} */
    public boolean old() {
        return fittedId != null;
    }

    /** {@return whether it lies there now} */
    public boolean lies() {
        return leftAt == null && runId == null;
    }

    /**
     * Its turn among others of its kind.
     *
     * @param was what it was on an instrument; none for a new one
     * @param wantedFor the instrument it is wanted for
     * @return that
     */
    public Lying lying(@Nullable OldString was, UUID wantedFor) {
        return new Lying(
                Optional.ofNullable(boughtOn),
                enteredAt,
                was == null ? Optional.empty() : Optional.of(was.worn()),
                caseOf == null
                        ? Lying.Where.DRAWER
                        : caseOf.equals(wantedFor) ? Lying.Where.OWN_CASE : Lying.Where.OTHER_CASE);
    }
}
