package rosinedpeg.web.listen;

import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import rosinedpeg.web.platform.Entry;

/** What somebody has read from a tuner of their own, and typed. */
@Component
class TypedPitch implements PitchSource {

    @Override
    public PitchFrom from() {
        return PitchFrom.TYPED;
    }

    @Override
    public boolean there() {
        return true;
    }

    @Override
    public OptionalDouble read(PitchQuestion question, BindingResult result) {
        return Entry.number(result, FIELD, question.typed(), question.range());
    }
}
