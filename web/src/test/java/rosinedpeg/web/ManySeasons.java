package rosinedpeg.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
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
        run(database, transaction, "many-seasons.sql", Map.of(":instruments", instruments, ":seasons", seasons));
    }

    /**
     * Adds other workshops to the one that is there.
     *
     * @param workshops how many
     * @param instruments how many of its instruments each of them has too
     */
    static void passElsewhere(JdbcClient database, TransactionTemplate transaction, int workshops, int instruments)
            throws IOException {
        run(database, transaction, "many-workshops.sql", Map.of(":workshops", workshops, ":each", instruments));
    }

    private static void run(
            JdbcClient database, TransactionTemplate transaction, String name, Map<String, Integer> sizes)
            throws IOException {
        String sql = new ClassPathResource(name)
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .filter(line -> !line.startsWith("--"))
                .collect(Collectors.joining("\n"));
        for (Map.Entry<String, Integer> size : sizes.entrySet()) {
            sql = sql.replace(size.getKey(), size.getValue().toString());
        }
        String[] statements = sql.split(";\\s*(\n|$)");
        transaction.executeWithoutResult(open -> {
            for (String statement : statements) {
                database.sql(statement).update();
            }
        });
        database.sql("vacuum analyze").update();
    }
}
