package rosinedpeg.web.drawer;

import java.util.Locale;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * What a string in the drawer is marked with: five letters or digits and a sixth that follows from them, so that one wrong key, or two
 * neighbours swapped, never means another string. Letters that are read as digits are not among them (Crockford's base 32).
 *
 * @param value the six
 */
record Code(String value) {

    private static final String DIGITS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int CHOSEN = 5;

    /**
     * Checks it.
     *
     * @throws IllegalArgumentException when its last letter does not follow from the others
     */
    Code {
        if (!holds(value)) {
            throw new IllegalArgumentException(value + " is no code");
        }
    }

    /** {@return one that is drawn by lot} */
    static Code drawn(RandomGenerator lot) {
        StringBuilder chosen = new StringBuilder();
        for (int i = 0; i < CHOSEN; i++) {
            chosen.append(DIGITS.charAt(lot.nextInt(DIGITS.length())));
        }
        return new Code(chosen.toString() + check(chosen.toString()));
    }

    /**
     * Reads what somebody typed or scanned: a code in any case, with spaces or a dash in it, or the address that ends in one.
     *
     * @param typed that
     * @return the code; empty where it is none
     */
    static Optional<Code> read(String typed) {
        String last = typed.strip().replaceFirst("^.*/", "");
        String code = last.toUpperCase(Locale.ROOT)
                .replaceAll("[\\s\\-–]", "")
                .replace('O', '0')
                .replace('I', '1')
                .replace('L', '1');
        return holds(code) ? Optional.of(new Code(code)) : Optional.empty();
    }

    private static boolean holds(String code) {
        return code.length() == CHOSEN + 1
                && code.chars().allMatch(one -> DIGITS.indexOf(one) >= 0)
                && code.charAt(CHOSEN) == check(code.substring(0, CHOSEN));
    }

    /** Odd weights tell every wrong letter; no two neighbours have weights that are alike. */
    private static char check(String chosen) {
        int sum = 0;
        for (int i = 0; i < CHOSEN; i++) {
            sum += DIGITS.indexOf(chosen.charAt(i)) * (2 * i + 1);
        }
        return DIGITS.charAt(sum % DIGITS.length());
    }

    /** {@return it as it is written on a label: two groups of three} */
    String written() {
        return value.substring(0, 3) + " " + value.substring(3);
    }
}
