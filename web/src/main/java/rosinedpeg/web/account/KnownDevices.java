package rosinedpeg.web.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.WebUtils;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;

/**
 * Devices on which somebody has signed in before. Whoever tries a name from all over the world keeps others of that name out for a
 * while, but not such a device, which has a count of its own. It spares nobody the password.
 *
 * <p>Source: OWASP, "Slow Down Online Guessing Attacks with Device Cookies".
 */
@Service
class KnownDevices {

    private static final String COOKIE = "peg-device";
    private static final Duration KNOWN = Duration.ofDays(180);
    private static final int MOST = 20;

    private final JdbcClient database;
    private final Clock clock;

    KnownDevices(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** {@return what the device of a request is known by, if the sign-in name, as it is kept, has signed in on it before} */
    Optional<String> knows(HttpServletRequest request, String signIn) {
        Cookie cookie = WebUtils.getCookie(request, COOKIE);
        return Optional.ofNullable(cookie)
                .map(Cookie::getValue)
                .filter(secret -> database.sql(
                                "select exists (select 1 from known_device d join account a on a.id = d.account_id"
                                        + " where d.hash = ? and a.sign_in = ? and d.ends_at > ?)")
                        .params(Secret.hash(secret), signIn, now())
                        .query(Boolean.class)
                        .single());
    }

    /** Remembers a device; of those of an account the ones that signed in last. */
    @Transactional
    void remember(SignedIn account, HttpServletRequest request, HttpServletResponse response) {
        String secret = Secret.fresh();
        database.sql("insert into known_device (hash, workshop_id, account_id, ends_at) values (?, ?, ?, ?)")
                .params(Secret.hash(secret), account.workshopId(), account.accountId(), now().plus(KNOWN))
                .update();
        Optional.ofNullable(WebUtils.getCookie(request, COOKIE))
                .ifPresent(before -> database.sql("delete from known_device where hash = ? and account_id = ?")
                        .params(Secret.hash(before.getValue()), account.accountId())
                        .update());
        database.sql(
                        "delete from known_device where account_id = :account and hash not in"
                                + " (select hash from known_device where account_id = :account order by ends_at desc limit :most)")
                .param("account", account.accountId())
                .param("most", MOST)
                .update();
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, secret)
                        .maxAge(KNOWN)
                        .path("/sign-in")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .build()
                        .toString());
    }

    @Transactional
    @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.DAYS)
    void removeEnded() {
        database.sql("delete from known_device where ends_at <= ?").param(now()).update();
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock.withZone(ZoneOffset.UTC));
    }
}
