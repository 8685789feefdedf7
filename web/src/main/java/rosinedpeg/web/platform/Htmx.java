package rosinedpeg.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;

/** Whether a page or only a part of it is asked for, and how that is refused. */
public final class Htmx {

    private Htmx() {}

    /** Refuses what was pressed; the bench tells why beside it, and keeps it until somebody decides. */
    public static void refuse(HttpServletResponse response, String why) throws IOException {
        response.setStatus(HttpServletResponse.SC_CONFLICT);
        response.setContentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8).toString());
        response.getWriter().write(why);
    }

    /** {@return whether htmx asks, and wants only the part it swaps} */
    public static boolean asks(HttpServletRequest request) {
        return "true".equals(request.getHeader("HX-Request"));
    }
}
