package rosinedpeg.web.account;

import java.util.Collection;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;
import rosinedpeg.web.platform.SignedIn;

/**
 * An account with what its password is checked against: only while somebody signs in.
 *
 * @param account the account
 * @param passwordHash its password, hashed
 * @param secondStep whether a code is asked for after it
 */
record Credentials(SignedIn account, String passwordHash, boolean secondStep) implements UserDetails {

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return account.getAuthorities();
    }

    @Override
    public String getUsername() {
        return account.signIn();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public boolean isEnabled() {
        return account.active();
    }

    @Override
    public String toString() {
        return account.signIn();
    }
}
