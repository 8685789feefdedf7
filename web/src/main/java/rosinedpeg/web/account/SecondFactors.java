package rosinedpeg.web.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.UriComponentsBuilder;
import rosinedpeg.web.platform.Secret;
import rosinedpeg.web.platform.SignedIn;

/**
 * The second step of signing in: a code of six figures that somebody's telephone makes of a secret and the time. Who has lost the
 * telephone has codes on paper, each of which lets them in once.
 *
 * <p>Source: RFC 6238, with what telephones take for granted: half minutes, six figures, HMAC-SHA-1.
 */
@Service
@Transactional(readOnly = true)
class SecondFactors {

    static final int RECOVERY_CODES = 10;

    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_BYTES = 10;
    /** Letters are read and typed in fours; 20 bytes are 32 of them, and 10 are 16. */
    private static final int FOUR = 4;
    /** A clock that is half a minute off is no reason to be kept out. */
    private static final int STEPS_OFF = 1;

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final TimeBasedOneTimePasswordGenerator CODES = new TimeBasedOneTimePasswordGenerator();

    private final JdbcClient database;
    private final Clock clock;

    SecondFactors(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /**
     * A secret that is to be taken over by a telephone.
     *
     * @param letters the secret in letters, to be typed
     * @param address the same as an address that telephones read
     */
    record Offered(String letters, String address) {}

    private record Kept(
            byte[] secret, boolean confirmed, @Nullable Long lastTimeStep) {}

    /** {@return whether an account has a second step} */
    boolean asked(UUID accountId) {
        return kept(accountId).filter(Kept::confirmed).isPresent();
    }

    /** {@return how many recovery codes an account has left} */
    int recoveryCodesLeft(UUID accountId) {
        return database.sql("select count(*) from recovery_code where account_id = ?")
                .param(accountId)
                .query(Integer.class)
                .single();
    }

    /** Makes a secret that holds from the first code on that was made of it; one that holds already stays. */
    @Transactional
    void offer(SignedIn account) {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        database.sql("insert into second_factor (account_id, workshop_id, secret) values (?, ?, ?)"
                        + " on conflict (account_id) do update set secret = excluded.secret"
                        + " where second_factor.confirmed_at is null")
                .params(account.accountId(), account.workshopId(), secret)
                .update();
    }

    /** {@return the secret that waits for its first code; empty where none does} */
    Optional<Offered> offered(SignedIn account) {
        return kept(account.accountId()).filter(kept -> !kept.confirmed()).map(kept -> {
            String letters = new Base32().encodeAsString(kept.secret());
            String address = UriComponentsBuilder.fromUriString(
                            "otpauth://totp/{workshop}:{name}?secret={secret}&issuer={workshop}")
                    .encode()
                    .buildAndExpand(account.workshopName(), account.signIn(), letters, account.workshopName())
                    .toUriString();
            return new Offered(inFours(letters, " "), address);
        });
    }

    /**
     * Begins to ask for a second step.
     *
     * @param account whose
     * @param code the first code of the telephone
     * @return the recovery codes, which nobody can read again; empty where the code was wrong
     */
    @Transactional
    Optional<List<String>> confirm(SignedIn account, String code) {
        Optional<Kept> waits = kept(account.accountId()).filter(kept -> !kept.confirmed());
        if (waits.isEmpty() || !takeCode(account.accountId(), waits.get(), code)) {
            return Optional.empty();
        }
        database.sql("update second_factor set confirmed_at = ? where account_id = ?")
                .params(OffsetDateTime.now(clock.withZone(ZoneOffset.UTC)), account.accountId())
                .update();
        List<String> codes = Stream.generate(SecondFactors::recoveryCode)
                .limit(RECOVERY_CODES)
                .toList();
        for (String one : codes) {
            database.sql("insert into recovery_code (account_id, workshop_id, hash) values (?, ?, ?)")
                    .params(account.accountId(), account.workshopId(), Secret.hash(simple(one)))
                    .update();
        }
        RightsLog.tell("Its second step is asked for from now on", account.accountId());
        return Optional.of(codes);
    }

    /** {@return whether a code is right: of the telephone and not used yet, or on paper, which is then used up} */
    @Transactional
    boolean take(UUID accountId, String code) {
        Optional<Kept> kept = kept(accountId).filter(Kept::confirmed);
        return kept.isPresent()
                && (takeCode(accountId, kept.get(), code)
                        || database.sql("delete from recovery_code where account_id = ? and hash = ?")
                                        .params(accountId, Secret.hash(simple(code)))
                                        .update()
                                > 0);
    }

    private boolean takeCode(UUID accountId, Kept kept, String code) {
        OptionalLong step = step(kept, simple(code));
        // Two at one moment: the second finds the step taken.
        return step.isPresent()
                && database.sql("update second_factor set last_time_step = :step where account_id = :account"
                                        + " and coalesce(last_time_step, -1) < :step")
                                .param("step", step.getAsLong())
                                .param("account", accountId)
                                .update()
                        == 1;
    }

    private OptionalLong step(Kept kept, String code) {
        long length = CODES.getTimeStep().toSeconds();
        long now = clock.instant().getEpochSecond() / length;
        return LongStream.rangeClosed(now - STEPS_OFF, now + STEPS_OFF)
                .filter(step -> kept.lastTimeStep() == null || step > kept.lastTimeStep())
                .filter(step -> code(kept.secret(), Instant.ofEpochSecond(step * length))
                        .equals(code))
                .findFirst();
    }

    private static String code(byte[] secret, Instant moment) {
        try {
            return CODES.generateOneTimePasswordString(
                    new SecretKeySpec(secret, CODES.getAlgorithm()), moment, Locale.ROOT);
        } catch (InvalidKeyException everySecretIsAKey) {
            throw new IllegalStateException(everySecretIsAKey);
        }
    }

    /** Asks an account for no second step any more. */
    @Transactional
    void remove(UUID accountId) {
        database.sql("delete from recovery_code where account_id = ?")
                .param(accountId)
                .update();
        int asked = database.sql("delete from second_factor where account_id = ?")
                .param(accountId)
                .update();
        if (asked > 0) {
            RightsLog.tell("Its second step is left off", accountId);
        }
    }

    private Optional<Kept> kept(UUID accountId) {
        return database.sql("select secret, confirmed_at is not null as confirmed, last_time_step from second_factor"
                        + " where account_id = ?")
                .param(accountId)
                .query((row, number) -> new Kept(
                        row.getBytes("secret"),
                        row.getBoolean("confirmed"),
                        row.getObject("last_time_step", Long.class)))
                .optional();
    }

    /** Sixteen letters and figures of which none is taken for another. */
    private static String recoveryCode() {
        byte[] bytes = new byte[RECOVERY_BYTES];
        RANDOM.nextBytes(bytes);
        return inFours(new Base32().encodeAsString(bytes).toLowerCase(Locale.ROOT), "-");
    }

    private static String inFours(String letters, String between) {
        return IntStream.range(0, letters.length() / FOUR)
                .mapToObj(part -> letters.substring(part * FOUR, part * FOUR + FOUR))
                .collect(Collectors.joining(between));
    }

    /** However it is typed. */
    private static String simple(String code) {
        return code.replaceAll("[\\s-]", "").toLowerCase(Locale.ROOT);
    }
}
