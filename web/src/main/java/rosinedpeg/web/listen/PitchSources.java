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

    private final Map<PitchSource.Kind, PitchSource> sources = new EnumMap<>(PitchSource.Kind.class);

    PitchSources(List<PitchSource> all) {
        all.forEach(source -> sources.put(source.kind(), source));
        if (sources.size() != PitchSource.Kind.values().length) {
            throw new IllegalStateException("sources of pitches are " + sources.keySet());
        }
    }

    /** {@return whether a source can be asked} */
    public boolean there(PitchSource.Kind kind) {
        return of(kind).there();
    }

    /** {@return cents from its pitch; empty when there is none, with the reason in the result} */
    public OptionalDouble read(PitchSource.Kind kind, PitchQuestion question, BindingResult result) {
        return of(kind).read(question, result);
    }

    private PitchSource of(PitchSource.Kind kind) {
        PitchSource source = sources.get(kind);
        if (source == null) {
            throw new IllegalArgumentException("kind is " + kind);
        }
        return source;
    }
}
