package rosinedpeg.web.account;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.distributed.ExpirationAfterWriteStrategy;
import io.github.bucket4j.distributed.jdbc.PrimaryKeyMapper;
import io.github.bucket4j.postgresql.Bucket4jPostgreSQL;
import io.github.bucket4j.postgresql.PostgreSQLSelectForUpdateBasedProxyManager;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javax.sql.DataSource;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import rosinedpeg.web.platform.Secret;

/**
 * How often a secret may still be guessed. The counts lie in the database, so that all instances of the application count together;
 * a count that is full again goes from there.
 */
@Component
class Guesses {

    static final Duration WINDOW = Duration.ofMinutes(5);

    private static final int REMOVED_AT_ONCE = 10_000;

    private final PostgreSQLSelectForUpdateBasedProxyManager<String> counts;

    Guesses(DataSource database) {
        this.counts = Bucket4jPostgreSQL.selectForUpdateBasedBuilder(database)
                .primaryKeyMapper(PrimaryKeyMapper.STRING)
                .table("guess")
                .idColumn("id")
                .stateColumn("state")
                .expiresAtColumn("expires_at")
                .expirationAfterWrite(ExpirationAfterWriteStrategy.basedOnTimeForRefillingBucketUpToMax(WINDOW))
                .build();
    }

    /** What is counted, and how many wrong guesses it may have in {@link #WINDOW}. */
    enum Of {
        /** All that come from one address: a school behind one of them guesses wrong on a Monday, too. */
        ADDRESS(50),
        /** One name, from one address. */
        NAME_FROM_ADDRESS(10),
        /** One name, from wherever: many addresses that try one name between them. */
        NAME(100),
        /** One name, from a device that it has signed in on before. */
        NAME_ON_DEVICE(10),
        /** The password of somebody who is signed in. */
        ACCOUNT(10),
        /** The code that follows the password: a million of them, of which three are right. */
        CODE(5);

        private final BucketConfiguration limit;

        Of(int guesses) {
            this.limit = BucketConfiguration.builder()
                    .addLimit(Bandwidth.builder()
                            .capacity(guesses)
                            .refillIntervally(guesses, WINDOW)
                            .build())
                    .build();
        }
    }

    /**
     * Takes one guess, before it is known whether it is right: of many at one moment no more are looked at than may be.
     *
     * @param of what is counted
     * @param whose whose it is; however long, no more of it is kept than it hashes to
     * @return whether it may be made
     */
    boolean take(Of of, String whose) {
        return counts.getProxy(key(of, whose), () -> of.limit).tryConsume(1);
    }

    /** Gives back a guess that was right. */
    void giveBack(Of of, String whose) {
        counts.getProxy(key(of, whose), () -> of.limit).addTokens(1);
    }

    /**
     * Looks at a guess, if there is one left.
     *
     * @param of what is counted
     * @param whose whose it is
     * @param right whether it is right
     * @param wrong what is to be said if not
     * @return what is to be said against it; empty where it was right, and is not counted
     */
    Optional<String> refusal(Of of, String whose, BooleanSupplier right, String wrong) {
        if (!take(of, whose)) {
            return Optional.of("password.wait");
        }
        if (!right.getAsBoolean()) {
            return Optional.of(wrong);
        }
        giveBack(of, whose);
        return Optional.empty();
    }

    private static String key(Of of, String whose) {
        return of + " " + HexFormat.of().formatHex(Secret.hash(whose));
    }

    @Scheduled(fixedDelay = 10, initialDelay = 10, timeUnit = TimeUnit.MINUTES)
    void removeExpired() {
        while (counts.removeExpired(REMOVED_AT_ONCE) == REMOVED_AT_ONCE) {
            // Until none is left.
        }
    }
}
