package rosinedpeg.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says of a file that is far too large that it is. Left to itself the server would read no field of such a form, miss the one that
 * proves where it comes from, and say that somebody may not go there.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class UploadLimit extends OncePerRequestFilter {

    private final DataSize most;

    UploadLimit(@Value("${spring.servlet.multipart.max-request-size}") DataSize most) {
        this.most = most;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > most.toBytes()) {
            response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
        } else {
            chain.doFilter(request, response);
        }
    }
}
