package rosinedpeg.web.listen;

import static java.util.Objects.requireNonNull;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.security.core.Authentication;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.HandshakeInterceptor;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;
import rosinedpeg.web.platform.SignedIn;

/**
 * Where sound comes in. Spring lets only pages of the same origin open a socket; who opens it has to be signed in, and what it
 * listens to has to be of their workshop.
 */
@Configuration
@EnableWebSocket
class HearingConfiguration implements WebSocketConfigurer {

    private static final Duration SILENT_AFTER = Duration.ofSeconds(15);
    private static final int WORDS_BYTES = 64;
    private static final String ASKED = "asked";

    private final HearingSocket socket;

    HearingConfiguration(HearingSocket socket) {
        this.socket = socket;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        HttpSessionHandshakeInterceptor known = new HttpSessionHandshakeInterceptor();
        known.setCopyAllAttributes(false);
        registry.addHandler(socket, "/hear/*/*").addInterceptors(new OnlySignedIn(), known);
    }

    /** {@return what the address of a socket said} */
    @SuppressWarnings("unchecked")
    static Map<String, String> asked(WebSocketSession socket) {
        return (Map<String, String>) requireNonNull(socket.getAttributes().get(ASKED));
    }

    @Bean
    static ServletServerContainerFactoryBean socketLimits() {
        ServletServerContainerFactoryBean limits = new ServletServerContainerFactoryBean();
        limits.setMaxBinaryMessageBufferSize(HearingSession.MOST_SAMPLES * Float.BYTES);
        limits.setMaxTextMessageBufferSize(WORDS_BYTES);
        limits.setMaxSessionIdleTimeout(SILENT_AFTER.toMillis());
        return limits;
    }

    /** Everybody who is signed in may listen; nobody else gets as far as a socket. */
    private static final class OnlySignedIn implements HandshakeInterceptor {

        @Override
        public boolean beforeHandshake(
                ServerHttpRequest request,
                ServerHttpResponse response,
                WebSocketHandler handler,
                Map<String, Object> attributes) {
            boolean known = request.getPrincipal() instanceof Authentication person
                    && person.getPrincipal() instanceof SignedIn account
                    && !account.secondStepDue();
            if (!known) {
                response.setStatusCode(HttpStatus.FORBIDDEN);
            }
            Map<String, String> asked = new HashMap<>();
            ((ServletServerHttpRequest) request)
                    .getServletRequest()
                    .getParameterMap()
                    .forEach((name, values) -> asked.put(name, values[0]));
            attributes.put(ASKED, asked);
            return known;
        }

        @Override
        public void afterHandshake(
                ServerHttpRequest request,
                ServerHttpResponse response,
                WebSocketHandler handler,
                @Nullable Exception failed) {
            // Nothing is left to do.
        }
    }
}
