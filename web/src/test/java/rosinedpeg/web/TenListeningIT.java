package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.WebSocket;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Ten benches listen at once, each to a string that is plucked again and again, while somebody else turns pages. Prints how long it takes
 * from the last sample of a verdict to the word of it on the device; run by {@code ./peg bench listening}.
 */
@EnabledIfSystemProperty(named = "peg.listening", matches = "\\d+")
class TenListeningIT extends RunningApplication {

    private static final int BENCHES = 10;
    private static final int PIECE = 2048;
    private static final int WARM_UP_SECONDS = 20;
    private static final long NANOS = 1_000_000_000L;
    private static final Pattern AT = Pattern.compile("\"at\":([0-9.E-]+).*\"state\":\"HEARD\"");

    @Test
    void listenAtOnce() throws Exception {
        int seconds = Integer.getInteger("peg.listening");
        double[] sound = new MadeUpSound()
                .rest(0.4)
                .string(440 * Math.pow(2, -20 / 1200.0), 1.6, false)
                .values();
        List<UUID> instruments = database.sql("select i.id from instrument i where not exists"
                        + " (select 1 from run where run.instrument_id = i.id and run.outcome = 'OPEN')"
                        + " and i.family = 'VIOLIN' order by i.name limit " + BENCHES)
                .query(UUID.class)
                .list();
        assertThat(instruments).hasSize(BENCHES);
        ExecutorService devices = Executors.newFixedThreadPool(BENCHES + 1);
        List<Future<List<Long>>> answers = new ArrayList<>();
        for (UUID instrument : instruments) {
            answers.add(devices.submit(() -> listen(instrument, sound, seconds)));
        }
        Future<List<Long>> pages = devices.submit(() -> turnPages(seconds));
        List<Long> millis = new ArrayList<>();
        for (Future<List<Long>> answer : answers) {
            millis.addAll(answer.get());
        }
        print("ten benches listening, %d s: %d words".formatted(seconds, millis.size()), millis);
        print("meanwhile a page, %d times".formatted(pages.get().size()), pages.get());
        devices.shutdown();
    }

    private static void print(String what, List<Long> millis) {
        Collections.sort(millis);
        System.out.printf(
                "%s, half within %d ms, 95 %% within %d ms, slowest %d ms%n",
                what,
                millis.get(millis.size() / 2),
                millis.get(millis.size() * 95 / 100),
                millis.get(millis.size() - 1));
    }

    private List<Long> turnPages(int seconds) throws Exception {
        Device device = new Device(address()).signIn("keeper");
        List<Long> millis = new ArrayList<>();
        List<String> paths = List.of("/", "/bench", "/settling", "/practice", "/listen");
        // As on a server that has been up for a while: of a page that was asked for four times the compiler has seen
        // nothing.
        long warm = System.nanoTime() + WARM_UP_SECONDS * NANOS;
        for (int time = 0; System.nanoTime() < warm; time++) {
            device.get(paths.get(time % paths.size()));
        }
        for (int second = 0; second < seconds; second++) {
            long before = System.nanoTime();
            assertThat(device.get(paths.get(second % paths.size())).statusCode())
                    .isEqualTo(200);
            millis.add((System.nanoTime() - before) / 1_000_000);
            Thread.sleep(Math.max(0, 1000 - (System.nanoTime() - before) / 1_000_000));
        }
        return millis;
    }

    /** Plays the sound as fast as it sounds. */
    private List<Long> listen(UUID instrument, double[] sound, int seconds) throws Exception {
        Device device = new Device(address()).signIn("bench");
        String plan = "/instruments/" + instrument + "/plan";
        String csrf = Device.field(device.get(plan).body(), "_csrf");
        String bench = device.post(
                        plan, Map.of("strings", "II", "reason", "SERVICE", "lookedAt", "true", "_csrf", csrf))
                .uri()
                .getPath();
        String page = device.get(bench).body();
        while (!page.contains("class=\"hearing\"")) {
            boolean held = !page.contains("data-key=\"next\"");
            Map<String, String> fields = new HashMap<>(
                    Map.of("_csrf", csrf, "press", UUID.randomUUID().toString(), "seen", Device.field(page, "seen")));
            fields.put(held ? "gap" : "step", held ? "0.2" : Device.field(page, "step"));
            page = device.post(bench + (held ? "/gap" : "/done"), fields).body();
        }
        int pieces = (WARM_UP_SECONDS + seconds) * MadeUpSound.RATE / PIECE;
        AtomicLongArray sent = new AtomicLongArray(pieces);
        ConcurrentLinkedQueue<Long> millis = new ConcurrentLinkedQueue<>();
        WebSocket socket = device.socket(
                bench.replace("/bench/", "/hear/bench/") + "?rate=" + MadeUpSound.RATE,
                address(),
                new WebSocket.Listener() {
                    @Override
                    public CompletionStage<?> onText(WebSocket from, CharSequence told, boolean last) {
                        Matcher at = AT.matcher(told);
                        if (at.find()) {
                            double second = Double.parseDouble(at.group(1));
                            int piece = (int) Math.min(pieces - 1, second * MadeUpSound.RATE / PIECE);
                            if (second >= WARM_UP_SECONDS && sent.get(piece) > 0) {
                                millis.add((System.nanoTime() - sent.get(piece)) / 1_000_000);
                            }
                        }
                        from.request(1);
                        return null;
                    }
                });
        long begun = System.nanoTime();
        for (int piece = 0; piece < pieces; piece++) {
            ByteBuffer bytes = ByteBuffer.allocate(PIECE * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
            for (int i = 0; i < PIECE; i++) {
                bytes.putFloat((float) sound[(piece * PIECE + i) % sound.length]);
            }
            long due = begun + (piece + 1) * PIECE * NANOS / MadeUpSound.RATE;
            Thread.sleep(Math.max(0, (due - System.nanoTime()) / 1_000_000));
            sent.set(piece, System.nanoTime());
            socket.sendBinary(bytes.flip().order(ByteOrder.BIG_ENDIAN), true).join();
        }
        socket.sendClose(WebSocket.NORMAL_CLOSURE, "").join();
        return new ArrayList<>(millis);
    }
}
