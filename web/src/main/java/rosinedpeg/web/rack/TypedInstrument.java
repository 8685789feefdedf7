package rosinedpeg.web.rack;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.validation.Errors;
import rosinedpeg.core.figure.Range;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.pitch.Pitch;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.core.setup.Size;
import rosinedpeg.core.setup.Tuning;
import rosinedpeg.web.platform.Entry;

/** Reads what an instrument is from what was typed, the same for a new one and for one that is put right. */
final class TypedInstrument {

    /** The longest name that is kept. */
    static final int LONGEST_NAME = 60;

    private static final Range HOURS_PER_WEEK = new Range(0, 60, Unit.HOUR_PER_WEEK);

    private TypedInstrument() {}

    static Optional<String> name(Errors errors, String typed) {
        return Entry.text(errors, "name", typed, LONGEST_NAME);
    }

    static Optional<ReferenceA> referenceA(Errors errors, String typed) {
        OptionalDouble hertz = Entry.number(errors, "referenceA", typed, ReferenceA.RANGE);
        return hertz.isPresent() ? Optional.of(new ReferenceA(hertz.getAsDouble())) : Optional.empty();
    }

    static OptionalDouble hoursPerWeek(Errors errors, String typed) {
        return Entry.number(errors, "hoursPerWeek", typed, HOURS_PER_WEEK);
    }

    /** {@return the pitches that were typed, from I down; the family's own when nothing was} */
    static List<Pitch> tuning(Errors errors, String typed, Size size) {
        if (typed.isBlank()) {
            return size.family().openStrings();
        }
        List<Pitch> pitches = new ArrayList<>();
        try {
            for (String spelling : typed.strip().split("[\\s,]+")) {
                pitches.add(Pitch.of(spelling));
            }
        } catch (IllegalArgumentException notAPitch) {
            errors.rejectValue("tuning", "instrument.tuning.spelling");
            return List.of();
        }
        Tuning.fault(size.family(), pitches)
                .ifPresent(fault -> errors.rejectValue(
                        "tuning",
                        fault.kind() == Tuning.Kind.FAR_FROM_USUAL
                                ? "instrument.tuning.far"
                                : "instrument.tuning.order",
                        new Object[] {fault.position(), Tuning.MOST_SEMITONES_OFF},
                        null));
        return pitches;
    }
}
