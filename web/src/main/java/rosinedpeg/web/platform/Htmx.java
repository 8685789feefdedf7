package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;

/** Whether a page or only a part of it is asked for. */
public final class Htmx {

    private Htmx() {}

    /** {@return whether htmx asks, and wants only the part it swaps} */
    public static boolean asks(HttpServletRequest request) {
        return "true".equals(request.getHeader("HX-Request"));
    }
}
