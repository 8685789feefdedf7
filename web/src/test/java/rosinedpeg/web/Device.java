package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A device with a session of its own, which speaks plain HTTP. */
final class Device {

    private final HttpClient client;
    private final CookieManager cookies;
    private final String address;
    private final String through;

    Device(String address) {
        this(address, new CookieManager(), HttpClient.Redirect.NORMAL, "");
    }

    private Device(String address, CookieManager cookies, HttpClient.Redirect redirect, String through) {
        this.address = address;
        this.through = through;
        this.cookies = cookies;
        this.client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .followRedirects(redirect)
                .build();
    }

    /** {@return the same, which shows an answer that leads elsewhere instead of going there} */
    Device oneByOne() {
        return new Device(address, cookies, HttpClient.Redirect.NEVER, through);
    }

    /** {@return the same, behind a proxy that names these addresses: what the device said itself, and what the proxy saw} */
    Device through(String addresses) {
        return new Device(address, cookies, client.followRedirects(), addresses);
    }

    /** Forgets the session, as a browser does that was closed for long enough. */
    void endSession() {
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("peg"))
                .toList()
                .forEach(cookie -> cookies.getCookieStore().remove(null, cookie));
    }

    Device signIn(String who) throws Exception {
        tries(who, RunningApplication.PASSWORD);
        return this;
    }

    /** {@return where it leads to} */
    HttpResponse<String> tries(String who, String password) throws Exception {
        String signIn = get("/sign-in").body();
        return post("/sign-in", Map.of("signIn", who, "password", password, "_csrf", field(signIn, "_csrf")));
    }

    /** {@return a socket to the server, opened by a page of some origin} */
    WebSocket socket(String path, String origin, WebSocket.Listener listener) {
        return client.newWebSocketBuilder()
                .header("Origin", origin)
                .buildAsync(URI.create(address.replaceFirst("^http", "ws") + path), listener)
                .join();
    }

    private String[] proxy() {
        return new String[] {"X-Forwarded-For", through.isEmpty() ? "127.0.0.1" : through};
    }

    HttpResponse<String> get(String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Accept", "text/html, */*")
                        .headers(proxy())
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a form; to the bench, and to the practice peg, as their pages do. */
    HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
        String body = fields.entrySet().stream()
                .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html, */*")
                .headers(proxy());
        if (path.matches("/(bench|practice)/.*")) {
            request.header("HX-Request", "true");
        }
        return client.send(
                request.POST(HttpRequest.BodyPublishers.ofString(body)).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a table as a file. */
    HttpResponse<String> sends(String path, String token, String table) throws Exception {
        String parting = "a-table";
        String body = "--" + parting + "\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + token + "\r\n--"
                + parting + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"table.csv\"\r\n"
                + "Content-Type: text/csv\r\n\r\n" + table + "\r\n--" + parting + "--\r\n";
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "multipart/form-data; boundary=" + parting)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        return client.send(request, HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a body as it is, with the token in a header. */
    HttpResponse<byte[]> sends(String path, String token, String type, byte[] body) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", type)
                        .header("Accept", "text/html, */*")
                        .header("X-CSRF-TOKEN", token)
                        .headers(proxy())
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body))
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    /** {@return what a field of a form on a page holds} */
    static String field(String page, String name) {
        Matcher matcher =
                Pattern.compile("name=\"" + name + "\" value=\"([^\"]*)\"").matcher(page);
        assertThat(matcher.find()).as("field " + name + " in " + page).isTrue();
        return matcher.group(1);
    }
}
