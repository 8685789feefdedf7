package rosinedpeg.core.setup;

import static java.util.Objects.requireNonNull;
import static rosinedpeg.core.figure.Finite.requireFinite;

import java.util.List;
import java.util.Map;

/**
 * A size of a family, with the vibrating length that is usual for it.
 *
 * @param family the family
 * @param code as makers write it: a fraction, or a viola's body length in inches
 * @param vibratingLengthMm the usual vibrating length in mm
 */
public record Size(Family family, String code, double vibratingLengthMm) {

    private static final Map<Family, List<Size>> SIZES = Map.of(
            Family.VIOLIN,
                    List.of(
                            violin("4/4", 328),
                            violin("7/8", 317),
                            violin("3/4", 307),
                            violin("1/2", 285),
                            violin("1/4", 262),
                            violin("1/8", 237),
                            violin("1/10", 220),
                            violin("1/16", 207)),
            Family.VIOLA,
                    List.of(viola("16", 370), viola("15", 350), viola("15½", 360), viola("16½", 382), viola("17", 392)),
            Family.CELLO,
                    List.of(
                            cello("4/4", 692),
                            cello("7/8", 660),
                            cello("3/4", 625),
                            cello("1/2", 575),
                            cello("1/4", 520),
                            cello("1/8", 450)),
            Family.BASS, List.of(bass("3/4", 1055), bass("4/4", 1110), bass("1/2", 965), bass("1/4", 900)));

    /** Checks that nothing is missing. */
    public Size {
        requireFinite("vibratingLengthMm", vibratingLengthMm);
        requireNonNull(family, "family");
        requireNonNull(code, "code");
    }

    /** {@return the sizes of a family, the one its default measurements are given for first} */
    public static List<Size> of(Family family) {
        return requireNonNull(SIZES.get(requireNonNull(family, "family")));
    }

    /**
     * One size of a family.
     *
     * @param family the family
     * @param code as in {@link #code()}
     * @return the size
     * @throws IllegalArgumentException when the family has no such size
     */
    public static Size of(Family family, String code) {
        return of(family).stream()
                .filter(size -> size.code.equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("code is \"" + code + "\"; it must be one of "
                        + of(family).stream().map(Size::code).toList()));
    }

    /** A size whose vibrating length is less than this share of the full size's is a child's. */
    private static final double CHILDS = 0.94;

    /** {@return whether it is made for a child: ¾ and smaller, on the bass ½ and smaller} */
    public boolean forChildren() {
        return scale() < CHILDS;
    }

    /** {@return this size's vibrating length over that of the family's first size} */
    double scale() {
        return vibratingLengthMm / of(family).get(0).vibratingLengthMm;
    }

    private static Size violin(String code, double vibratingLengthMm) {
        return new Size(Family.VIOLIN, code, vibratingLengthMm);
    }

    private static Size viola(String code, double vibratingLengthMm) {
        return new Size(Family.VIOLA, code, vibratingLengthMm);
    }

    private static Size cello(String code, double vibratingLengthMm) {
        return new Size(Family.CELLO, code, vibratingLengthMm);
    }

    private static Size bass(String code, double vibratingLengthMm) {
        return new Size(Family.BASS, code, vibratingLengthMm);
    }
}
