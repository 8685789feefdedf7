package rosinedpeg.web.demonstration;

import static java.util.Objects.requireNonNull;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.stereotype.Component;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.listen.PitchDevice;

/**
 * Stands in for a tuner in the demonstration, with a small HTTP feed of its own on loopback. It plays somebody with good hands:
 * each time the string in hand is listened to it has come most of the rest of its way, and the others have sunk a little
 * with it, as the body gave.
 */
@Component
@ConditionalOnBooleanProperty("peg.demo")
class StandInTuner implements PitchDevice, DisposableBean {

    /** What is left of the way to pitch after each turn of the peg. */
    private static final double LEFT_OF_THE_WAY = 0.3;
    /** Below this the last of the way is done at once. */
    private static final double NEAR_CENTS = 12;
    /** How far the others sink for each cent that one rises. */
    private static final double SINK = 0.02;
    /** A string that is only just on sounds about so far below. */
    private static final double SLACK_CENTS = -700;

    private final HttpServer server;
    private final Map<UUID, Map<Position, Double>> sounding = new ConcurrentHashMap<>();

    StandInTuner() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/reading", this::answer);
        server.start();
    }

    @Override
    public URI address() {
        return URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/reading");
    }

    private void answer(HttpExchange exchange) throws IOException {
        Map<String, String> asked = Arrays.stream(
                        exchange.getRequestURI().getQuery().split("&"))
                .map(pair -> pair.split("=", 2))
                .collect(Collectors.toMap(pair -> pair[0], pair -> pair[1]));
        double cents = hear(
                UUID.fromString(asked.get("run")),
                Position.valueOf(requireNonNull(asked.get("string"))),
                Double.parseDouble(asked.get("believed")),
                Boolean.parseBoolean(asked.get("raised")));
        byte[] body = String.format(Locale.ROOT, "{\"cents\": %.1f}", cents).getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(200, body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    private double hear(UUID run, Position string, double believedCents, boolean raised) {
        Map<Position, Double> strings = sounding.computeIfAbsent(run, none -> new EnumMap<>(Position.class));
        synchronized (strings) {
            double before = strings.getOrDefault(string, Math.max(SLACK_CENTS, believedCents));
            double now = !raised ? before : Math.abs(before) < NEAR_CENTS ? 0 : before * LEFT_OF_THE_WAY;
            strings.put(string, now);
            if (now > before) {
                strings.replaceAll((other, cents) -> other == string ? cents : cents - SINK * (now - before));
            }
            return now;
        }
    }

    @Override
    public void destroy() {
        server.stop(0);
    }
}
