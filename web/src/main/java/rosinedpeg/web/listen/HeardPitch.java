package rosinedpeg.web.listen;

import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import rosinedpeg.core.pitch.Cents;

/** What a microphone at the bench has let the server hear in the last moments. */
@Component
class HeardPitch implements PitchSource {

    private final Ears ears;

    HeardPitch(Ears ears) {
        this.ears = ears;
    }

    @Override
    public PitchFrom from() {
        return PitchFrom.HEARD;
    }

    @Override
    public boolean there() {
        return true;
    }

    @Override
    public OptionalDouble read(PitchQuestion question, BindingResult result) {
        Optional<Cents> heard = ears.lately(question.run())
                .filter(one -> one.string() == question.string())
                .map(one -> Cents.between(question.belief().get().hertz(), one.hertz()))
                .filter(cents -> question.range().contains(cents.value()));
        if (heard.isEmpty()) {
            result.rejectValue(FIELD, "listen.notHeard", new Object[] {question.string()}, null);
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(heard.get().value());
    }
}
