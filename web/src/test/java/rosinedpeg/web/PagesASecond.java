package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.US_ASCII;
import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How many pages a second two clients get that ask for one after the other, for {@code ./peg bench serve}. */
final class PagesASecond {

    private static final int CLIENTS = 2;
    private static final int ROUNDS = 5;

    private final URI address;
    private String cookie = "";

    private PagesASecond(String address) {
        this.address = URI.create(address);
    }

    /** Takes where the application is, for how many seconds each page is asked for first, and for how many it counts, in five rounds. */
    public static void main(String[] arguments) throws Exception {
        PagesASecond pages = new PagesASecond(arguments[0]);
        String bench = pages.signIn();
        List<String> paths = List.of("/password", "/", bench);
        for (String path : paths) {
            pages.ask(path, Integer.parseInt(arguments[1]));
        }
        int seconds = Integer.parseInt(arguments[2]) / ROUNDS;
        // In turn: a minute in which the machine is slow is slow for all of them.
        Map<String, List<List<Long>>> rounds = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            for (String path : paths) {
                rounds.computeIfAbsent(path, none -> new ArrayList<>()).add(pages.ask(path, seconds));
            }
        }
        rounds.forEach((path, asked) -> {
            List<Integer> aSecond =
                    asked.stream().map(nanos -> nanos.size() / seconds).sorted().toList();
            List<Long> nanos = asked.stream().flatMap(List::stream).sorted().toList();
            System.out.printf(
                    "%-6s %4d a second (%d to %d), half within %.1f ms, 95 %% within %.1f ms%n",
                    path.equals(bench) ? "bench" : path.equals("/") ? "rack" : "least",
                    aSecond.get(ROUNDS / 2),
                    aSecond.get(0),
                    aSecond.get(ROUNDS - 1),
                    nanos.get(nanos.size() / 2) / 1e6,
                    nanos.get(nanos.size() * 95 / 100) / 1e6);
        });
    }

    /** {@return the address of a run that is open} */
    private String signIn() throws IOException, InterruptedException {
        CookieManager cookies = new CookieManager();
        HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
        String page = client.send(
                        HttpRequest.newBuilder(address.resolve("/sign-in")).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        String token = first("name=\"_csrf\" value=\"([^\"]*)", page);
        client.send(
                HttpRequest.newBuilder(address.resolve("/sign-in"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "_csrf=" + URLEncoder.encode(token, UTF_8) + "&signIn=bench&password=under-the-stage"))
                        .build(),
                HttpResponse.BodyHandlers.discarding());
        for (HttpCookie one : cookies.getCookieStore().getCookies()) {
            cookie += one.getName() + "=" + one.getValue() + "; ";
        }
        String open = client.send(
                        HttpRequest.newBuilder(address.resolve("/bench")).build(), HttpResponse.BodyHandlers.ofString())
                .body();
        return first("href=\"(/bench/[0-9a-f-]{36})\"", open);
    }

    private static String first(String pattern, String page) {
        Matcher found = Pattern.compile(pattern).matcher(page);
        if (!found.find()) {
            throw new IllegalStateException(pattern + " is not in " + page);
        }
        return found.group(1);
    }

    /** {@return how long each answer took} */
    private List<Long> ask(String path, int seconds) throws InterruptedException {
        List<Long> nanos = Collections.synchronizedList(new ArrayList<>());
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);
        for (int client = 0; client < CLIENTS; client++) {
            clients.submit(() -> {
                while (System.nanoTime() < end) {
                    connect(path, end, nanos);
                }
                return null;
            });
        }
        clients.shutdown();
        if (!clients.awaitTermination(seconds + 60, TimeUnit.SECONDS)) {
            throw new IllegalStateException("no answer");
        }
        return nanos;
    }

    /** Asks over one connection until the server closes it, as it does after a hundred. */
    private void connect(String path, long end, List<Long> nanos) throws IOException {
        byte[] question = ("GET " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept-Encoding: gzip\r\nCookie: " + cookie
                        + "\r\n\r\n")
                .getBytes(US_ASCII);
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            socket.setTcpNoDelay(true);
            InputStream answer = new BufferedInputStream(socket.getInputStream());
            while (System.nanoTime() < end) {
                long began = System.nanoTime();
                socket.getOutputStream().write(question);
                read(answer);
                nanos.add(System.nanoTime() - began);
            }
        } catch (EOFException closed) {
            // The next connection goes on.
        }
    }

    private static void read(InputStream answer) throws IOException {
        String status = line(answer);
        if (!status.contains(" 200")) {
            throw new IllegalStateException(status);
        }
        long length = 0;
        boolean chunked = false;
        for (String header = line(answer); !header.isEmpty(); header = line(answer)) {
            if (header.regionMatches(true, 0, "Content-Length:", 0, 15)) {
                length = Long.parseLong(header.substring(15).trim());
            }
            chunked |= header.regionMatches(true, 0, "Transfer-Encoding:", 0, 18);
        }
        answer.skipNBytes(length);
        while (chunked) {
            int size = Integer.parseInt(line(answer).trim(), 16);
            answer.skipNBytes(size);
            line(answer);
            chunked = size > 0;
        }
    }

    private static String line(InputStream answer) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int sign = answer.read(); sign != '\n'; sign = answer.read()) {
            if (sign < 0) {
                throw new EOFException();
            }
            if (sign != '\r') {
                line.append((char) sign);
            }
        }
        return line.toString();
    }
}
