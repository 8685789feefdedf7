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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Benches that press all the time, and people who turn pages, against a served application under which {@code ./peg bench servers} and
 * {@code ./peg bench endure} take servers and connections away. Like a device each bench keeps what was not answered for and sends it again;
 * every press is written down with its run, in the order in which they were made, to be held against the ledgers.
 */
final class Endurance {

    private static final Pattern LINK = Pattern.compile("href=\"(/[^\"#]*)");
    private static final Pattern NOT_A_PAGE =
            Pattern.compile("/(assets|webjars|sign-out|manifest)\\b.*|.*\\.(zip|json|wav|pdf|csv|svg|jpg)\\b.*");
    private static final int BENCHES = 4;
    private static final int FOUND = 302;
    private static final int FAULT = 500;

    private final URI address;
    private final long end;
    private final AtomicLong longestMs = new AtomicLong();
    private final AtomicLong again = new AtomicLong();
    private final AtomicLong pages = new AtomicLong();
    private final AtomicLong without = new AtomicLong();
    private final Map<String, List<String>> pressed = new ConcurrentSkipListMap<>();
    private final Map<String, Integer> faults = new ConcurrentSkipListMap<>();

    private Endurance(String address, int seconds) {
        this.address = URI.create(address);
        this.end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    }

    /** Takes where the application is, for how many seconds, the file to write to, and how many people turn pages. */
    public static void main(String[] arguments) throws Exception {
        Endurance all = new Endurance(arguments[0], Integer.parseInt(arguments[1]));
        ExecutorService devices = Executors.newCachedThreadPool();
        try {
            List<Future<?>> clients = new ArrayList<>();
            for (int client = 0; client < BENCHES + Integer.parseInt(arguments[3]); client++) {
                int number = client;
                clients.add(devices.submit(() -> number < BENCHES ? all.bench(number) : all.turnsPages(number)));
            }
            for (Future<?> client : clients) {
                client.get();
            }
        } finally {
            devices.shutdownNow();
        }
        List<String> lines = new ArrayList<>();
        all.pressed.forEach((run, presses) -> presses.forEach(press -> lines.add(run + " " + press)));
        Files.write(Path.of(arguments[2]), lines);
        System.out.printf(
                "%d presses answered for, %d sent again, the longest wait %.1f s; %d pages, %d tries without an answer%n",
                lines.size(), all.again.get(), all.longestMs.get() / 1e3, all.pages.get(), all.without.get());
        new TreeMap<>(all.faults).forEach((page, count) -> System.out.println("FAULT " + page + " " + count));
        System.exit(all.faults.isEmpty() ? 0 : 1);
    }

    private static HttpClient device() {
        return HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .connectTimeout(Duration.ofSeconds(2))
                .build();
    }

    private void signIn(HttpClient device, String who) throws IOException, InterruptedException {
        String token = token(get(device, "/sign-in").body());
        post(device, "/sign-in", "_csrf=" + token + "&signIn=" + who + "&password=under-the-stage");
    }

    /** Notes something, does the step, and goes back; each until it is answered for. */
    private Void bench(int number) throws Exception {
        HttpClient device = device();
        String run = null;
        while (run == null && System.nanoTime() < end) {
            try {
                run = begin(device, number);
            } catch (IOException | IndexOutOfBoundsException cutOrAway) {
                without.incrementAndGet();
                Thread.sleep(250);
            }
        }
        if (run == null) {
            return null;
        }
        List<String> presses = new ArrayList<>();
        pressed.put(run.substring(run.lastIndexOf('/') + 1), presses);
        while (System.nanoTime() < end) {
            presses.add(press(device, run, "/note", "&note=pressed") + " NOTED");
            presses.add(press(device, run, "/done", "") + " STEP_DONE");
            presses.add(press(device, run, "/back", "") + " UNDONE");
        }
        return null;
    }

