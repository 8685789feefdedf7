package rosinedpeg.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is made without knowing who asks needs no session, and so answers without the database as well. Spring asks for the session
 * with every request, also for a style; here nobody fetches it.
 */
@Component
@Order(SessionRepositoryFilter.DEFAULT_ORDER - 1)
class WithoutSession extends OncePerRequestFilter {

    /** What is made so. */
    static final String[] PATHS = Stream.concat(
                    Stream.of(DatabaseAway.NOTICE, "/actuator/health", "/assets/**", "/webjars/**"),
                    Arrays.stream(DeviceController.PATHS))
            .toArray(String[]::new);

    private static final List<PathPatternRequestMatcher> MATCHERS =
            Arrays.stream(PATHS).map(PathPatternRequestMatcher::pathPattern).toList();

    /** With it the filter that fetches sessions takes a request for one it has seen. */
    private static final String SEEN = SessionRepositoryFilter.class.getName() + ".FILTERED";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (MATCHERS.stream().anyMatch(matcher -> matcher.matches(request))) {
            request.setAttribute(SEEN, true);
        }
        chain.doFilter(request, response);
    }
}
