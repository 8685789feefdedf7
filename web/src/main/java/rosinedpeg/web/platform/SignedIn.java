package rosinedpeg.web.platform;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The account that is signed in, as it is on record at this request.
 *
 * @param accountId its id
 * @param personId the person it is of, who signs what is recorded
 * @param workshopId the workshop it belongs to
 * @param workshopName that workshop's name
 * @param zone that workshop's time zone
 * @param referenceAHz what its instruments are tuned to, unless they say otherwise; 392 to 466 Hz
 * @param signIn the name it signs in with
 * @param name the name it is shown by
 * @param role what it may do
 * @param active whether it may sign in
 * @param playersOwnOnly whether players of its workshop look after the instruments they play only
 * @param keepersSecondStep whether keepers of its workshop have to sign in with a second step
 * @param secondStepDue whether it has to set one up before anything else
 * @param leavesAt when its workshop goes for good; null when it stays
 */
public record SignedIn(
        UUID accountId,
        UUID personId,
        UUID workshopId,
        String workshopName,
        ZoneId zone,
        double referenceAHz,
        String signIn,
        String name,
        Role role,
        boolean active,
        boolean playersOwnOnly,
        boolean keepersSecondStep,
        boolean secondStepDue,
        @Nullable Instant leavesAt)
        implements UserDetails {

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role));
    }

    @Override
    public String getUsername() {
        return signIn;
    }

    /** {@return nothing: what a password hashes to is read where one is checked, and kept nowhere else} */
    @Override
    public @Nullable String getPassword() {
        return null;
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
