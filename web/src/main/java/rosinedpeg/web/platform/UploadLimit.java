package rosinedpeg.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says of a file that is far too large that it is. Left to itself the server would read no field of such a form, miss the one that
 * proves where it comes from, and say that somebody may not go there. Whole archives are let through at two addresses, and only
 * from those who are signed in and may look after instruments; recordings from anybody who is signed in.
 */
@Component
@Order(SessionRepositoryFilter.DEFAULT_ORDER + 1)
class UploadLimit extends OncePerRequestFilter {

    /** Where archives and passports are taken in. */
    private static final Set<String> FOR_ARCHIVES = Set.of("/workshop/archive", "/instruments/passport");

    /** Where recordings are heard. */
    private static final Pattern FOR_RECORDINGS = Pattern.compile("/settling/[^/]+/recording");

    private final DataSize most;
    private final DataSize mostOfArchives;
    private final DataSize mostOfRecordings;

    private final SecurityContextRepository contexts;

    UploadLimit(
            SecurityContextRepository contexts,
            @Value("${peg.upload.largest}") DataSize most,
            @Value("${peg.archive.largest}") DataSize mostOfArchives,
            @Value("${peg.recording.largest}") DataSize mostOfRecordings) {
        this.contexts = contexts;
        this.most = most;
        this.mostOfArchives = mostOfArchives;
        this.mostOfRecordings = mostOfRecordings;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean parts = String.valueOf(request.getContentType()).startsWith("multipart/");
        if (request.getContentLengthLong() > most(request).toBytes()) {
            response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
        } else if (parts && request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null) {
            response.sendError(HttpServletResponse.SC_LENGTH_REQUIRED);
        } else {
            chain.doFilter(request, response);
        }
    }

    private DataSize most(HttpServletRequest request) {
        String path = request.getServletPath() + (request.getPathInfo() == null ? "" : request.getPathInfo());
        if (FOR_ARCHIVES.contains(path)
                && person(request).filter(one -> one.role() != Role.PLAYER).isPresent()) {
            return mostOfArchives;
        }
        return FOR_RECORDINGS.matcher(path).matches() && person(request).isPresent() ? mostOfRecordings : most;
    }

    /** It stands before what signs a request in, and asks the same. */
    private Optional<SignedIn> person(HttpServletRequest request) {
        Authentication who = contexts.loadDeferredContext(request).get().getAuthentication();
        return who != null && who.getPrincipal() instanceof SignedIn person ? Optional.of(person) : Optional.empty();
    }
}
