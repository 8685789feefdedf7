package rosinedpeg.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Locale;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Slows down guessing: a name may fail ten times in five minutes, an address fifty times. Only failures count, so that
 * nobody who knows the password is kept out by their own signing in.
 */
@Component
class SignInLimiter extends OncePerRequestFilter implements AuthenticationFailureHandler {

    private static final int FAILURES_PER_NAME = 10;
    private static final int FAILURES_PER_ADDRESS = 50;
    /** A few hundred bytes each. An address that has failed too often is turned away before any name of its gets one. */
    private static final int MOST_BUCKETS = 50_000;

    private static final Duration WINDOW = Duration.ofMinutes(5);

    private final Cache<String, Bucket> buckets = Caffeine.newBuilder()
            .expireAfterAccess(WINDOW.multipliedBy(2))
            .maximumSize(MOST_BUCKETS)
            .build();

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !("POST".equals(request.getMethod()) && "/sign-in".equals(request.getServletPath()));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (byAddress(request).getAvailableTokens() == 0 || byName(request).getAvailableTokens() == 0) {
            response.sendRedirect("/sign-in?wait");
            return;
        }
        chain.doFilter(request, response);
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException exception)
            throws IOException {
        byAddress(request).tryConsume(1);
        byName(request).tryConsume(1);
        response.sendRedirect("/sign-in?wrong");
    }

    /** However long a name is, of it no more is kept than it hashes to. */
    private Bucket byName(HttpServletRequest request) {
        String name = String.valueOf(request.getParameter("signIn")).strip().toLowerCase(Locale.ROOT);
        return bucket("name " + HexFormat.of().formatHex(Secret.hash(name)), FAILURES_PER_NAME);
    }

    private Bucket byAddress(HttpServletRequest request) {
        return bucket("address " + request.getRemoteAddr(), FAILURES_PER_ADDRESS);
    }

    private Bucket bucket(String key, int failures) {
        return buckets.get(
                key,
                unused -> Bucket.builder()
                        .addLimit(Bandwidth.builder()
                                .capacity(failures)
                                .refillIntervally(failures, WINDOW)
                                .build())
                        .build());
    }

    /** The filter works inside the security chain only. */
    @Configuration
    static class Registration {
        @Bean
        FilterRegistrationBean<SignInLimiter> signInLimiterRegistration(SignInLimiter limiter) {
            FilterRegistrationBean<SignInLimiter> registration = new FilterRegistrationBean<>(limiter);
            registration.setEnabled(false);
            return registration;
        }
    }
}
