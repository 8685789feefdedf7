package rosinedpeg.web.demonstration;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.strings.Position;
import tools.jackson.databind.json.JsonMapper;

class StandInTunerTest {

    private static final UUID RUN = UUID.randomUUID();

    private final JsonMapper json = JsonMapper.builder().build();

    private double ask(StandInTuner tuner, UUID run, Position string, double believed, boolean raised)
            throws Exception {
        URI question = URI.create(
                "%s?string=%s&run=%s&believed=%s&raised=%s".formatted(tuner.address(), string, run, believed, raised));
        return json.readTree(HttpClient.newHttpClient()
                        .send(HttpRequest.newBuilder(question).build(), HttpResponse.BodyHandlers.ofString())
                        .body())
                .path("cents")
                .asDouble();
    }

    /** The string in hand comes to pitch in a few turns; the others sink with it and stay there. */
    @Test
    void playsGoodHands() throws Exception {
        StandInTuner tuner = new StandInTuner();
        try {
            assertThat(ask(tuner, RUN, Position.III, 0, false)).isZero();
            double before = -1200;
            for (int turn = 0; turn < 6; turn++) {
                double now = ask(tuner, RUN, Position.II, -1200, true);
                assertThat(now).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(0);
                before = now;
            }
            assertThat(before).isZero();
            assertThat(ask(tuner, RUN, Position.III, 0, false)).isBetween(-20.0, -5.0);
            assertThat(ask(tuner, UUID.randomUUID(), Position.III, 0, false))
                    .as("another run")
                    .isZero();
        } finally {
            tuner.destroy();
        }
    }
}
