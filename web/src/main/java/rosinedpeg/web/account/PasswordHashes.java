package rosinedpeg.web.account;

import static java.nio.charset.StandardCharsets.UTF_8;
import static java.util.Objects.requireNonNull;

import java.security.GeneralSecurityException;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.AbstractValidatingPasswordEncoder;

/**
 * Hashes passwords of any length. bcrypt looks at 72 bytes and no further, which thirty signs of some scripts fill already, and ends at
 * a zero byte; here it is given what a password comes to by HMAC-SHA-256, in letters: 44 bytes whatever was typed. The key of the HMAC is
 * no secret. It sees to it that what bcrypt is given is no hash that stands in a list of somebody else's.
 *
 * <p>Source: OWASP Password Storage Cheat Sheet, "Pre-Hashing Passwords with bcrypt".
 */
class PasswordHashes extends AbstractValidatingPasswordEncoder {

    /** How the hashes of this kind are marked where they are kept. */
    static final String ID = "hmac-bcrypt";

    /** 2 to this power rounds: a tenth of a second on a core of 2026. It takes no memory to speak of, whoever asks. */
    static final int COST = 11;

    private static final SecretKeySpec KEY = new SecretKeySpec("rosined-peg password".getBytes(UTF_8), "HmacSHA256");

    private final BCryptPasswordEncoder bcrypt;

    /** Makes hashes of 2 to the power of {@code cost} rounds, 4 to 31. */
    PasswordHashes(int cost) {
        bcrypt = new BCryptPasswordEncoder(cost);
    }

    @Override
    protected String encodeNonNullPassword(String password) {
        return requireNonNull(bcrypt.encode(letters(password)));
    }

    @Override
    protected boolean matchesNonNull(String password, String hash) {
        return bcrypt.matches(letters(password), hash);
    }

    @Override
    protected boolean upgradeEncodingNonNull(String hash) {
        return bcrypt.upgradeEncoding(hash);
    }

    private static String letters(String password) {
        try {
            Mac mac = Mac.getInstance(KEY.getAlgorithm());
            mac.init(KEY);
            return Base64.getEncoder().encodeToString(mac.doFinal(password.getBytes(UTF_8)));
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
