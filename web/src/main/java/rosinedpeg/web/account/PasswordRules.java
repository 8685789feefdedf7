package rosinedpeg.web.account;

import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.validation.Errors;
import rosinedpeg.web.platform.Say;

/** What a password has to be: long enough, not one's name, and not among the first that somebody would try. */
final class PasswordRules {

    static final int SHORTEST = 10;
    static final int LONGEST = 100;

    /** What a hundred guesses in five minutes come to in a year. */
    private static final double FEWEST_GUESSES = 1e7;

    private static final double MILLION = 1e6;

    /** Of a longer one its beginning is looked at: the time it takes grows with the cube of the length. */
    private static final int LOOKED_AT = 40;

    /** A shorter name would be found in every other word. */
    private static final int SHORTEST_NAME = 3;

    private static final Zxcvbn GUESSER = new Zxcvbn();

    private PasswordRules() {}

    /**
     * Refuses a password that is none.
     *
     * @param errors where a refusal is noted
     * @param field the name of the field
     * @param password what was typed
     * @param names what its owner and the workshop are called, which others know
     */
    static void check(Errors errors, String field, String password, String... names) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            errors.rejectValue(field, "password.length", new Object[] {SHORTEST, LONGEST}, null);
            return;
        }
        List<String> known = Arrays.stream(names)
                .map(name -> name.strip().toLowerCase(Locale.ROOT))
                .toList();
        String small = password.toLowerCase(Locale.ROOT);
        if (known.stream().anyMatch(name -> name.length() >= SHORTEST_NAME && small.contains(name))) {
            errors.rejectValue(field, "password.name");
            return;
        }
        Strength strength = GUESSER.measure(password.substring(0, Math.min(LOOKED_AT, password.length())), known);
        if (strength.getGuesses() < FEWEST_GUESSES) {
            errors.rejectValue(
                    field,
                    "password.guessed",
                    new Object[] {
                        Say.number(Math.ceil(strength.getGuesses()), 0), Say.number(FEWEST_GUESSES / MILLION, 0)
                    },
                    null);
        }
        strength.wipe();
    }
}
