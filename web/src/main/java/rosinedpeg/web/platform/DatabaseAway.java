package rosinedpeg.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says that the database cannot be reached. It stands before everything that asks it, because sessions are read from the database too; what it
 * shows is made without either.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class DatabaseAway extends OncePerRequestFilter {

    /** Where it is told. */
    static final String NOTICE = "/away";

    private static final Logger log = LoggerFactory.getLogger(DatabaseAway.class);

    /** A connection failed, was ended from the other side, or found no room: the classes 08, 53 and 57 of the SQL states. */
    private static final Set<String> AWAY = Set.of("08", "53", "57");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failed) {
            if (response.isCommitted() || !isAway(failed)) {
                throw failed;
            }
            log.warn("The database cannot be reached: {}", failed.getMessage());
            response.reset();
            request.getRequestDispatcher(NOTICE).forward(request, response);
        }
    }

    private static boolean isAway(Throwable failed) {
        return Stream.iterate(failed, cause -> cause != null, Throwable::getCause)
                .anyMatch(cause -> cause instanceof SQLTransientConnectionException
                        || cause instanceof SQLException sql && isAway(sql.getSQLState()));
    }

    /** What the pool of connections says itself has no state at all. */
    private static boolean isAway(@Nullable String state) {
        return state == null || AWAY.stream().anyMatch(state::startsWith);
    }
}
