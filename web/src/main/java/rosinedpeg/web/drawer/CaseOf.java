package rosinedpeg.web.drawer;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.validation.Errors;
import rosinedpeg.web.instrument.Instruments;

/** Reads where a string lies: a place as the workshop calls it, or the case of an instrument. */
final class CaseOf {

    private CaseOf() {}

    /** {@return the instrument that is named; empty where none is, or a refusal was noted at the field {@code caseOf}} */
    static Optional<UUID> read(Errors errors, String name, Instruments instruments) {
        if (name.isBlank()) {
            return Optional.empty();
        }
        Set<UUID> meant = instruments.meant(name, 2);
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

    /** Notes at the field {@code place} when that is too long. */
    static void place(Errors errors, String place) {
        if (place.strip().length() > Laid.LONGEST_PLACE) {
            errors.rejectValue("place", "entry.text.most", new Object[] {Laid.LONGEST_PLACE}, null);
        }
    }
}
