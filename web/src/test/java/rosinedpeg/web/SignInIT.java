package rosinedpeg.web;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.InstanceOfAssertFactories.STRING;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.net.http.WebSocketHandshakeException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import rosinedpeg.web.platform.SignedIn;

/** Signing in over the network: guesses, devices, sessions, passwords, the second step. */
class SignInIT extends InRequests {

    private static final String WRONG = "/sign-in?wrong";
    private static final String WAIT = "/sign-in?wait";
    /** No more requests of one address are under way. */
    private static final int AT_ONCE = 50;

    private static final int FROM_ADDRESS = 50;
    private static final int OF_NAME = 100;
    private static final int OF_NAME_FROM_ADDRESS = 10;

    @Autowired
    SessionRepository<? extends Session> sessions;

    @Value("${spring.datasource.url}")
    String databaseUrl;

    private Device device(String addresses) {
        return new Device(address()).through(addresses).oneByOne();
    }

    private static String leadsTo(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]*", "");
    }

    private static String tries(Device device, String who, String password) throws Exception {
        return leadsTo(device.tries(who, password));
    }

    /** What a proxy says was said to it is not believed: only the address it saw itself counts. */
    @Test
    void guessesFromElsewhereKeepNobodyOut() throws Exception {
        for (int guess = 0; guess <= OF_NAME_FROM_ADDRESS; guess++) {
            Device guessing = device("192.0.2." + guess + ", 203.0.113.5");
            assertThat(tries(guessing, "bench", "guess"))
                    .as("guess %d", guess)
                    .isEqualTo(guess < OF_NAME_FROM_ADDRESS ? WRONG : WAIT);
        }
        assertThat(tries(device("203.0.113.5"), "bench", PASSWORD))
                .as("right at last, too late")
                .isEqualTo(WAIT);
        assertThat(tries(device("203.0.113.5"), "pit", PASSWORD))
                .as("another name")
                .isEqualTo("/");
        assertThat(tries(device("198.51.100.7"), "bench", PASSWORD))
                .as("from elsewhere")
                .isEqualTo("/");
        assertThat(database.sql("select count(*) from guess where id like '%bench%' or id like '%203%'")
                        .query(Integer.class)
                        .single())
                .as("counted in the database, under what it hashes to")
                .isZero();
    }

    @Test
    void anAddressThatGuessesManyNamesWaitsAndTakesNoMoreRoom() throws Exception {
        Device guessing = device("2001:db8:1:2:aaaa::1");
        for (int guess = 0; guess < FROM_ADDRESS; guess++) {
            assertThat(tries(guessing, "nobody-" + guess, "guess")).isEqualTo(WRONG);
        }
        int counts = counts();
        assertThat(tries(device("2001:db8:1:2:bbbb::2"), "nobody-at-all", "guess"))
                .as("another address of the same network")
                .isEqualTo(WAIT);
        assertThat(counts()).isEqualTo(counts);
        assertThat(tries(device("2001:db8:1:3::1"), "bench", PASSWORD)).isEqualTo("/");
    }

    private int counts() {
        return database.sql("select count(*) from guess").query(Integer.class).single();
    }

    @Test
    void aNameGuessedFromEverywhereStaysOpenForADeviceItKnows() throws Exception {
        Device known = device("198.51.100.7");
        assertThat(tries(known, "bench", PASSWORD)).isEqualTo("/");
        known.endSession();
        for (int guess = 0; guess < OF_NAME; guess++) {
            tries(device("203.0." + guess + ".1"), "bench", "guess");
        }
        assertThat(tries(device("203.0.200.1"), "bench", PASSWORD)).isEqualTo(WAIT);
        assertThat(tries(known, "bench", PASSWORD)).isEqualTo("/");
        for (int guess = 0; guess < OF_NAME_FROM_ADDRESS; guess++) {
            known.endSession();
            assertThat(tries(known, "pit", "guess"))
                    .as("it is known for one name only")
                    .isEqualTo(WRONG);
        }
        assertThat(tries(known, "pit", PASSWORD)).isEqualTo(WAIT);
    }

    @Test
    void ownPasswordIsGuessedNoOftener() throws Exception {
        SignedIn somebody = stranger();
        for (int guess = 0; guess < OF_NAME_FROM_ADDRESS; guess++) {
            assertThat(post(somebody, "/password", "present", "guess", "wanted", "", "repeated", ""))
                    .bodyText()
                    .contains("This is not your present password");
        }
        assertThat(post(somebody, "/workshop/leave", "password", PASSWORD))
                .bodyText()
                .contains("Too many wrong tries");
    }

    @Test
    void anOldHashIsMadeAnew() throws Exception {
        database.sql("update account set password_hash = ? where sign_in = 'bench'")
                .param("{bcrypt}" + new BCryptPasswordEncoder(4).encode(PASSWORD))
                .update();
        assertThat(tries(device("198.51.100.7"), "bench", PASSWORD)).isEqualTo("/");
        assertThat(hash("bench")).startsWith("{hmac-bcrypt}");
        assertThat(tries(device("198.51.100.7"), "bench", PASSWORD)).isEqualTo("/");
    }

    @ParameterizedTest
    @CsvSource({
        "password123, comes to it after some 5",
        "violinviolin, comes to it after some",
        "in the Elsewhere we play, is what somebody would try first",
        PASSWORD + ", This is your present password",
        "short, It takes 10 to 100 characters"
    })
    void aPasswordThatWouldBeGuessedIsRefused(String wanted, String said) {
        assertThat(post(stranger(), "/password", "present", PASSWORD, "wanted", wanted, "repeated", wanted))
                .hasStatus(200)
                .bodyText()
                .contains(said);
    }

    /** Signs of a script that takes three bytes for each, more than bcrypt looks at: all of them count. */
    @Test
    void aLongPasswordCountsToItsEnd() throws Exception {
        SignedIn somebody = stranger();
        String beginning = "古い弦を外し新しい弦を静かに張る前に魂柱と駒の足元をよく見てから糸巻きを少しずつ回す";
        String wanted = beginning + "駒は立つ";
        assertThat(post(somebody, "/password", "present", PASSWORD, "wanted", wanted, "repeated", wanted))
                .hasStatus(302);
        assertThat(tries(device("198.51.100.7"), somebody.signIn(), beginning + "駒が倒る"))
                .isEqualTo(WRONG);
        assertThat(tries(device("198.51.100.7"), somebody.signIn(), wanted)).isEqualTo("/");
    }

    /** A session says whose it is; everything else is read when it is needed. */
    @Test
    void aSessionHoldsAnIdAndEndsSomeDay() throws Exception {
        Device bench = new Device(address()).signIn("bench");
        List<byte[]> held = database.sql("select attribute_bytes from spring_session_attributes")
                .query(byte[].class)
                .list();
        assertThat(held)
                .allSatisfy(bytes -> assertThat(new String(bytes, StandardCharsets.ISO_8859_1))
                        .doesNotContain("bcrypt", "Lantern Quay", "TECHNICIAN"));
        assertThat(bench.get("/buying").statusCode()).isEqualTo(200);
        assertThat(bench.get("/strings/new").statusCode()).isEqualTo(200);
        database.sql("update account set role = 'PLAYER' where sign_in = 'bench'")
                .update();
        assertThat(bench.get("/strings/new").statusCode())
                .as("at the next request")
                .isEqualTo(403);

        grows(sessions, Duration.ofDays(29));
        assertThat(bench.get("/").body()).contains("Lantern Quay");
        grows(sessions, Duration.ofDays(31));
        assertThat(bench.get("/").body()).contains("name=\"signIn\"");
    }

    /** Scripts do not see whose session it is, other sites cannot use it, and where there is TLS it never goes in the clear. */
    @Test
    void aSessionIsKnownToItsBrowserAlone() throws Exception {
        assertThat(sessionCookies(signIn(false)))
                .singleElement(STRING)
                .matches("peg=[^;]+; Path=/; HttpOnly; SameSite=Lax");
        assertThat(sessionCookies(signIn(true)))
                .singleElement(STRING)
                .matches("peg=[^;]+; Path=/; Secure; HttpOnly; SameSite=Lax");
        Device bench = new Device(address()).signIn("bench");
        for (String path : List.of("/", "/nowhere")) {
            assertThat(sessionCookies(bench.get(path).headers().allValues("Set-Cookie")))
                    .as("told once, not by " + path)
                    .isEmpty();
        }
    }

    private List<String> signIn(boolean overTls) {
        return mvc.post()
                .uri("/sign-in")
                .secure(overTls)
                .with(csrf())
                .param("signIn", "bench")
                .param("password", PASSWORD)
                .exchange()
                .getResponse()
                .getHeaders("Set-Cookie");
    }

    private static List<String> sessionCookies(List<String> told) {
        return told.stream().filter(cookie -> cookie.startsWith("peg=")).toList();
    }

    /** To look at a page is no reason to wait for a disk. */
    @Test
    void whenASessionWasUsedIsKeptToTheMinute() throws Exception {
        Device bench = new Device(address()).signIn("bench");
        long used = used();
        bench.get("/");
        assertThat(used()).isEqualTo(used);
        database.sql("update spring_session set last_access_time = last_access_time - 61000")
                .update();
        bench.get("/");
        assertThat(used()).isGreaterThanOrEqualTo(used);
    }

    private long used() {
        return database.sql("select last_access_time from spring_session")
                .query(Long.class)
                .single();
    }

    private <S extends Session> void grows(SessionRepository<S> repository, Duration old) {
        String id = database.sql("select session_id from spring_session")
                .query(String.class)
                .single();
        S session = requireNonNull(repository.findById(id));
        session.setAttribute("since", Instant.now().minus(old));
        repository.save(session);
    }

    private static String code(String letters, Instant moment) throws Exception {
        TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
        return codes.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(letters), codes.getAlgorithm()), moment);
    }

    private static String sends(Device device, String page, String path, String field, String typed) throws Exception {
        String token = Device.field(device.get(page).body(), "_csrf");
        return leadsTo(device.post(path, Map.of(field, typed, "_csrf", token)));
    }

    private static String letters(Device device) throws Exception {
        return requireNonNull(
                        Jsoup.parse(device.get("/password/second-step").body()).selectFirst(".letters"))
                .text();
    }

    private void listens(Device device) {
        device.socket("/hear/open/strings?size=VIOLIN%204/4&rate=48000", address(), new WebSocket.Listener() {})
                .abort();
    }

    @Test
    void whereKeepersHaveToTheySetUpASecondStepFirst() throws Exception {
        Device keeper = device("198.51.100.7");
        tries(keeper, "keeper", PASSWORD);
        String step = "/password/second-step";
        Map<String, String> rule = Map.of(
                "workshop",
                "Lantern Quay",
                "zone",
                "Europe/Vienna",
                "referenceA",
                "441",
                "keepersSecondStep",
                "true",
                "shown",
                Device.field(keeper.get("/workshop").body(), "shown"),
                "_csrf",
                Device.field(keeper.get("/workshop").body(), "_csrf"));
        assertThat(keeper.post("/workshop", rule).body())
                .as("whoever has none would shut themselves out")
                .contains("Set up your own second step first");
        setUpSecondStep(keeper);
        assertThat(leadsTo(keeper.post("/workshop", rule))).isEqualTo("/workshop");
        assertThat(keeper.get("/").body()).contains("Lantern Quay");

        Device technician = device("198.51.100.8");
        tries(technician, "bench", PASSWORD);
        assertThat(technician.get("/").body()).as("no keeper").contains("Lantern Quay");
        String run = "/bench/" + openRun("Pit 5 viola");
        String bench = "/people/" + account("bench").accountId();
        assertThat(leadsTo(keeper.post(
                        bench,
                        Map.of(
                                "name",
                                "Bench",
                                "role",
                                "KEEPER",
                                "shown",
                                Device.field(keeper.get(bench).body(), "shown"),
                                "_csrf",
                                rule.get("_csrf")))))
                .isEqualTo("/people");
        assertThat(leadsTo(technician.get("/"))).as("a keeper now").isEqualTo(step);
        assertThat(leadsTo(technician.get(run))).isEqualTo(step);
        assertThatThrownBy(() -> listens(technician)).hasCauseInstanceOf(WebSocketHandshakeException.class);
        HttpResponse<String> press = technician.post(
                run + "/back",
                Map.of("seen", "1", "_csrf", Device.field(technician.get(step).body(), "_csrf")));
        assertThat(press.statusCode()).as("it stays with its device").isEqualTo(409);
        assertThat(press.body()).contains("Set yours up first");
        assertThat(technician.post("/workshop", rule).statusCode())
                .as("with the token of somebody else")
                .isEqualTo(403);
        assertThat(technician.get(step).body()).contains("Set yours up first");
        setUpSecondStep(technician);
        assertThat(technician.get("/").body()).contains("Lantern Quay");
        listens(technician);
    }

    private static void setUpSecondStep(Device device) throws Exception {
        String step = "/password/second-step";
        sends(device, step, step, "password", PASSWORD);
        assertThat(sends(device, step, step + "/first-code", "code", code(letters(device), Instant.now())))
                .isEqualTo(step);
    }

    @Test
    void aSecondStepAsksForTheTelephone() throws Exception {
        Device keeper = device("198.51.100.7");
        tries(keeper, "keeper", PASSWORD);
        String step = "/password/second-step";
        assertThat(sends(keeper, step, step, "password", "guess")).isEmpty();
        assertThat(keeper.get(step).body()).doesNotContain("class=\"letters\"");
        assertThat(sends(keeper, step, step, "password", PASSWORD)).isEqualTo(step);
        String letters = letters(keeper);
        assertThat(tries(device("198.51.100.8"), "keeper", PASSWORD))
                .as("not before the telephone has shown that it knows")
                .isEqualTo("/");
        assertThat(sends(keeper, step, step + "/first-code", "code", "000000")).isEmpty();
        Instant now = Instant.now();
        assertThat(sends(keeper, step, step + "/first-code", "code", code(letters, now)))
                .isEqualTo(step);
        List<String> onPaper = Jsoup.parse(keeper.get(step).body()).select(".recovery li").stream()
                .map(Element::text)
                .toList();
        assertThat(onPaper).hasSize(10);
        assertThat(keeper.get(step).body()).as("only once").doesNotContain(onPaper.get(0));

        Device other = device("198.51.100.9");
        String ask = "/sign-in/code";
        assertThat(leadsTo(other.get(ask))).isEqualTo("/sign-in");
        assertThat(tries(other, "keeper", PASSWORD)).isEqualTo(ask);
        assertThat(leadsTo(other.get("/"))).as("the password alone").isEqualTo("/sign-in");
        assertThat(sends(other, ask, ask, "code", code(letters, now)))
                .as("used already")
                .isEmpty();
        assertThat(sends(other, ask, ask, "code", code(letters, now.plusSeconds(30))))
                .isEqualTo("/");
        assertThat(other.get("/").body()).contains("Lantern Quay");

        Device third = device("198.51.100.10");
        tries(third, "keeper", PASSWORD);
        assertThat(sends(third, ask, ask, "code", onPaper.get(3).toUpperCase(java.util.Locale.ROOT)))
                .isEqualTo("/");
        tries(third, "keeper", PASSWORD);
        for (int guess = 0; guess < 5; guess++) {
            assertThat(sends(third, ask, ask, "code", onPaper.get(3)))
                    .as("used up")
                    .isEmpty();
        }
        assertThat(sends(third, ask, ask, "code", onPaper.get(4))).as("wait").isEmpty();
        assertThat(sends(other, step, step, "password", PASSWORD)).isEqualTo("/password");
        assertThat(tries(device("198.51.100.11"), "keeper", PASSWORD)).isEqualTo("/");
    }

    /** Two who begin at one moment: one workshop, with one keeper. */
    @Test
    void twoWhoBeginAtOnceMakeOneWorkshop() throws Exception {
        database.sql("truncate workshop cascade").update();
        List<Callable<String>> begin = new ArrayList<>();
        for (String name : List.of("One workshop", "Another workshop")) {
            Device device = device("198.51.100.7");
            String token = Device.field(device.get("/begin").body(), "_csrf");
            Map<String, String> fields = Map.of(
                    "key",
                    RunningApplication.FIRST_KEY,
                    "workshop",
                    name,
                    "zone",
                    "UTC",
                    "referenceA",
                    "440",
                    "name",
                    "Somebody",
                    "signIn",
                    "keeper-" + name.length(),
                    "password",
                    "four words and more",
                    "repeated",
                    "four words and more",
                    "_csrf",
                    token);
            Map<String, String> guessed = new HashMap<>(fields);
            guessed.put("password", "password123");
            assertThat(device.post("/begin", guessed).body()).contains("comes to it after some");
            begin.add(() -> leadsTo(device.post("/begin", fields)));
        }
        assertThat(atOnce(begin)).contains("/sign-in?begun");
        assertThat(database.sql("select count(*) from workshop")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(database.sql("select count(*) from account")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    private static <T> List<T> atOnce(List<Callable<T>> work) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(work.size());
        try {
            List<T> done = new ArrayList<>();
            for (Future<T> one : hands.invokeAll(work)) {
                done.add(one.get());
            }
            return done;
        } finally {
            hands.shutdown();
        }
    }

    /** Whoever sends a form letter by letter, two hundred times at once, keeps nobody else from a page. */
    @Test
    void slowBodiesKeepNobodyElseOut() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 200; i++) {
                Socket socket = new Socket("127.0.0.1", port);
                slow.add(socket);
                socket.getOutputStream()
                        .write(("POST /sign-in HTTP/1.1\r\nHost: peg\r\nX-Forwarded-For: 203.0.113.9\r\n"
                                        + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: 9000\r\n\r\ns")
                                .getBytes(StandardCharsets.US_ASCII));
            }
            // Which of them were first to be read is as it comes.
            long patience = System.nanoTime() + 8_000_000_000L;
            while (slow.stream().filter(SignInIT::isTold).count() < slow.size() - AT_ONCE
                    && System.nanoTime() < patience) {
                Thread.sleep(20);
            }
            byte[] told = new byte[12];
            Socket refused = slow.stream().filter(SignInIT::isTold).findFirst().orElseThrow();
            assertThat(refused.getInputStream().readNBytes(told, 0, told.length))
                    .isEqualTo(told.length);
            assertThat(new String(told, StandardCharsets.US_ASCII))
                    .as("told to wait")
                    .isEqualTo("HTTP/1.1 429");
            assertThat(tries(device("198.51.100.7"), "bench", PASSWORD)).isEqualTo("/");
            assertThat(slow)
                    .filteredOn(socket -> !isTold(socket))
                    .as("sending still")
                    .hasSize(AT_ONCE);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    private static boolean isTold(Socket socket) {
        try {
            return socket.getInputStream().available() > 0;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** What is refused before anybody reads it is refused in words. */
    @ParameterizedTest
    @CsvSource({"GET / HTTP/1.1, 20000, 400", "GET /%zz HTTP/1.1, 1, 400", "GET / HTTP/9.9, 1, 505"})
    void whatCannotBeReadIsToldSo(String line, int letters, String status) throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.setSoTimeout(8000);
            socket.getOutputStream()
                    .write((line + "\r\nHost: peg\r\nConnection: close\r\nCookie: peg=" + "x".repeat(letters)
                                    + "\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer)
                    .startsWith("HTTP/1.1 " + status)
                    .contains("<p class=\"font-display", "To the rack")
                    .doesNotContain("HTTP Status", "Tomcat");
        }
    }

    /** Of what strangers send nothing stays in memory: nearly as much as there is of it comes from many of them. */
    @Test
    void whatStrangersSendIsForgotten() throws Exception {
        int own;
        try (ServerSocket free = new ServerSocket(0)) {
            own = free.getLocalPort();
        }
        ProcessBuilder small = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElseThrow(),
                        "-Xmx256m",
                        "-XX:+UseSerialGC",
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+ExitOnOutOfMemoryError",
                        "-cp",
                        System.getProperty("surefire.test.class.path"),
                        RosinedPegApplication.class.getName())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD);
        small.environment().put("PEG_DATABASE_URL", databaseUrl);
        small.environment().put("PEG_PORT", "" + own);
        small.environment().put("PEG_FORWARD_HEADERS", "native");
        Process application = small.start();
        try {
            Device first = new Device("http://127.0.0.1:" + own);
            await(application, first);
            String token = Device.field(first.get("/sign-in").body(), "_csrf");
            String much = "n".repeat(240_000);
            List<String> open = List.of("/sign-in", "/join/nobody", "/begin");
            ExecutorService strangers = Executors.newFixedThreadPool(open.size());
            List<Callable<Boolean>> sending = new ArrayList<>();
            for (String path : open) {
                sending.add(() -> {
                    for (int sent = 0; sent < 800; sent++) {
                        Device stranger = first.through("203.0." + sent / 250 + "." + sent % 250);
                        Map<String, String> form = Map.of("signIn", sent + much, "password", "guess", "_csrf", token);
                        assertThat(stranger.post(path, form).statusCode())
                                .as(path)
                                .isLessThan(500);
                    }
                    return true;
                });
            }
            for (Future<Boolean> sent : strangers.invokeAll(sending)) {
                assertThat(sent.get()).isTrue();
            }
            strangers.shutdown();
            assertThat(application.isAlive()).isTrue();
            assertThat(first.get("/actuator/health").statusCode()).isEqualTo(200);
        } finally {
            application.destroy();
            application.waitFor();
        }
    }

    private static void await(Process application, Device device) throws Exception {
        for (int asked = 0; ; asked++) {
            assertThat(application.isAlive() && asked < 600).as("it starts").isTrue();
            try {
                if (device.get("/actuator/health").statusCode() == 200) {
                    return;
                }
            } catch (ConnectException notYet) {
                // It starts.
            }
            Thread.sleep(200);
        }
    }
}
