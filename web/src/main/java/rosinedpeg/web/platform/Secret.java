package rosinedpeg.web.platform;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/** Secrets in addresses. Whoever has one is let in, so that only what it hashes to is kept. */
public final class Secret {

    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Secret() {}

    /** {@return a new one, as it stands in an address} */
    public static String fresh() {
        byte[] secret = new byte[BYTES];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    /** {@return what it hashes to; nobody guesses {@value #BYTES} bytes, so that a slow hash would protect nothing more} */
    public static byte[] hash(String secret) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(secret.getBytes(UTF_8));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
