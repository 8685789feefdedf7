package rosinedpeg.web.instrument;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.validation.Errors;

/** Reads which instrument somebody means by what they typed. */
@Component
public class InstrumentEntry {

    private final InstrumentNames instrumentNames;

    InstrumentEntry(InstrumentNames instrumentNames) {
        this.instrumentNames = instrumentNames;
    }

    /**
     * Reads one instrument.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param typed its name, or how that begins
     * @return its id; empty when none is called so, or several are
     */
    public Optional<UUID> one(Errors errors, String field, String typed) {
        Set<UUID> meant = typed.isBlank() ? Set.of() : instrumentNames.meant(typed, 2);
        if (meant.size() != 1) {
            errors.rejectValue(field, meant.isEmpty() ? "ask.instrument.unknown" : "ask.instrument.several");
            return Optional.empty();
        }
        return meant.stream().findFirst();
    }
}
