package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Every page of a large workshop, asked for by two devices at once: one of 500 instruments and 20 000 runs by itself, or one of
 * 5000 among 2000 that share a service with 100 000 instruments and 10 million events. Prints how long an answer takes, also
 * against a page that shows next to nothing, and how large it is; run by {@code ./peg bench pages} and {@code ./peg bench
 * service}. How long it takes is not asserted.
 */
@EnabledIfSystemProperty(named = "peg.pages", matches = "\\d+")
class PagesIT extends RunningApplication {

    private static final int DEVICES = 2;
    private static final int PAUSE_MS = 200;
    private static final int PACKETS = 5000;
    private static final int TABLES = 20;
    private static final int TABLES_UNTIL_WARM = 10;
    private static final int ACTIONS = 100;
    private static final int ACTIONS_UNTIL_WARM = 60;
    /** It asks the database for nothing but who is signed in. */
    private static final String EMPTY_PAGE = "/password";

    /** An application that has just started is slower for its first minutes, while the machine's code is made. */
    private static final int WARM_UP_SECONDS = 300;

    @Autowired
    TransactionTemplate transaction;

    /** Signed in once: the page that shows next to nothing shows where somebody is signed in. */
    private final List<Device> devices = new ArrayList<>();

    @Test
    void areAskedForByTwoDevicesAtOnce() throws Exception {
        fill();
        for (int device = 0; device < DEVICES; device++) {
            devices.add(new Device(address()).signIn("keeper"));
        }
        int times = Integer.getInteger("peg.pages");
        UUID violin = instrument("Shelf 0250");
        UUID string = database.sql(
                        "select id from fitted_string where instrument_id = ? and removed_at is null limit 1")
                .param(violin)
                .query(UUID.class)
                .single();
        UUID kind = database.sql("select kind_id from fitted_string where id = ?")
                .param(string)
                .query(UUID.class)
                .single();
        Set<String> addresses = new TreeSet<>(List.of(
                "/",
                "/bench",
                "/bench/" + openRun("Pit 5 viola"),
                "/diary",
                "/settling",
                "/settling/" + string,
                "/kit",
                "/people",
                "/strings",
                "/drawer",
                "/week",
                "/lend",
                "/lend/turn",
                "/buying",
                "/buying/budget?price=500&currency=EUR",
                "/lives",
                "/sound",
                "/lives/" + kind,
                "/?find=shelf%2004",
                EMPTY_PAGE));
        for (String page : List.of(
                "",
                "/plan?strings=I&strings=II&strings=III&strings=IV",
                "/plan/card?strings=II",
                "/work",
                "/bridge",
                "/pegbox",
                "/pegs",
                "/tailpiece",
                "/fit",
                "/post",
                "/sound",
                "/measure/BRIDGE",
                "/symptoms",
                "/referral",
                "/log")) {
            addresses.add("/instruments/" + violin + page);
        }
        addresses.add("/instruments/" + instrument("Pit 1 violin")
                + "/choose?string=II&sound%5BDARK_BRIGHT%5D=FIRST_A_LITTLE&limits=NO_TENSER");
        Predicate<String> wanted = Pattern.compile("(?:" + System.getProperty("peg.page", "") + ")$")
                .asPredicate();
        addresses.removeIf(address -> !wanted.test(address) && !address.equals(EMPTY_PAGE));
        long warm = System.nanoTime() + WARM_UP_SECONDS * 1_000_000_000L;
        while (System.nanoTime() < warm) {
            for (String address : addresses) {
                ask(List.of(address), 15, 0);
            }
        }
        List<Long> empty = new ArrayList<>();
        for (String address : addresses) {
            List<List<Long>> inTurn = ask(List.of(EMPTY_PAGE, address), times, PAUSE_MS);
            empty.addAll(inTurn.get(0));
            print(address.replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "…"), inTurn.get(1), inTurn.get(0), size(address));
        }
        Collections.sort(empty);
        if (wanted.test("/drawer/import")) {
            askForPackets(empty);
        }
        if (wanted.test("/practice")) {
            practise(empty);
        }
    }

    /** A peg is turned to and fro, as one likes, in a lesson and against the clock: each answer is all of the instrument, drawn. */
    private void practise(List<Long> empty) throws Exception {
        Device here = devices.get(0);
        String token = Device.field(here.get("/practice").body(), "_csrf");
        Map<String, List<Long>> micros = new LinkedHashMap<>();
        int size = 0;
        for (String task : List.of("as one likes", "lesson=WHOLE_SET", "change=III")) {
            Map<String, String> begin = new HashMap<>(
                    Map.of("_csrf", token, "press", UUID.randomUUID().toString(), "size", "VIOLIN 4/4"));
            if (task.contains("=")) {
                begin.put(task.substring(0, task.indexOf('=')), task.substring(task.indexOf('=') + 1));
            }
            String attempt = here.post("/practice", begin).uri().getPath();
            for (int time = 0; time < ACTIONS_UNTIL_WARM + ACTIONS; time++) {
                if (time == ACTIONS_UNTIL_WARM) {
                    micros.remove("practice, a peg turned: " + task);
                }
                Map<String, String> turn = Map.of(
                        "_csrf",
                        token,
                        "press",
                        UUID.randomUUID().toString(),
                        "string",
                        "II",
                        "turn",
                        time % 2 == 0 ? "5" : "-5",
                        "pushing",
                        "true");
                size = timed(micros, "practice, a peg turned: " + task, () -> here.post(attempt + "/act", turn))
                        .body()
                        .length();
            }
        }
        for (Map.Entry<String, List<Long>> one : micros.entrySet()) {
            Collections.sort(one.getValue());
            print(one.getKey(), one.getValue(), empty, size / 1024);
        }
    }

    /** A table of 5000 packets over all kinds: sent and shown, shown again, pressed, and what comes after the answer. */
    private void askForPackets(List<Long> empty) throws Exception {
        List<String> rows = database.sql("select concat_ws(',', maker, line, position, family, coalesce(size, ''),"
                        + " string_end) from string_kind where workshop_id = ? and source = 'PACKET'")
                .param(account("keeper").workshopId())
                .query(String.class)
                .list();
        StringBuilder table = new StringBuilder("maker,line,string,family,size,end,place,bought on,price,currency\r\n");
        for (int packet = 0; packet < PACKETS; packet++) {
            table.append(rows.get(packet % rows.size())).append(",shelf ").append(packet % 9);
            table.append(",2026-01-15,21.50,EUR\r\n");
        }
        Device here = devices.get(0).oneByOne();
        String token = Device.field(here.get("/drawer/import").body(), "_csrf");
        Map<String, List<Long>> micros = new LinkedHashMap<>();
        for (int time = 0; time < TABLES_UNTIL_WARM + TABLES; time++) {
            if (time == TABLES_UNTIL_WARM) {
                micros.clear();
            }
            HttpResponse<String> sent =
                    timed(micros, "packets sent", () -> here.sends("/drawer/import", token, table.toString()));
            String waits = URI.create(sent.headers().firstValue("Location").orElseThrow())
                    .getPath();
            assertThat(timed(micros, "packets shown", () -> here.get(waits)).body())
                    .contains(PACKETS + " packets");
            timed(micros, "packets pressed to be laid in", () -> here.post(waits, Map.of("_csrf", token)));
            timed(micros, "packets laid in after the answer", () -> untilLaid(here, waits));
            assertThat(here.get("/drawer").body()).contains(PACKETS + " packets lie in the drawer");
            database.sql("delete from drawer_string where place like 'shelf _'").update();
        }
        micros.forEach((what, times) -> {
            Collections.sort(times);
            print(what, times, empty, table.length() / 1024);
        });
    }

    private static HttpResponse<String> untilLaid(Device here, String waits) throws Exception {
        HttpResponse<String> answer = here.get(waits);
        while (answer.statusCode() == 200) {
            Thread.sleep(20);
            answer = here.get(waits);
        }
        return answer;
    }

    private static HttpResponse<String> timed(
            Map<String, List<Long>> micros, String what, Callable<HttpResponse<String>> asks) throws Exception {
        Thread.sleep(PAUSE_MS);
        long before = System.nanoTime();
        HttpResponse<String> answer = asks.call();
        micros.computeIfAbsent(what, none -> new ArrayList<>()).add((System.nanoTime() - before) / 1000);
        assertThat(answer.statusCode()).as(what).isIn(200, 302);
        return answer;
    }

    private static void print(String what, List<Long> micros, List<Long> empty, int kilobytes) {
        System.out.printf(
                "page %-50s half within %4d ms, 95 %% within %4d ms, %4.1f and %4.1f times an empty page, %4d kB%n",
                what,
                percentile(micros, 50) / 1000,
                percentile(micros, 95) / 1000,
                (double) percentile(micros, 50) / percentile(empty, 50),
                (double) percentile(micros, 95) / percentile(empty, 95),
                kilobytes);
    }

    private void fill() throws IOException {
        int workshops = Integer.getInteger("peg.workshops", 1);
        if (workshops == 1) {
            ManySeasons.pass(database, transaction, 500, 40);
            return;
        }
        ManySeasons.pass(database, transaction, 5000, 5);
        ManySeasons.passElsewhere(database, transaction, workshops - 1, 48);
        System.out.printf(
                "page %d workshops, %d instruments, %d events%n",
                count("workshop"), count("instrument"), count("run_event"));
    }

    private long count(String table) {
        return database.sql("select count(*) from " + table).query(Long.class).single();
    }

    /**
     * Two people who look at pages in turn, each for a moment before they ask for the next: what else the machine is busy with makes all of
     * them slower.
     */
    private List<List<Long>> ask(List<String> inTurn, int times, int pauseMs) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(DEVICES);
        List<Future<List<List<Long>>>> answers = new ArrayList<>();
        for (Device here : devices) {
            answers.add(people.submit(() -> {
                List<List<Long>> micros = inTurn.stream()
                        .map(none -> (List<Long>) new ArrayList<Long>())
                        .toList();
                for (int i = 0; i < times; i++) {
                    for (int page = 0; page < inTurn.size(); page++) {
                        Thread.sleep(pauseMs);
                        long before = System.nanoTime();
                        HttpResponse<String> answer = here.get(inTurn.get(page));
                        micros.get(page).add((System.nanoTime() - before) / 1000);
                        assertThat(answer.statusCode()).as(inTurn.get(page)).isEqualTo(200);
                    }
                }
                return micros;
            }));
        }
        List<List<Long>> all = new ArrayList<>();
        inTurn.forEach(none -> all.add(new ArrayList<>()));
        for (Future<List<List<Long>>> answer : answers) {
            for (int page = 0; page < inTurn.size(); page++) {
                all.get(page).addAll(answer.get().get(page));
            }
        }
        people.shutdown();
        all.forEach(Collections::sort);
        return all;
    }

    private static long percentile(List<Long> sorted, int percent) {
        return sorted.get(sorted.size() * percent / 100);
    }

    private int size(String address) throws Exception {
        return devices.get(0).get(address).body().getBytes(StandardCharsets.UTF_8).length / 1024;
    }
}
