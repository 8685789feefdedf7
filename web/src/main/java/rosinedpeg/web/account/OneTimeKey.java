package rosinedpeg.web.account;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * The key that opens the first workshop of an empty database. Whoever started the application has it: it is told by the command
 * that did, or stands in the log. It holds until the application ends or the workshop is open.
 */
@Component
class OneTimeKey implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(OneTimeKey.class);

    /** Nothing that is taken for something else when it is read off a screen. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 12;
    private static final int WRONG_TRIES = 10;

    private final Accounts accounts;
    private final boolean log;
    private final String key;
    private final Bucket wrong = Bucket.builder()
            .addLimit(Bandwidth.builder()
                    .capacity(WRONG_TRIES)
                    .refillIntervally(WRONG_TRIES, Duration.ofMinutes(5))
                    .build())
            .build();

    OneTimeKey(Accounts accounts, @Value("${peg.demo}") boolean demonstration, @Value("${peg.first-key}") String told) {
        this.accounts = accounts;
        this.log = !demonstration && told.isBlank();
        this.key = told.isBlank() ? made() : told;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (log && !accounts.anyWorkshop()) {
            LOG.warn("There is no workshop yet. The first page asks for this key: {}", key);
        }
    }

    /** {@return whether that is the key; never after too many wrong ones} */
    boolean is(String typed) {
        byte[] meant = simple(typed).getBytes(StandardCharsets.UTF_8);
        if (wrong.getAvailableTokens() == 0) {
            return false;
        }
        boolean right = MessageDigest.isEqual(meant, simple(key).getBytes(StandardCharsets.UTF_8));
        if (!right) {
            wrong.tryConsume(1);
        }
        return right;
    }

    private static String simple(String key) {
        return key.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
    }

    private static String made() {
        SecureRandom random = new SecureRandom();
        StringBuilder made = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            made.append(i > 0 && i % 4 == 0 ? "-" : "").append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return made.toString();
    }
}
