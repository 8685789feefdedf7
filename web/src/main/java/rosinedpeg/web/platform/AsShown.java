package rosinedpeg.web.platform;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.DigestUtils;

/**
 * Changes what has no version of its own, because it stands in several rows or in one that other forms change too: the hours of a
 * week, what lies in a case. Its form carries a mark of how it stood when it was shown, and what was typed is recorded only where
 * it stands so still. What has a version of its own is changed by that.
 */
@Component
public class AsShown {

    private final JdbcClient database;

    AsShown(JdbcClient database) {
        this.database = database;
    }

    /**
     * A mark of how something stands, the same for all that is written the same.
     *
     * @param what all of it, in an order that is always the same
     * @return 32 hexadecimal digits
     */
    public static String mark(Object... what) {
        return DigestUtils.md5DigestAsHex(Arrays.toString(what).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Changes something, one at a time. Nothing is done where it stands already as it is to, as after a press that came twice.
     *
     * @param of whose it is; who changes anything of the same waits
     * @param shown the {@linkplain #mark mark} of how it was shown
     * @param now asks for the mark of how it stands
     * @param wanted the mark of how it is to stand
     * @param change what to do
     * @throws OptimisticLockingFailureException when somebody else has changed it since it was shown
     */
    @Transactional
    public void change(UUID of, String shown, Supplier<String> now, String wanted, Runnable change) {
        database.sql("select pg_advisory_xact_lock(?)")
                .param(of.getLeastSignificantBits())
                .query((row, number) -> number)
                .list();
        String stands = now.get();
        if (stands.equals(wanted)) {
            return;
        }
        if (!stands.equals(shown)) {
            throw new OptimisticLockingFailureException("what is said of " + of + " has been changed meanwhile");
        }
        change.run();
    }
}
