package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import rosinedpeg.core.pitch.Pitch;

/** Tunings that are ordinary beside the usual ones of their families. Any other may be named string by string. */
public enum OtherTuning {
    VIOLIN_WITH_LOW_C(Family.VIOLIN, "E5", "A4", "D4", "G3", "C3"),
    VIOLA_WITH_E(Family.VIOLA, "E5", "A4", "D4", "G3", "C3"),
    /** One tone up. */
    BASS_SOLO(Family.BASS, "A2", "E2", "B1", "F♯1"),
    BASS_WITH_LOW_B(Family.BASS, "G2", "D2", "A1", "E1", "B0"),
    BASS_WITH_HIGH_C(Family.BASS, "C3", "G2", "D2", "A1", "E1");

    private final Family family;
    private final List<Pitch> openStrings;

    OtherTuning(Family family, String... openStrings) {
        this.family = family;
        this.openStrings = Stream.of(openStrings).map(Pitch::of).toList();
    }

    /** {@return those with so many strings} */
    public static List<OtherTuning> of(Family family, int strings) {
        requireNonNull(family, "family");
        return Arrays.stream(values())
                .filter(tuning -> tuning.family == family && tuning.openStrings.size() == strings)
                .toList();
    }

    /** {@return the family whose it is} */
    public Family family() {
        return family;
    }

    /** {@return its open strings, I first} */
    public List<Pitch> openStrings() {
        return openStrings;
    }
}
