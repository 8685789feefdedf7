package rosinedpeg.web.listen;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.util.HashMap;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.validation.BindingResult;
import org.springframework.validation.MapBindingResult;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.strings.Position;
import tools.jackson.databind.json.JsonMapper;

/** A device that answers, one that answers nonsense, one that is not there. */
class DevicePitchTest {

    private final BindingResult result = new MapBindingResult(new HashMap<>(), "form");

    private static DevicePitch at(String address) {
        return new DevicePitch(
                address,
                Duration.ofMinutes(1),
                new DefaultListableBeanFactory().getBeanProvider(PitchDevice.class),
                JsonMapper.builder().build());
    }

    private static PitchQuestion question() {
        return new PitchQuestion(
                UUID.randomUUID(),
                Position.II,
                "",
                BenchEvent.PITCH_READING,
                () -> new PitchQuestion.Belief(440, -300, true));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "200 | {\"cents\": -12.3} | -12.3",
                "200 | {\"cents\": 2000} | ",
                "200 | {\"cents\": \"flat\"} | ",
                "200 | {\"hertz\": 440} | ",
                "200 | flat | ",
                "500 | {\"cents\": -12.3} | "
            })
    void takesWhatItCanUnderstand(int status, String answer, Double cents) throws Exception {
        AtomicReference<String> asked = new AtomicReference<>();
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            asked.set(exchange.getRequestURI().getQuery());
            exchange.sendResponseHeaders(status, answer.length());
            exchange.getResponseBody().write(answer.getBytes());
            exchange.close();
        });
        server.start();
        try {
            DevicePitch device = at("http://127.0.0.1:" + server.getAddress().getPort() + "/reading");
            assertThat(device.there()).isTrue();
            assertThat(device.read(question(), result))
                    .isEqualTo(cents == null ? OptionalDouble.empty() : OptionalDouble.of(cents));
            assertThat(result.hasFieldErrors("cents")).isEqualTo(cents == null);
            assertThat(asked.get()).startsWith("string=II&");
        } finally {
            server.stop(0);
        }
    }

    @Test
    void oneThatIsNotThereSaysNothing() {
        assertThat(at("http://127.0.0.1:1/reading").read(question(), result)).isEmpty();
        assertThat(at("").there()).isFalse();
        assertThat(at("").read(question(), result)).isEmpty();
        assertThat(result.getFieldErrorCount("cents")).isEqualTo(2);
    }
}
