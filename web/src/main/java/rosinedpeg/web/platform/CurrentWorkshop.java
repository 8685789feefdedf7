package rosinedpeg.web.platform;

import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * The workshop that database work is done for: that of the account signed in, or one named by the program itself, as
 * when the demonstration is loaded.
 */
public final class CurrentWorkshop {

    /** Owns nothing; in force when nobody is signed in. */
    static final UUID NONE = new UUID(0, 0);

    private static final ThreadLocal<UUID> NAMED = new ThreadLocal<>();

    private CurrentWorkshop() {}

    /** Does some work for a workshop. */
    public static <T> T in(UUID workshopId, Supplier<T> work) {
        UUID before = NAMED.get();
        NAMED.set(workshopId);
        try {
            return work.get();
        } finally {
            if (before == null) {
                NAMED.remove();
            } else {
                NAMED.set(before);
            }
        }
    }

    /** {@return the account that is signed in} */
    public static Optional<SignedIn> account() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
                ? Optional.of(signedIn)
                : Optional.empty();
    }

    /** {@return the name that what is recorded now is signed with} */
    public static String recordedBy() {
        return account().map(SignedIn::name).orElse("Rosined Peg");
    }

    /** {@return the time zone of the workshop, UTC when nobody is signed in} */
    public static ZoneId zone() {
        return account().map(SignedIn::zone).orElse(ZoneId.of("UTC"));
    }

    static UUID id() {
        UUID named = NAMED.get();
        return named != null ? named : account().map(SignedIn::workshopId).orElse(NONE);
    }
}
