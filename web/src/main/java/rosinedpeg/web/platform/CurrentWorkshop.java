package rosinedpeg.web.platform;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import rosinedpeg.core.pitch.ReferenceA;

/**
 * The workshop that database work is done for: that of the account signed in, or one named by the program itself, as
 * when the demonstration is loaded.
 */
public final class CurrentWorkshop {

    /** Owns nothing; in force when nobody is signed in. */
    static final UUID NONE = new UUID(0, 0);

    private static final ThreadLocal<Named> NAMED = new ThreadLocal<>();

    private CurrentWorkshop() {}

    /**
     * Does some work for a workshop without anybody being signed in. Where it stands is not known by that: its days are those of UTC.
     *
     * @param workshopId the workshop
     * @param person who signs what is recorded
     * @param work what is done
     * @return what the work returns
     */
    public static <T> T in(UUID workshopId, UUID person, Supplier<T> work) {
        return in(new Named(workshopId, person, null, null), work);
    }

    /**
     * Does some work for a workshop where it stands, without anybody being signed in.
     *
     * @param workshopId the workshop
     * @param person who signs what is recorded
     * @param zone its time zone
     * @param work what is done
     * @return what the work returns
     */
    public static <T> T in(UUID workshopId, UUID person, ZoneId zone, Supplier<T> work) {
        return in(new Named(workshopId, person, zone, null), work);
    }

    /**
     * Does some work as if somebody were signed in.
     *
     * @param account who signs what is recorded, and in whose workshop it is done
     * @param work what is done
     * @return what the work returns
     */
    public static <T> T in(SignedIn account, Supplier<T> work) {
        return in(
                new Named(
                        account.workshopId(),
                        account.personId(),
                        account.zone(),
                        new ReferenceA(account.referenceAHz())),
                work);
    }

    private static <T> T in(Named named, Supplier<T> work) {
        Named before = NAMED.get();
        NAMED.set(named);
        try {
            return work.get();
        } finally {
            NAMED.set(before);
        }
    }

    /** {@return the account that is signed in} */
    public static Optional<SignedIn> account() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
                ? Optional.of(signedIn)
                : Optional.empty();
    }

    /** {@return who signs what is recorded now} */
    public static UUID person() {
        Named named = NAMED.get();
        return named != null ? named.person() : account().orElseThrow().personId();
    }

    /** {@return the day it is in the workshop, by that clock} */
    public static LocalDate today(Clock clock) {
        return clock.instant().atZone(zone()).toLocalDate();
    }

    /** {@return the time zone of the workshop, UTC where that is not known} */
    public static ZoneId zone() {
        Named named = NAMED.get();
        return named != null && named.zone() != null
                ? named.zone()
                : account().map(SignedIn::zone).orElse(ZoneId.of("UTC"));
    }

    /** {@return what the workshop's instruments are tuned to, unless they say otherwise} */
    public static ReferenceA referenceA() {
        Named named = NAMED.get();
        return named != null && named.referenceA() != null
                ? named.referenceA()
                : account()
                        .map(account -> new ReferenceA(account.referenceAHz()))
                        .orElse(ReferenceA.STANDARD);
    }

    /** {@return the id of the workshop that whatever is done belongs to} */
    public static UUID id() {
        Named named = NAMED.get();
        return named != null
                ? named.workshopId()
                : account().map(SignedIn::workshopId).orElse(NONE);
    }

    private record Named(
            UUID workshopId,
            UUID person,
            @Nullable ZoneId zone,
            @Nullable ReferenceA referenceA) {}
}
