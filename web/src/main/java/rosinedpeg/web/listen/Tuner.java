package rosinedpeg.web.listen;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import rosinedpeg.core.strings.Position;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A tuner that listens beside the bench. It answers {@code GET address?string=II} with {@code {"cents": -12.3}}, how far
 * the string that sounds is from its pitch. Its address is a setting of the server; the demonstration brings a stand-in.
 */
@Component
public class Tuner {

    private static final Duration PATIENCE = Duration.ofSeconds(2);

    private final Optional<URI> address;
    private final JsonMapper json;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();

    Tuner(@Value("${peg.tuner:}") String address, ObjectProvider<StandInTuner> standIn, JsonMapper json) {
        this.address = address.isBlank()
                ? Optional.ofNullable(standIn.getIfAvailable()).map(StandInTuner::address)
                : Optional.of(URI.create(address));
        this.json = json;
    }

    /** {@return whether there is a tuner} */
    public boolean there() {
        return address.isPresent();
    }

    /**
     * Listens to a string. What is believed goes with the question for the stand-in's sake; a device that hears needs
     * only the string.
     *
     * @param run the run at the bench
     * @param string the string that is plucked
     * @param believedCents what the bench takes it to sound, from its pitch
     * @param raised whether it is being brought up
     * @return cents from its pitch; empty when the tuner does not answer, or nothing that can be understood
     */
    public OptionalDouble listen(UUID run, Position string, double believedCents, boolean raised) {
        if (address.isEmpty()) {
            return OptionalDouble.empty();
        }
        URI question = URI.create(String.format(
                Locale.ROOT,
                "%s?string=%s&run=%s&believed=%.1f&raised=%s",
                address.get(),
                string,
                run,
                believedCents,
                raised));
        try {
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(question).timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
            JsonNode cents =
                    answer.statusCode() == 200 ? json.readTree(answer.body()).path("cents") : null;
            return cents != null && cents.isNumber() ? OptionalDouble.of(cents.asDouble()) : OptionalDouble.empty();
        } catch (IOException | JacksonException silent) {
            return OptionalDouble.empty();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return OptionalDouble.empty();
        }
    }
}
