package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
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
            answers.add(devices.submit(() -> press(instrument, seconds, apart)));
        }
        List<Long> millis = new ArrayList<>();
        for (Future<List<Long>> answer : answers) {
            millis.addAll(answer.get());
        }
        devices.shutdown();
        long recorded = database.sql("select count(*) from run_event e join run r on r.id = e.run_id"
                        + " where r.instrument_id in (select id from instrument) and e.recorded_by = (select id from person where name = 'Bench under the stage')"
                        + " and r.reason = 'SERVICE' and e.kind <> 'GAP_READ'")
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

    /** Presses every second. Nobody presses at the same moment as somebody else on purpose: benches begin a little apart. */
    private List<Long> press(UUID instrument, int seconds, long apart) throws Exception {
        Device device = new Device(address()).signIn("bench");
        String plan = "/instruments/" + instrument + "/plan";
        String csrf = Device.field(device.get(plan).body(), "_csrf");
        HttpResponse<String> begun =
                device.post(plan, Map.of("strings", "II", "reason", "SERVICE", "lookedAt", "true", "_csrf", csrf));
        String bench = begun.uri().getPath();
        String page = begun.body();
        List<Long> millis = new ArrayList<>();
        Thread.sleep(apart);
        long next = System.nanoTime();
        for (int second = 0; second < WARM_UP_SECONDS + seconds; second++) {
            boolean forwards = second / FORWARDS % 2 == 0;
            Map<String, String> fields = new HashMap<>(
                    Map.of("_csrf", csrf, "press", UUID.randomUUID().toString(), "seen", Device.field(page, "seen")));
            if (!page.contains("data-key=\"next\"")) {
                // A bridge that leaned before the run is straightened and read first.
                fields.put("gap", "0.2");
                page = device.post(bench + "/gap", fields).body();
                fields.put("press", UUID.randomUUID().toString());
                fields.put("seen", Device.field(page, "seen"));
            }
            if (forwards) {
                fields.put("step", Device.field(page, "step"));
            }
            long before = System.nanoTime();
            HttpResponse<String> answer = device.post(bench + (forwards ? "/done" : "/back"), fields);
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
}
