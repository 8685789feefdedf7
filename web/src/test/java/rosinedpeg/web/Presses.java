package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Benches that press all the time against a served application, while {@code ./peg bench servers} takes a server of PostgreSQL away
 * under them. Like a device each keeps what was not answered for, and sends it again. Writes down every press that was answered for.
 */
final class Presses {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]*)");
    private static final int BENCHES = 4;
    private static final int FOUND = 302;

    private final URI address;
    private final long end;
    private final AtomicLong longestMs = new AtomicLong();
    private final List<String> answered = Collections.synchronizedList(new ArrayList<>());
    private final AtomicLong again = new AtomicLong();

    private Presses(String address, int seconds) {
        this.address = URI.create(address);
        this.end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    }

    /** Takes where the application is, for how many seconds, and the file to write to. */
    public static void main(String[] arguments) throws Exception {
        Presses presses = new Presses(arguments[0], Integer.parseInt(arguments[1]));
        ExecutorService devices = Executors.newFixedThreadPool(BENCHES);
        try {
            List<Future<?>> benches = new ArrayList<>();
            for (int bench = 0; bench < BENCHES; bench++) {
                int instrument = bench;
                benches.add(devices.submit(() -> presses.bench(instrument)));
            }
            for (Future<?> bench : benches) {
                bench.get();
            }
        } finally {
            devices.shutdownNow();
        }
        Files.write(Path.of(arguments[2]), presses.answered);
        System.out.printf(
                "%d presses answered for, %d sent again, the longest wait %.1f s%n",
                presses.answered.size(), presses.again.get(), presses.longestMs.get() / 1e3);
    }

    private Void bench(int instrument) throws Exception {
        HttpClient device = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .connectTimeout(Duration.ofSeconds(2))
                .build();
        String token = token(get(device, "/sign-in"));
        post(device, "/sign-in", "_csrf=" + token + "&signIn=bench&password=under-the-stage");
        List<String> instruments = all("href=\"(/instruments/[0-9a-f-]{36})\"", get(device, "/"));
        String plan = instruments.get(instrument) + "/plan";
        // Where it lies on the bench already, its run goes on.
        HttpResponse<String> planned = device.send(
                HttpRequest.newBuilder(address.resolve(plan)).build(), HttpResponse.BodyHandlers.ofString());
        if (planned.statusCode() != FOUND) {
            planned = post(device, plan, "_csrf=" + token(planned.body()) + "&strings=II&lookedAt=true");
        }
        String run = planned.headers().firstValue("Location").orElseThrow().replaceFirst(".*(/bench/[^?]*).*", "$1");
        token = token(get(device, run));
        while (System.nanoTime() < end) {
            UUID press = UUID.randomUUID();
            long began = System.nanoTime();
            while (!taken(device, run + "/note", "_csrf=" + token + "&seen=0&note=pressed&press=" + press)) {
                again.incrementAndGet();
                Thread.sleep(250);
            }
            longestMs.accumulateAndGet(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began), Math::max);
            answered.add(press.toString());
        }
        return null;
    }

    private boolean taken(HttpClient device, String path, String form) throws InterruptedException {
        try {
            return post(device, path, form).statusCode() == FOUND;
        } catch (IOException cut) {
            return false;
        }
    }

    private static String token(String page) {
        return URLEncoder.encode(all(TOKEN.pattern(), page).get(0), UTF_8);
    }

    private static List<String> all(String pattern, String page) {
        Matcher found = Pattern.compile(pattern).matcher(page);
        List<String> all = new ArrayList<>();
        while (found.find()) {
            if (!all.contains(found.group(1))) {
                all.add(found.group(1));
            }
        }
        return all;
    }

    private String get(HttpClient device, String path) throws IOException, InterruptedException {
        return device.send(HttpRequest.newBuilder(address.resolve(path)).build(), HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private HttpResponse<String> post(HttpClient device, String path, String form)
            throws IOException, InterruptedException {
        return device.send(
                HttpRequest.newBuilder(address.resolve(path))
                        .timeout(Duration.ofSeconds(10))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(form))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
