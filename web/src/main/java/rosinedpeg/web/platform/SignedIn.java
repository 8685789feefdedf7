package rosinedpeg.web.platform;

import java.io.Serializable;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;
import rosinedpeg.core.pitch.ReferenceA;

/**
 * The account that is signed in.
 *
 * @param accountId its id
 * @param workshopId the workshop it belongs to
 * @param workshopName that workshop's name
 * @param zone that workshop's time zone
 * @param referenceAHz what its instruments are tuned to, unless they say otherwise; 392 to 466 Hz
 * @param signIn the name it signs in with
 * @param name the name it is shown by
 * @param role what it may do
 * @param passwordHash its password, hashed
 * @param active whether it may sign in
 * @param leavesAt when its workshop goes for good; null when it stays
 */
public record SignedIn(
        UUID accountId,
        UUID workshopId,
        String workshopName,
        ZoneId zone,
        double referenceAHz,
        String signIn,
        String name,
        Role role,
        String passwordHash,
        boolean active,
        @Nullable Instant leavesAt)
        implements UserDetails, Serializable {

    private static final long serialVersionUID = 1;

    /** A session that was begun before workshops had a reference A is of one at 440 Hz. */
    public SignedIn {
        referenceAHz = referenceAHz == 0 ? ReferenceA.STANDARD.hertz() : referenceAHz;
    }

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role));
    }

    @Override
    public String getUsername() {
        return signIn;
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    @Override
    public String toString() {
        return signIn;
    }
}
