package rosinedpeg.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.postgresql.util.PSQLState;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import rosinedpeg.core.pitch.ReferenceA;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/**
 * The whole application with the demonstration, on a database of its own in the PostgreSQL that {@code ./peg test}
 * starts. Two of them run at once, each in a JVM of its own, and serve one test class after the other; each test finds the
 * demonstration as it begins, whatever the others did to it.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "peg.demo=true",
            "peg.tuner-patience=1m",
            // Tests look for themselves whether a place is out of date.
            "peg.rack.kept-up=7d",
            "peg.first-key=" + RunningApplication.FIRST_KEY,
            "server.forward-headers-strategy=native",
            "spring.test.mockmvc.print=none",
            "spring.datasource.hikari.connection-timeout=30000"
        })
abstract class RunningApplication {

    static final String FIRST_KEY = "SHIM-PEGS-BOWS";

    static final String PASSWORD = "under-the-stage";

    @LocalServerPort
    int port;

    @Autowired
    Accounts accounts;

    @Autowired
    JdbcClient database;

    @Autowired
    private DataSource dataSource;

    @DynamicPropertySource
    static void ownDatabase(DynamicPropertyRegistry registry) throws Exception {
        String server = System.getenv("PEG_DATABASE_URL");
        if (server == null) {
            throw new IllegalStateException("run the tests with ./peg test, which starts a database for them");
        }
        String name = "test_" + UUID.randomUUID().toString().replace("-", "");
        try (Connection connection = DriverManager.getConnection(
                server, System.getenv("PEG_DATABASE_USER"), System.getenv("PEG_DATABASE_PASSWORD"))) {
            connection.createStatement().execute("create database " + name);
        }
        registry.add("spring.datasource.url", () -> server.replaceFirst("/[^/]*$", "/" + name));
    }

    @BeforeEach
    void beginAgain() throws Exception {
        boolean kept = database.sql("select exists (select 1 from pg_namespace where nspname = 'beginning')")
                .query(Boolean.class)
                .single();
        List<String> tables = database.sql("select tablename from pg_tables where schemaname = 'public'"
                        + " and tablename <> 'flyway_schema_history'")
                .query(String.class)
                .list();
        try (Connection connection = dataSource.getConnection();
                Statement statement = connection.createStatement()) {
            if (!kept) {
                statement.execute("create schema beginning");
                for (String table : tables) {
                    statement.execute("create table beginning." + table + " as table public." + table);
                }
                return;
            }
            connection.setAutoCommit(false);
            for (int attempt = 1; !putBack(connection, statement, tables, attempt); attempt++) {
                connection.rollback();
            }
        }
    }

    /** {@return whether it could be; a request of the test before may still be writing} */
    private static boolean putBack(Connection connection, Statement statement, List<String> tables, int attempt)
            throws SQLException {
        try {
            // Neither foreign keys nor the trigger of the append-only ledger stand in the way.
            statement.execute("set local session_replication_role = replica");
            // Truncated tables would be new files, which every connection has to get to know again: seven times as
            // slow.
            for (String table : tables) {
                statement.execute("delete from public." + table);
                statement.execute("insert into public." + table + " table beginning." + table);
            }
            connection.commit();
            return true;
        } catch (SQLException deadlock) {
            if (!PSQLState.DEADLOCK_DETECTED.getState().equals(deadlock.getSQLState()) || attempt > 5) {
                throw deadlock;
            }
            return false;
        }
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    SignedIn account(String signIn) {
        return accounts.find(signIn).orElseThrow();
    }

    /** {@return what is kept of a password} */
    String hash(String signIn) {
        return database.sql("select password_hash from account where sign_in = ?")
                .param(signIn)
                .query(String.class)
                .single();
    }

    /** {@return an account of a workshop that has nothing to do with the demonstration} */
    SignedIn stranger() {
        UUID workshop = UUID.randomUUID();
        String signIn = "stranger-" + workshop;
        accounts.openWorkshop(workshop, "Elsewhere", ZoneId.of("UTC"), ReferenceA.STANDARD);
        accounts.add(workshop, signIn, "Stranger", Role.KEEPER, PASSWORD);
        return account(signIn);
    }

    /** {@return the open run of an instrument} */
    UUID openRun(String instrument) {
        return database.sql("select id from run where outcome = 'OPEN' and instrument_id = ?")
                .param(instrument(instrument))
                .query(UUID.class)
                .single();
    }

    /** {@return how many events a run has} */
    long events(UUID run) {
        return database.sql("select count(*) from run_event where run_id = ?")
                .param(run)
                .query(Long.class)
                .single();
    }

    /** {@return an instrument of the demonstration} */
    UUID instrument(String name) {
        return database.sql("select id from instrument where name = ? and workshop_id = ?")
                .params(name, account("keeper").workshopId())
                .query(UUID.class)
                .single();
    }
}
