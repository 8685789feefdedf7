package rosinedpeg.web.listen;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;

/** Typed, heard or said by a device: the bench asks whichever it is pointed to. */
@Component
public class PitchSources {

    private final Map<PitchFrom, PitchSource> sources = new EnumMap<>(PitchFrom.class);

    PitchSources(List<PitchSource> all) {
        all.forEach(source -> sources.put(source.from(), source));
        if (sources.size() != PitchFrom.values().length) {
            throw new IllegalStateException("sources of pitches are " + sources.keySet());
        }
    }

    /** {@return whether a source can be asked} */
    public boolean there(PitchFrom from) {
        return of(from).there();
    }

    /** {@return cents from its pitch; empty when there is none, with the reason in the result} */
    public OptionalDouble read(PitchFrom from, PitchQuestion question, BindingResult result) {
        return of(from).read(question, result);
    }

    private PitchSource of(PitchFrom from) {
        PitchSource source = sources.get(from);
        if (source == null) {
            throw new IllegalArgumentException("from is " + from);
        }
        return source;
    }
}
