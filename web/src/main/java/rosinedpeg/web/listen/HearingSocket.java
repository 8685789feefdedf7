package rosinedpeg.web.listen;

import static java.util.Objects.requireNonNull;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.BinaryMessage;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.AbstractWebSocketHandler;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;
import rosinedpeg.core.hearing.Ear;
import rosinedpeg.web.platform.NotFoundException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes the sound of a device's microphone, and tells it what is heard. Pieces of sound come as binary messages; the only words it takes
 * are {@value #WISHED} and {@value #NOT_WISHED}. Whatever else comes ends it, with a reason.
 */
@Component
class HearingSocket extends AbstractWebSocketHandler {

    static final String WISHED = "WISHED";
    static final String NOT_WISHED = "NOT_WISHED";

    private static final Logger log = LoggerFactory.getLogger(HearingSocket.class);

    private static final String DEVICE = "device";
    private static final Duration PATIENCE = Duration.ofSeconds(2);
    private static final int WAITING_BYTES = 64 * 1024;
    /** Whether somebody is still signed in is looked up so often. */
    private static final long SIGNED_IN_NANOS = Duration.ofSeconds(5).toNanos();

    private final Map<String, Listened> kinds;
    private final Ears ears;
    private final HearingWords words;
    private final SessionRepository<?> sessions;
    private final JsonMapper json;

    HearingSocket(List<Listened> kinds, Ears ears, HearingWords words, SessionRepository<?> sessions, JsonMapper json) {
        this.kinds = kinds.stream().collect(Collectors.toMap(Listened::kind, Function.identity()));
        this.ears = ears;
        this.words = words;
        this.sessions = sessions;
        this.json = json;
    }

    /** A device, its socket, and what it listens to. */
    private static final class Device implements Ears.Listening {

        private final WebSocketSession socket;
        private final HearingSession session;
        private final Optional<UUID> alone;
        private long signedInNanos = System.nanoTime();

        Device(WebSocketSession socket, HearingSession session, Optional<UUID> alone) {
            this.socket = socket;
            this.session = session;
            this.alone = alone;
        }

        @Override
        public HearingSession session() {
            return session;
        }

        @Override
        public void close(WhyClosed why) {
            HearingSocket.close(socket, why);
        }
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession raw) {
        WebSocketSession socket =
                new ConcurrentWebSocketSessionDecorator(raw, (int) PATIENCE.toMillis(), WAITING_BYTES);
        as(raw, () -> {
            try {
                begin(raw, socket);
            } catch (RefusedSoundException refused) {
                close(socket, refused.why());
            } catch (NotFoundException | IllegalArgumentException unknown) {
                close(socket, WhyClosed.NOT_UNDERSTOOD);
            }
        });
    }

    private void begin(WebSocketSession raw, WebSocketSession socket) {
        String[] parts = requireNonNull(raw.getUri()).getPath().split("/");
        Map<String, String> asked = HearingConfiguration.asked(raw);
        int rate = Integer.parseInt(asked.getOrDefault("rate", ""));
        Ear.SAMPLES_PER_SECOND.require("rate", rate);
        Listened kind = kinds.get(parts[parts.length - 2]);
        if (kind == null) {
            throw new NotFoundException("something to listen to, " + parts[parts.length - 2]);
        }
        Listener listener = kind.begin(parts[parts.length - 1], asked);
        HearingSession session =
                new HearingSession(listener, rate, Boolean.parseBoolean(asked.get("wished")), words, System.nanoTime());
        Device device = new Device(socket, session, listener.alone());
        ears.begin(device, listener.alone(), Boolean.parseBoolean(asked.get("instead")));
        raw.getAttributes().put(DEVICE, device);
    }

    @Override
    protected void handleBinaryMessage(WebSocketSession raw, BinaryMessage message) {
        Device device = (Device) raw.getAttributes().get(DEVICE);
        if (device == null || !device.socket.isOpen()) {
            return;
        }
        as(raw, () -> {
            try {
                long now = System.nanoTime();
                if (now - device.signedInNanos > SIGNED_IN_NANOS) {
                    device.signedInNanos = now;
                    requireSignedIn(raw);
                }
                for (Telling telling : device.session.take(message.getPayload(), now)) {
                    device.socket.sendMessage(new TextMessage(json.writeValueAsString(telling)));
                }
            } catch (RefusedSoundException refused) {
                device.close(refused.why());
            } catch (IOException gone) {
                log.debug("A device that listened is gone", gone);
                device.close(WhyClosed.SILENT_DEVICE);
            } catch (RuntimeException failed) {
                log.error("What was heard could not be taken", failed);
                device.close(WhyClosed.FAILED);
            }
        });
    }

    private void requireSignedIn(WebSocketSession raw) {
        Object id = raw.getAttributes().get(HttpSessionHandshakeInterceptor.HTTP_SESSION_ID_ATTR_NAME);
        if (id == null || sessions.findById(id.toString()) == null) {
            throw new RefusedSoundException(WhyClosed.SIGNED_OUT);
        }
    }

    @Override
    protected void handleTextMessage(WebSocketSession raw, TextMessage message) {
        Device device = (Device) raw.getAttributes().get(DEVICE);
        switch (message.getPayload()) {
            case WISHED, NOT_WISHED -> {
                if (device != null) {
                    device.session.wish(message.getPayload().equals(WISHED));
                }
            }
            default -> close(raw, WhyClosed.NOT_UNDERSTOOD);
        }
    }

    @Override
    public void handleTransportError(WebSocketSession raw, Throwable cut) {
        log.debug("A device that listened was cut off", cut);
        close(raw, WhyClosed.SILENT_DEVICE);
    }

    @Override
    public void afterConnectionClosed(WebSocketSession raw, CloseStatus status) {
        Device device = (Device) raw.getAttributes().remove(DEVICE);
        if (device != null) {
            ears.end(device, device.alone);
        }
    }

    private static void close(WebSocketSession socket, WhyClosed why) {
        try {
            socket.close(why.status());
        } catch (IOException closed) {
            log.debug("It was closed already", closed);
        }
    }

    /** Whatever is done is done by the person who has opened the socket. */
    private static void as(WebSocketSession socket, Runnable work) {
        SecurityContextHolder.setContext(
                new SecurityContextImpl((Authentication) requireNonNull(socket.getPrincipal())));
        try {
            work.run();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }
}
