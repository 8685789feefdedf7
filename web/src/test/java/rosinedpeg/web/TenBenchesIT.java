package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Ten benches at once, each on a device of its own that presses every second, forwards and back again. Prints how long an
 * answer takes; run by {@code ./peg bench benches}. That nothing is lost is asserted, how long it takes is not.
 */
@EnabledIfSystemProperty(named = "peg.benches", matches = "\\d+")
class TenBenchesIT extends RunningApplication {

    private static final int BENCHES = 10;
    private static final int FORWARDS = 12;
    /** An application that has just started is slower; these presses are recorded but not timed. */
    private static final int WARM_UP_SECONDS = 15;

    @Test
    void pressEverySecond() throws Exception {
        int seconds = Integer.getInteger("peg.benches");
        List<UUID> instruments = database.sql("select i.id from instrument i where not exists"
                        + " (select 1 from run where run.instrument_id = i.id and run.outcome = 'OPEN') order by i.name"
                        + " limit " + BENCHES)
                .query(UUID.class)
                .list();
        assertThat(instruments).hasSize(BENCHES);
        ExecutorService devices = Executors.newFixedThreadPool(BENCHES);
        List<Future<List<Long>>> answers = new ArrayList<>();
        for (UUID instrument : instruments) {
            long apart = answers.size() * 1000L / BENCHES;
            answers.add(devices.submit(() -> new Device(instrument).press(seconds, apart)));
        }
        List<Long> millis = new ArrayList<>();
        for (Future<List<Long>> answer : answers) {
            millis.addAll(answer.get());
        }
        devices.shutdown();
        long recorded = database.sql("select count(*) from run_event e join run r on r.id = e.run_id"
                        + " where r.instrument_id in (select id from instrument) and e.recorded_by = 'Bench under the stage'"
                        + " and r.reason = 'SERVICE'")
                .query(Long.class)
                .single();
        Collections.sort(millis);
        System.out.printf(
                "ten benches, %d s: %d presses, %d recorded, half within %d ms, 95 %% within %d ms, slowest %d ms%n",
                seconds,
                millis.size(),
                recorded,
                millis.get(millis.size() / 2),
                millis.get(millis.size() * 95 / 100),
                millis.get(millis.size() - 1));
        assertThat(recorded).as("no press is lost").isEqualTo((long) BENCHES * (WARM_UP_SECONDS + seconds));
    }

    /** A device with a session of its own. */
    private final class Device {

        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
        private final UUID instrument;

        Device(UUID instrument) {
            this.instrument = instrument;
        }

        /** Nobody presses at the same moment as somebody else on purpose: benches begin a little apart. */
        List<Long> press(int seconds, long apart) throws Exception {
            String signIn = get("/sign-in");
            post("/sign-in", Map.of("signIn", "bench", "password", PASSWORD, "_csrf", value(signIn, "_csrf")));
            String plan = get("/instruments/" + instrument + "/plan");
            HttpResponse<String> begun = post(
                    "/instruments/" + instrument + "/plan",
                    Map.of("strings", "II", "reason", "SERVICE", "_csrf", value(plan, "_csrf")));
            String bench = begun.uri().getPath();
            String page = begun.body();
            List<Long> millis = new ArrayList<>();
            Thread.sleep(apart);
            long next = System.nanoTime();
            for (int second = 0; second < WARM_UP_SECONDS + seconds; second++) {
                boolean forwards = second / FORWARDS % 2 == 0;
                Map<String, String> fields = forwards
                        ? Map.of(
                                "_csrf", value(page, "_csrf"),
                                "press", UUID.randomUUID().toString(),
                                "seen", value(page, "seen"),
                                "step", value(page, "step"))
                        : Map.of(
                                "_csrf", value(page, "_csrf"),
                                "press", UUID.randomUUID().toString(),
                                "seen", value(page, "seen"));
                long before = System.nanoTime();
                HttpResponse<String> answer = post(bench + (forwards ? "/done" : "/back"), fields);
                if (second >= WARM_UP_SECONDS) {
                    millis.add((System.nanoTime() - before) / 1_000_000);
                }
                assertThat(answer.statusCode()).isEqualTo(200);
                page = answer.body();
                next += 1_000_000_000L;
                Thread.sleep(Math.max(0, (next - System.nanoTime()) / 1_000_000));
            }
            return millis;
        }

        private String get(String path) throws Exception {
            return client.send(
                            HttpRequest.newBuilder(URI.create(address() + path)).build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        }

        private HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
            String body = fields.entrySet().stream()
                    .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                    .collect(Collectors.joining("&"));
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address() + path))
                    .header("Content-Type", "application/x-www-form-urlencoded");
            if (path.startsWith("/bench/")) {
                request.header("HX-Request", "true");
            }
            return client.send(
                    request.POST(HttpRequest.BodyPublishers.ofString(body)).build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        private String value(String page, String field) {
            Matcher matcher =
                    Pattern.compile("name=\"" + field + "\" value=\"([^\"]*)\"").matcher(page);
            assertThat(matcher.find()).as("field " + field + " in " + page).isTrue();
            return matcher.group(1);
        }
    }
}
