package rosinedpeg.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.time.ZoneId;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import rosinedpeg.web.account.Accounts;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/**
 * The whole application with the demonstration, on a database of its own in the PostgreSQL that {@code ./peg test}
 * starts. One application serves all test classes.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT, properties = "peg.demo=true")
abstract class RunningApplication {

    static final String PASSWORD = "under-the-stage";

    @LocalServerPort
    int port;

    @Autowired
    Accounts accounts;

    @Autowired
    JdbcClient database;

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

    String address() {
        return "http://127.0.0.1:" + port;
    }

    SignedIn account(String signIn) {
        return accounts.loadUserByUsername(signIn);
    }

    /** {@return an account of a workshop that has nothing to do with the demonstration} */
    SignedIn stranger() {
        UUID workshop = UUID.randomUUID();
        String signIn = "stranger-" + workshop;
        accounts.openWorkshop(workshop, "Elsewhere", ZoneId.of("UTC"));
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

    UUID instrument(String name) {
        return database.sql("select id from instrument where name = ?")
                .param(name)
                .query(UUID.class)
                .single();
    }
}
