package rosinedpeg.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;

class SessionIdsOnceTest {

    /** However often a page is written out before it ends: its session is read once, and its browser told nothing that it knows. */
    @Test
    void aSessionIsReadOncePerPage() throws Exception {
        MapSession known = new MapSession("0f1e");
        int[] reads = {0};
        DefaultCookieSerializer cookies = new DefaultCookieSerializer();
        cookies.setUseBase64Encoding(false);
        SessionRepositoryFilter<?> filter =
                new SessionRepositoryFilter<>(new SessionsToTheMinute<>(new MapSessionRepository(new HashMap<>()) {
                    @Override
                    public MapSession findById(String id) {
                        reads[0]++;
                        return known;
                    }
                }));
        filter.setHttpSessionIdResolver(new SessionIdsOnce(cookies));
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setCookies(new Cookie("SESSION", "0f1e"));
        MockHttpServletResponse response = new MockHttpServletResponse();
        filter.doFilter(request, response, (asked, answer) -> {
            ((HttpServletRequest) asked).getSession();
            answer.flushBuffer();
        });
        assertThat(reads[0]).isOne();
        assertThat(response.getCookies()).isEmpty();
    }
}
