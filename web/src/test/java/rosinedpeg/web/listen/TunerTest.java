package rosinedpeg.web.listen;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import rosinedpeg.core.strings.Position;
import tools.jackson.databind.json.JsonMapper;

/** A tuner that answers, one that answers nonsense, one that is not there; and the stand-in of the demonstration. */
class TunerTest {

    private static final UUID RUN = UUID.randomUUID();

    private static Tuner at(String address) {
        return new Tuner(
                address,
                new DefaultListableBeanFactory().getBeanProvider(StandInTuner.class),
                JsonMapper.builder().build());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "200 | {\"cents\": -12.3} | -12.3",
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
            Tuner tuner = at("http://127.0.0.1:" + server.getAddress().getPort() + "/reading");
            assertThat(tuner.there()).isTrue();
            OptionalDouble heard = tuner.listen(RUN, Position.II, -300, true);
            assertThat(heard).isEqualTo(cents == null ? OptionalDouble.empty() : OptionalDouble.of(cents));
            assertThat(asked.get()).startsWith("string=II&");
        } finally {
            server.stop(0);
        }
    }

    @Test
    void aTunerThatIsNotThereSaysNothing() {
        assertThat(at("http://127.0.0.1:1/reading").listen(RUN, Position.I, 0, false))
                .isEmpty();
        assertThat(at("").there()).isFalse();
        assertThat(at("").listen(RUN, Position.I, 0, false)).isEmpty();
    }

    /** The string in hand comes to pitch in a few turns; the others sink with it and stay there. */
    @Test
    void theStandInPlaysGoodHands() throws Exception {
        StandInTuner standIn = new StandInTuner();
        try {
            Tuner tuner = at(standIn.address().toString());
            assertThat(tuner.listen(RUN, Position.III, 0, false)).hasValue(0);
            double before = -1200;
            for (int turn = 0; turn < 6; turn++) {
                double now = tuner.listen(RUN, Position.II, -1200, true).orElseThrow();
                assertThat(now).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(0);
                before = now;
            }
            assertThat(before).isZero();
            double sunk = tuner.listen(RUN, Position.III, 0, false).orElseThrow();
            assertThat(sunk).isBetween(-20.0, -5.0);
            assertThat(tuner.listen(UUID.randomUUID(), Position.III, 0, false))
                    .as("another run")
                    .hasValue(0);
        } finally {
            standIn.destroy();
        }
    }
}