    /** {@return the address of a run of one's own} */
    private String begin(HttpClient device, int number) throws IOException, InterruptedException {
        signIn(device, "bench");
        List<String> instruments = all(
                Pattern.compile("href=\"(/instruments/[0-9a-f-]{36})\""),
                get(device, "/").body());
        String plan = instruments.get(number) + "/plan";
        // Where it lies on the bench already, its run goes on.
        HttpResponse<String> planned = get(device, plan);
        if (planned.statusCode() != FOUND) {
            planned = post(device, plan, "_csrf=" + token(planned.body()) + "&strings=II&lookedAt=true");
        }
        return planned.headers()
                .firstValue("Location")
                .orElseThrow(() -> new IOException("no run"))
                .replaceFirst(".*(/bench/[^?]*).*", "$1");
    }

    private UUID press(HttpClient device, String run, String what, String more) throws InterruptedException {
        UUID press = UUID.randomUUID();
        long began = System.nanoTime();
        String form = null;
        while (true) {
            try {
                if (form == null) {
                    String page = get(device, run).body();
                    form = "_csrf=" + token(page) + "&seen=" + value("seen", page) + "&step=" + value("step", page)
                            + more + "&press=" + press;
                }
                HttpResponse<String> answer = post(device, run + what, form);
                count(run.replaceFirst("[0-9a-f-]{36}", "{id}") + what, answer.statusCode());
                if (answer.statusCode() == FOUND) {
                    longestMs.accumulateAndGet(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began), Math::max);
                    return press;
                }
            } catch (IOException | IndexOutOfBoundsException cutOrAway) {
                without.incrementAndGet();
            }
            again.incrementAndGet();
            Thread.sleep(250);
        }
    }

    /** Follows whatever link a page has. */
    private Void turnsPages(int number) throws Exception {
        HttpClient device = device();
        Random random = new Random(number);
        String who = List.of("keeper", "bench", "pit", "village").get(number % 4);
        boolean signedIn = false;
        String path = "/";
        while (System.nanoTime() < end) {
            try {
                if (!signedIn) {
                    signIn(device, who);
                    signedIn = true;
                }
                HttpResponse<String> page = get(device, path);
                count(path.replaceAll("[0-9a-f-]{36}", "{id}").replaceFirst("\\?.*", ""), page.statusCode());
                pages.incrementAndGet();
                List<String> links = all(LINK, page.body()).stream()
                        .filter(link -> !NOT_A_PAGE.matcher(link).matches())
                        .toList();
                path = links.isEmpty()
                        ? "/"
                        : links.get(random.nextInt(links.size())).replace("&amp;", "&");
            } catch (IOException | IndexOutOfBoundsException cutOrAway) {
                without.incrementAndGet();
                path = "/";
                Thread.sleep(250);
            }
            Thread.sleep(50 + random.nextInt(200));
        }
        return null;
    }

    /** What the database or its absence brings is 503; anything else above is a fault. */
    private void count(String path, int status) {
        if (status >= FAULT && status != 503) {
            faults.merge(status + " " + path, 1, Integer::sum);
        }
    }

    private static String token(String page) {
        return URLEncoder.encode(value("_csrf", page), UTF_8);
    }

    private static String value(String field, String page) {
        return all(Pattern.compile("name=\"" + field + "\" value=\"([^\"]*)"), page)
                .get(0);
    }

    private static List<String> all(Pattern pattern, String page) {
        Matcher found = pattern.matcher(page);
        LinkedHashSet<String> all = new LinkedHashSet<>();
        while (found.find()) {
            all.add(found.group(1));
        }
        return List.copyOf(all);
    }

    private HttpResponse<String> get(HttpClient device, String path) throws IOException, InterruptedException {
        return device.send(
                HttpRequest.newBuilder(address.resolve(path))
                        .timeout(Duration.ofSeconds(15))
                        .header("Accept", "text/html")
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> post(HttpClient device, String path, String form)
            throws IOException, InterruptedException {
        return device.send(
                HttpRequest.newBuilder(address.resolve(path))
                        .timeout(Duration.ofSeconds(15))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(form))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
