package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.HttpSessionIdResolver;

/**
 * Tells of each request once which session it brings. Spring's filter asks again when the page has been sent, and would read the session
 * a second time, for nothing but its id.
 */
class SessionIdsOnce implements HttpSessionIdResolver {

    private static final String ASKED = SessionIdsOnce.class.getName();

    private final CookieHttpSessionIdResolver cookies = new CookieHttpSessionIdResolver();

    SessionIdsOnce(CookieSerializer serializer) {
        cookies.setCookieSerializer(serializer);
    }

    @Override
    public List<String> resolveSessionIds(HttpServletRequest request) {
        if (request.getAttribute(ASKED) != null) {
            return List.of();
        }
        request.setAttribute(ASKED, true);
        return cookies.resolveSessionIds(request);
    }

    @Override
    public void setSessionId(HttpServletRequest request, HttpServletResponse response, String id) {
        // Asked a second time, the filter takes the session for a new one.
        if (!cookies.resolveSessionIds(request).contains(id)) {
            cookies.setSessionId(request, response, id);
        }
    }

    @Override
    public void expireSession(HttpServletRequest request, HttpServletResponse response) {
        cookies.expireSession(request, response);
    }
}
