package rosinedpeg.web.drawer;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.validation.Errors;
import rosinedpeg.web.instrument.InstrumentNames;

/** Reads in the case of which instrument a string lies. */
final class CaseOf {

    /** So many have to be found to know that a name means several. */
    static final int TELL_APART = 2;

    private CaseOf() {}

    /** {@return the instrument that is named; empty where none is, or a refusal was noted at the field {@code caseOf}} */
    static Optional<UUID> read(Errors errors, String name, InstrumentNames instrumentNames) {
        return read(errors, name, one -> instrumentNames.meant(one, TELL_APART));
    }

    /** {@return the same, where it is known already what some names mean} */
    static Optional<UUID> read(Errors errors, String name, Function<String, Set<UUID>> meantBy) {
        if (name.isBlank()) {
            return Optional.empty();
        }
        Set<UUID> meant = meantBy.apply(name);
        if (meant.size() != 1) {
            errors.rejectValue(
                    "caseOf",
                    meant.isEmpty() ? "drawer.caseOf.unknown" : "drawer.caseOf.several",
                    new Object[] {name},
                    null);
            return Optional.empty();
        }
        return meant.stream().findFirst();
    }
}
