package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.test.context.TestPropertySource;

/** While the database is away nothing that is pressed is lost, and everybody is told. It is waited for as long as in earnest. */
@TestPropertySource(properties = "spring.datasource.hikari.connection-timeout=1500")
class DatabaseAwayIT extends InBrowser {

    @Autowired
    HikariDataSource connections;

    private void goes() throws SQLException {
        String name = name();
        of("alter database " + name + " allow_connections false");
        of("select pg_terminate_backend(pid) from pg_stat_activity where datname = '" + name + "'");
    }

    @AfterEach
    void comes() throws Exception {
        of("alter database " + name() + " allow_connections true");
        for (int i = 0; !answers() && i < 600; i++) {
            Thread.sleep(100);
        }
        browser.expected(503);
    }

    private boolean answers() {
        try {
            return database.sql("select true").query(Boolean.class).single();
        } catch (CannotGetJdbcConnectionException notYet) {
            return false;
        }
    }

    private String name() {
        return connections.getJdbcUrl().replaceFirst(".*/", "");
    }

    private static void of(String sql) throws SQLException {
        try (Connection server = DriverManager.getConnection(
                        System.getenv("PEG_DATABASE_URL"),
                        System.getenv("PEG_DATABASE_USER"),
                        System.getenv("PEG_DATABASE_PASSWORD"));
                Statement statement = server.createStatement()) {
            statement.execute(sql);
        }
    }

    /** A press is kept on the device and sent once; a part of another page says that it was not made. */
    @Test
    void aPressIsSentWhenItIsBack() throws Exception {
        UUID run = openRun("Pit 5 viola");
        Page page = signedIn("bench", 1280);
        Page plan = signedIn("bench", 1280);
        plan.navigate("/instruments/" + instrument("Pit 2 violin") + "/plan");
        plan.waitForLoadState();
        page.navigate("/bench/" + run);
        Object next = page.locator("#ahead").evaluate("ahead => ahead.content.querySelector('h1').textContent");
        long before = events(run);
        goes();
        Browser.turn(page, "PageDown");
        assertThat(page.locator("#kept b")).hasText("1");
        assertThat(page.locator("#kept")).containsText("No connection to the server");
        assertThat(heading(page)).hasText(next.toString());
        plan.locator("[name=strings][value=III]").check();
        assertThat(plan.locator("#notice")).containsText("cannot be reached");
        assertThat(plan.locator("[name=strings][value=III]")).isChecked();

        plan.navigate("/drawer");
        assertThat(plan.locator("h1")).containsText("cannot be reached");
        comes();
        assertThat(page.locator("#kept")).isHidden();
        assertThat(heading(page)).hasText(next.toString());
        assertThat(events(run)).isEqualTo(before + 1);
        assertThat(plan.locator("h1")).not().containsText("reached");
    }

    /** Whoever asks in another way gets the status, signed in or not. */
    @Test
    void theStatusSaysSo() throws Exception {
        Device device = new Device(address()).signIn("bench");
        String token = Device.field(device.get("/drawer").body(), "_csrf");
        goes();
        assertThat(device.get("/").statusCode()).isEqualTo(503);
        assertThat(device.get("/actuator/health").statusCode()).isEqualTo(503);
        assertThat(new Device(address()).get("/actuator/health").statusCode()).isEqualTo(503);
        assertThat(device.post("/sign-out", Map.of("_csrf", token)).statusCode())
                .isEqualTo(503);
        assertThat(device.get("/assets/app.js").statusCode()).isEqualTo(200);
        comes();
        assertThat(device.get("/").statusCode()).isEqualTo(200);
    }
}
