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
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A device that listens beside the bench. It answers {@code GET address?string=II} with {@code {"cents": -12.3}}, how far
 * the string that sounds is from its pitch. Its address and how long it is waited for are settings of the server; the
 * demonstration brings a stand-in.
 */
@Component
class DevicePitch implements PitchSource {

    private final Optional<URI> address;
    private final Duration patience;
    private final JsonMapper json;
    private final HttpClient client;

    DevicePitch(
            @Value("${peg.tuner:}") String address,
            @Value("${peg.tuner-patience}") Duration patience,
            ObjectProvider<PitchDevice> device,
            JsonMapper json) {
        this.address = address.isBlank()
                ? Optional.ofNullable(device.getIfAvailable()).map(PitchDevice::address)
                : Optional.of(URI.create(address));
        this.patience = patience;
        this.json = json;
        client = HttpClient.newBuilder().connectTimeout(patience).build();
    }

    @Override
    public PitchFrom from() {
        return PitchFrom.DEVICE;
    }

    @Override
    public boolean there() {
        return address.isPresent();
    }

    @Override
    public OptionalDouble read(PitchQuestion question, BindingResult result) {
        OptionalDouble heard = address.map(known -> ask(known, question)).orElse(OptionalDouble.empty());
        if (heard.isEmpty() || !question.range().contains(heard.getAsDouble())) {
            result.rejectValue(FIELD, "tuner.silent");
            return OptionalDouble.empty();
        }
        return heard;
    }

    /** {@return what it says; empty when it does not answer, or nothing that can be understood} */
    private OptionalDouble ask(URI known, PitchQuestion question) {
        PitchQuestion.Belief belief = question.belief().get();
        URI asked = URI.create(String.format(
                Locale.ROOT,
                "%s?string=%s&run=%s&believed=%.1f&raised=%s",
                known,
                question.string(),
                question.run(),
                belief.cents(),
                belief.raised()));
        try {
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(asked).timeout(patience).build(), HttpResponse.BodyHandlers.ofString());
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
