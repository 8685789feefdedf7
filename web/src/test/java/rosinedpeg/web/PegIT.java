package rosinedpeg.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** {@code ./peg demo} as it is started by hand: killed in the middle of a run, and stopped. */
class PegIT {

    private static final Path ROOT = Path.of("").toAbsolutePath().getParent();

    /** The application is laid out in it once, for the demonstration and a workshop of one's own alike. */
    private static Path folder;

    private final List<Process> started = new ArrayList<>();
    private int port;

    @BeforeAll
    static void chooseAPlace() throws IOException {
        folder = Files.createTempDirectory(Path.of("/var/tmp"), "rosined-peg-it");
        folder.toFile().setExecutable(true, false);
        folder.toFile().setReadable(true, false);
    }

    @BeforeEach
    void choosePorts() throws IOException {
        port = freePort();
    }

    @AfterEach
    void stop() throws Exception {
        peg("stop").waitFor();
        for (Process process : started) {
            process.destroyForcibly().waitFor();
        }
        remove(folder.resolve("postgres"));
    }

    @AfterAll
    static void cleanUp() throws Exception {
        remove(folder);
    }

    private static void remove(Path path) throws Exception {
        new ProcessBuilder("rm", "-rf", path.toString()).start().waitFor();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private Process peg(String command, String... arguments) throws IOException {
        List<String> line = new ArrayList<>(List.of(ROOT.resolve("peg").toString(), command));
        line.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(line).redirectErrorStream(true);
        builder.environment().put("PEG_VAR", folder.toString());
        builder.environment().put("PEG_HOME", folder.toString());
        builder.environment().put("PEG_PORT", Integer.toString(port));
        builder.environment().put("PEG_DATABASE_PORT", Integer.toString(databasePort()));
        builder.environment().put("PEG_NO_BUILD", "1");
        builder.environment().remove("PEG_DATABASE_URL");
        builder.redirectOutput(saidBy(command).toFile());
        Process process = builder.start();
        started.add(process);
        return process;
    }

    /** Apart from the logs that the commands themselves keep in the folder. */
    private static Path saidBy(String command) {
        return folder.resolve("said-by-" + command + ".log");
    }

    private int databasePort() {
        return port > 60_000 ? port - 1000 : port + 1000;
    }

    private Process demo() throws Exception {
        return opened("demo");
    }

    private Process opened(String command, String... arguments) throws Exception {
        Process opened = peg(command, arguments);
        Path log = saidBy(command);
        for (int i = 0; i < 2400; i++) {
            String said = Files.readString(log);
            if (said.contains("Ctrl-C ends it")) {
                return opened;
            }
            if (!opened.isAlive()) {
                throw new AssertionError(command + " ended: " + said);
            }
            Thread.sleep(100);
        }
        throw new AssertionError(command + " does not open: " + Files.readString(log));
    }

    private static void kill(long pid, String signal) throws Exception {
        new ProcessBuilder("kill", "-" + signal, Long.toString(pid)).start().waitFor();
    }

    private long pidIn(String file) throws IOException {
        return Long.parseLong(Files.readAllLines(folder.resolve(file)).get(0).strip());
    }

    private static boolean alive(long pid) {
        return ProcessHandle.of(pid).map(ProcessHandle::isAlive).orElse(false);
    }

    private static void assertEnds(long pid) throws Exception {
        for (int i = 0; i < 200 && alive(pid); i++) {
            Thread.sleep(100);
        }
        assertThat(alive(pid)).as("process " + pid).isFalse();
    }

    @Test
    void aRunSurvivesKillingTheApplicationAndTheDatabase() throws Exception {
        Process demo = demo();
        assertThat(Files.readString(saidBy("demo"))).contains("in all:", "under-the-stage");
        try (Browser browser = new Browser()) {
            Page page = browser.open("http://127.0.0.1:" + port, 1280, 800);
            Browser.signIn(page, "bench");
            page.locator(".rack-row", new Page.LocatorOptions().setHasText("Pit 5 viola"))
                    .locator("a.button")
                    .click();
            assertThat(page.locator("h1")).containsText("Tip of II");
            Browser.turn(page, "Space");
            assertThat(page.locator("h1")).containsText("first turns of II");
            String run = page.url();
            String standing = standing(page);

            // Without the application there is nothing to serve, so the command ends and takes the database with it.
            long database = pidIn("postgres/postmaster.pid");
            kill(pidIn("application.pid"), "KILL");
            assertThat(demo.waitFor(120, TimeUnit.SECONDS)).isTrue();
            assertEnds(database);
            demo = demo();
            page.navigate(run);
            assertThat(standing(page)).as("after kill -9 of the application").isEqualTo(standing);

            // The database is started again underneath the application, which goes on.
            kill(pidIn("postgres/postmaster.pid"), "KILL");
            for (int i = 0; i < 300; i++) {
                var answer = page.request().get(run);
                if (answer.status() == 200 && answer.text().contains("first turns of II")) {
                    break;
                }
                Thread.sleep(100);
            }
            page.navigate(run);
            assertThat(standing(page)).as("after kill -9 of the database").isEqualTo(standing);
            Browser.turn(page, "Space");
            assertThat(page.locator("h1")).containsText("Hang the tail end of II");
        }

        // A terminal that is killed: nobody gets to clean up, and still nothing is left running.
        long application = pidIn("application.pid");
        long database = pidIn("postgres/postmaster.pid");
        demo.destroyForcibly().waitFor();
        assertEnds(application);
        assertEnds(database);
    }

    /** What is on the page, but for the time that has passed and the tokens of its forms. */
    private static String standing(Page page) {
        return page.locator("h1").textContent()
                + page.locator(".bench-load").innerText()
                + page.locator(".bench-track").innerHTML()
                + page.locator(".bench-drawing").innerHTML();
    }

    @Test
    void saysWhatIsMissingOrTaken() throws Exception {
        assertThat(said(false, "serve")).contains("PEG_DATABASE_URL");
        try (ServerSocket taken = new ServerSocket(port, 1, java.net.InetAddress.getLoopbackAddress())) {
            assertThat(said(false, "demo")).contains("port " + taken.getLocalPort() + " is taken", "PEG_PORT");
        }
    }

    /** From nothing to the end of a first change of one string, by keyboard alone, counting every key that types no text. */
    @Test
    void aWorkshopOfOnesOwnBeginsWithNothing() throws Exception {
        opened("open");
        Matcher key = KEY.matcher(Files.readString(saidBy("open")));
        assertThat(key.find()).isTrue();
        try (Browser browser = new Browser()) {
            Page page = browser.open("http://127.0.0.1:" + port, 1280, 800);
            Keyboard keyboard = new Keyboard(page);
            page.navigate("/");
            assertThat(page).hasURL(Pattern.compile(".*/begin"));
            Browser.assertAccessible(page);
            keyboard.types("AAAA-BBBB-CCCC").presses("Enter");
            assertThat(page.locator("main")).containsText("This is not the key");
            page.locator("#key").fill("");
            keyboard.types(key.group(), "Under the roof", "", "", "", "Me", "me", "rosin-and-pegs", "rosin-and-pegs")
                    .presses("Enter");
            page.waitForURL(url -> url.endsWith("begun"));
            keyboard.types("me", "rosin-and-pegs").presses("Enter");
            assertThat(page.locator("h1")).containsText("An empty rack");
            keyboard.goes("Add an instrument");
            keyboard.types("My viola", "Viola 16", "", "");
            assertThat(page.locator("#drawn")).containsText("vibrating length 370 mm, default");
            keyboard.presses("Enter");
            assertThat(page.locator("h1")).hasText("My viola");
            keyboard.goes("Plan a change");
            assertThat(page.locator("main")).containsText("default");
            for (String other : List.of("I", "II", "III")) {
                page.locator("[name=strings][value=" + other + "]").focus();
                keyboard.presses("Space");
            }
            assertThat(page.locator("#planned")).containsText("usual synthetic string");
            Locator begin = page.getByText("Take it to the bench");
            begin.focus();
            keyboard.presses("Enter");
            page.waitForURL(url -> url.contains("/bench/"));
            while (page.locator("button[data-key=next]").count() > 0) {
                String step = page.locator("h1").textContent();
                Browser.turn(page, "Space");
                keyboard.pressed++;
                assertThat(page.locator("h1")).not().hasText(step);
            }
            assertThat(keyboard.pressed).isLessThan(60);
            assertThat(browser.complaints()).isEmpty();
            page.navigate("/settling");
            assertThat(page.locator("main")).containsText("My viola");

            // Nobody else could let a keeper in who is alone and has forgotten the password.
            assertThat(said(false, "link", "nobody")).contains("me (Me, Under the roof)");
            Matcher link = Pattern.compile("http\\S+").matcher(said(true, "link"));
            assertThat(link.find()).isTrue();
            assertThat(Files.readString(folder.resolve("link.log")))
                    .contains("A link for a new password was made")
                    .doesNotContain(link.group().replaceFirst(".*/", ""));
            page.navigate(link.group());
            keyboard.types("strings-and-pegs", "strings-and-pegs").presses("Enter");
            page.waitForURL(url -> url.endsWith("joined"));
            keyboard.types("me", "strings-and-pegs").presses("Enter");
            assertThat(page.locator("main")).containsText("My viola");
        }

        String file = folder.resolve("all.backup").toString();
        assertThat(said(true, "backup", file)).contains("Everything is in");
        assertThat(said(false, "backup", file)).contains("is there already");
        assertThat(said(false, "restore", file)).contains("is open");
        long events = ofOwnDatabase("select count(*) from run_event");
        ofOwnDatabase("truncate instrument cascade");
        assertThat(ofOwnDatabase("select count(*) from run_event")).isZero();
        long application = pidIn("application.pid");
        long database = pidIn("postgres/postmaster.pid");
        said(true, "stop");
        assertEnds(application);
        assertEnds(database);
        Files.writeString(folder.resolve("no.backup"), "PGDMP and nothing more");
        assertThat(said(false, "restore", folder.resolve("no.backup").toString()))
                .contains("is no backup");
        assertThat(said(false, "restore", file)).contains("there is a workshop");
        assertThat(said(true, "restore", file, "--over")).contains("is kept in the database peg_until_");
        Path nightly = Files.createDirectory(folder.resolve("nightly"));
        for (int day = 1; day <= 9; day++) {
            Path old = Files.writeString(nightly.resolve("peg-2020-01-0" + day + ".backup"), "of long ago");
            // Before three in the morning a backup of yesterday is still that of the last night.
            Files.setLastModifiedTime(old, FileTime.from(Instant.parse("2020-01-0" + day + "T03:00:00Z")));
        }
        opened("open", "--nightly", nightly.toString());
        assertThat(Files.readString(saidBy("open"))).doesNotContain("asks for this key");
        assertThat(ofOwnDatabase("select count(*) from run_event")).isEqualTo(events);
        for (int i = 0; i < 300 && kept(nightly).size() != 7; i++) {
            Thread.sleep(100);
        }
        assertThat(kept(nightly))
                .as("that of this night and the six before it")
                .hasSize(7)
                .contains("peg-2020-01-04.backup")
                .doesNotContain("peg-2020-01-03.backup");
        assertThat(ofOwnDatabase("select count(*) from backup where bytes > 0")).isEqualTo(1);
    }

    private static List<String> kept(Path backups) throws IOException {
        try (Stream<Path> files = Files.list(backups)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    /** What a command says that ends by itself, and how it ended. */
    private String said(boolean well, String command, String... arguments) throws Exception {
        Process process = peg(command, arguments);
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        String said = Files.readString(saidBy(command));
        assertThat(process.exitValue() == 0).as(said).isEqualTo(well);
        return said;
    }

    private long ofOwnDatabase(String sql) throws Exception {
        String password = Files.readString(folder.resolve("database-password")).strip();
        try (Connection connection = DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + databasePort() + "/peg", "peg", password);
                Statement statement = connection.createStatement()) {
            return statement.execute(sql) && statement.getResultSet().next()
                    ? statement.getResultSet().getLong(1)
                    : statement.getUpdateCount();
        }
    }

    private static final Pattern KEY = Pattern.compile("\\w{4}-\\w{4}-\\w{4}");

    /** Hands that never leave the keyboard. */
    private static final class Keyboard {
        private final Page page;
        private int pressed;

        Keyboard(Page page) {
            this.page = page;
        }

        /** Fills in one field after the other, from where it is. */
        Keyboard types(String... texts) {
            // The page puts the cursor into its first field a moment after it is there.
            page.waitForFunction("document.activeElement.matches('input, select, textarea')");
            for (int i = 0; i < texts.length; i++) {
                if (i > 0) {
                    presses("Tab");
                }
                page.keyboard().type(texts[i]);
            }
            return this;
        }

        void presses(String key) {
            page.keyboard().press(key);
            pressed++;
        }

        /** Past the navigation, and on to a link. */
        void goes(String link) {
            presses("Tab");
            presses("Enter");
            do {
                presses("Tab");
            } while (!link.equals(page.evaluate("document.activeElement.textContent.trim()")));
            String before = page.url();
            presses("Enter");
            page.waitForURL(url -> !url.equals(before));
        }
    }
}
