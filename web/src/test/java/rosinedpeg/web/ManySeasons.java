package rosinedpeg.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes of the demonstration a large workshop that has been at work for years. */
final class ManySeasons {

    private ManySeasons() {}

    /**
     * Adds to what is there.
     *
     * @param instruments so many there will be
     * @param seasons so many runs are added to each
     */
    static void pass(JdbcClient database, TransactionTemplate transaction, int instruments, int seasons)
            throws IOException {
        String sql = new ClassPathResource("many-seasons.sql")
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .filter(line -> !line.startsWith("--"))
                .collect(Collectors.joining("\n"))
                .replace(":instruments", String.valueOf(instruments))
                .replace(":seasons", String.valueOf(seasons));
        transaction.executeWithoutResult(open -> {
            for (String statement : sql.split(";\\s*(\n|$)")) {
                database.sql(statement).update();
            }
        });
        database.sql("analyze").update();
    }
}
