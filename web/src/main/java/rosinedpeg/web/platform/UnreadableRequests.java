package rosinedpeg.web.platform;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;

/**
 * What does not even come as far as the application, as a head that is too long, gets a page of ours too. Before its session, its
 * language and its address are known there is little to say, so that the page is the shortest there is.
 */
@Component
class UnreadableRequests implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final Logger log = LoggerFactory.getLogger(UnreadableRequests.class);

    private final Fragments fragments;

    UnreadableRequests(Fragments fragments) {
        this.fragments = fragments;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(
                context -> context.getParent().getPipeline().addValve(new Answer(fragments)));
    }

    /** Stands nearer to the application than the valve of Tomcat's own page, which says nothing where this one has said something. */
    private static final class Answer extends ErrorReportValve {

        private final Fragments fragments;

        Answer(Fragments fragments) {
            this.fragments = fragments;
        }

        @Override
        protected void report(Request request, Response response, @Nullable Throwable fault) {
            boolean refused = response.getStatus() >= 400 && response.getContentWritten() == 0;
            if (!refused || !response.setErrorReported()) {
                return;
            }
            try {
                response.setContentType(MediaType.TEXT_HTML_VALUE);
                response.setCharacterEncoding(StandardCharsets.UTF_8.name());
                var page = response.getReporter();
                if (page != null) {
                    page.write(fragments.layOut("unreadable", Map.of("ours", response.getStatus() >= 500)));
                    response.finishResponse();
                }
            } catch (IOException gone) {
                log.debug("Whoever asked has gone", gone);
            }
        }
    }
}
