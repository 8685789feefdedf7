package rosinedpeg.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Leaves no address all of the server. A request holds a thread until all of it has come, however slowly; an address that has many
 * under way is told to wait at once, and everybody else finds a thread. It keeps no more than what is under way.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class AtOnce extends OncePerRequestFilter {

    /** A whole school behind one address has fewer, each of them for some hundredths of a second. */
    static final int MOST = 50;

    private static final String SECONDS_TO_WAIT = "2";

    private final Map<String, Integer> underWay = new ConcurrentHashMap<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String address = request.getRemoteAddr();
        try {
            if (underWay.merge(address, 1, Integer::sum) > MOST) {
                response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS_TO_WAIT);
                response.setHeader(HttpHeaders.CONNECTION, "close");
                response.sendError(HttpStatus.TOO_MANY_REQUESTS.value());
            } else {
                chain.doFilter(request, response);
            }
        } finally {
            underWay.computeIfPresent(address, (unused, many) -> many == 1 ? null : many - 1);
        }
    }
}
