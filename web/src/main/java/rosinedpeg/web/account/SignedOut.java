package rosinedpeg.web.account;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpMethod;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.util.matcher.RequestMatcher;
import rosinedpeg.web.platform.Htmx;

/**
 * What somebody finds who is not signed in, or not any more. A page leads to the sign-in and from there back to it; a part of a page
 * says so where it was asked for, and what stands on that page stays.
 */
final class SignedOut implements AuthenticationEntryPoint {

    /** Where a part of a page is told. */
    static final String NOTICE = "/signed-out";

    /** A longer address would be too large for the headers of an answer. */
    private static final int LONGEST_ADDRESS = 1000;

    private static final RequestMatcher WANTS_PAGE = request -> HttpMethod.GET.matches(request.getMethod())
            && !Htmx.asks(request)
            && String.valueOf(request.getHeader("Accept")).contains("text/html")
            && request.getRequestURI().length()
                            + String.valueOf(request.getQueryString()).length()
                    <= LONGEST_ADDRESS;

    /** {@return the memory of where somebody wanted to go; it lies with them, so that no stranger takes room here} */
    static RequestCache whereTo() {
        CookieRequestCache cookie = new CookieRequestCache();
        cookie.setRequestMatcher(WANTS_PAGE);
        return cookie;
    }

    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException unknown)
            throws IOException, ServletException {
        if (Htmx.asks(request)) {
            request.getRequestDispatcher(NOTICE).forward(request, response);
        } else {
            response.sendRedirect(HttpMethod.GET.matches(request.getMethod()) ? "/sign-in" : "/sign-in?ended");
        }
    }
}
