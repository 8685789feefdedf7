package rosinedpeg.web.account;

import static org.springframework.session.FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.SignedIn;

/**
 * Who a session belongs to. It holds the id of an account and since when, and nothing else of it: what the account may do is read at
 * every request, so that what a keeper changes holds at the next. However much it is used, a session ends some day.
 */
@Component
class AccountOfSession implements SecurityContextRepository {

    /** Sessions are found by it when an account is shut: the id of the account. */
    private static final String ACCOUNT = PRINCIPAL_NAME_INDEX_NAME;

    private static final String SINCE = "since";

    /** The account of somebody who has typed the password and not the code. */
    private static final String WAITING = "waiting";

    /** So long the code may be typed after the password. */
    private static final Duration WAITS = Duration.ofMinutes(10);

    private final Accounts accounts;
    private final Clock clock;
    private final Duration longest;

    AccountOfSession(Accounts accounts, Clock clock, @Value("${peg.session.longest}") Duration longest) {
        this.accounts = accounts;
        this.clock = clock;
        this.longest = longest;
    }

    @Override
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        SecurityContextImpl context = new SecurityContextImpl();
        account(holder.getRequest())
                .ifPresent(account -> context.setAuthentication(
                        UsernamePasswordAuthenticationToken.authenticated(account, null, account.getAuthorities())));
        return context;
    }

    private Optional<SignedIn> account(HttpServletRequest request) {
        return of(request, ACCOUNT, longest);
    }

    /** {@return who has typed the password and not the code yet} */
    Optional<SignedIn> waiting(HttpServletRequest request) {
        return of(request, WAITING, WAITS);
    }

    private Optional<SignedIn> of(HttpServletRequest request, String attribute, Duration holds) {
        HttpSession session = request.getSession(false);
        if (session == null
                || !(session.getAttribute(attribute) instanceof String id)
                || !(session.getAttribute(SINCE) instanceof Instant since)) {
            return Optional.empty();
        }
        if (clock.instant().isAfter(since.plus(holds))) {
            session.invalidate();
            return Optional.empty();
        }
        return accounts.find(UUID.fromString(id)).filter(SignedIn::active);
    }

    /** Who was waiting has typed the code. */
    void letIn(SignedIn account, HttpServletRequest request) {
        request.changeSessionId();
        begin(request.getSession(), ACCOUNT, account);
        request.getSession().removeAttribute(WAITING);
    }

    private void begin(HttpSession session, String attribute, SignedIn account) {
        session.setAttribute(attribute, account.accountId().toString());
        session.setAttribute(SINCE, clock.instant());
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        Authentication who = context.getAuthentication();
        if (who != null && who.getPrincipal() instanceof Credentials credentials) {
            HttpSession session = request.getSession();
            // Whoever was signed in here before is not any more.
            session.removeAttribute(ACCOUNT);
            begin(session, credentials.secondStep() ? WAITING : ACCOUNT, credentials.account());
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(ACCOUNT) != null;
    }
}
