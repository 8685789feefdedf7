package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Sends what nobody means to send: to every form of every kind of page, and to every address that a controller answers, in each of
 * their fields. Whatever comes is answered in a page of our own that says what is the matter, and never by a fault.
 */
class SweepIT extends RunningApplication {

    private static final int LONG = 1500;

    /** So many forms share between them what is sent in all fields at once: all of it to each would take ten minutes. */
    private static final int ONE_IN = 4;

    /** What is typed into one field where something else is expected. */
    private static final List<String> BAD = List.of("", "\0", "-1", "null");

    /** What is typed into all of them at once. */
    private static final List<String> BAD_EVERYWHERE = List.of(
            " ",
            "a\u202eb",
            "\u200b",
            "x".repeat(LONG),
            "0",
            "1e999",
            "NaN",
            "99999999999",
            "2026-02-30",
            "'\"<>&",
            "\0");

    /** After a field's name: as if it were a list, or had parts. */
    private static final List<String> BAD_NAMES = List.of("[0]", "[x].y", "[");

    /** Would end the session that sweeps, and everything after it would only be asked to sign in. */
    private static final Set<String> LEFT_OUT = Set.of(
            "/sign-out", "/people/{id}/remove", "/people/{id}/active", "/away", "/begin", "/sign-in", "/sign-in/code");

    @Autowired
    RequestMappingHandlerMapping requestMappingHandlerMapping;

    private final List<String> broken = Collections.synchronizedList(new ArrayList<>());

    /** A form as it stands on a page. */
    private record Form(String method, String action, Map<String, String> fields) {

        String kind() {
            Set<String> names = fields.keySet().stream()
                    .map(name -> name.replaceAll("\\[.*", "[]"))
                    .collect(Collectors.toCollection(TreeSet::new));
            return method + " " + kindOf(action) + " " + names;
        }

        Form with(String name, String value) {
            Map<String, String> changed = new LinkedHashMap<>(fields);
            changed.put(name, value);
            return new Form(method, action, changed);
        }

        Form without(String name) {
            Map<String, String> changed = new LinkedHashMap<>(fields);
            changed.remove(name);
            return new Form(method, action, changed);
        }
    }

    private static String kindOf(String address) {
        return address.replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}|(?<=/drawer/)[0-9A-Z]{6}\\b", "{id}")
                .replaceAll("(?<=/day/)[-0-9]+", "{day}")
                .replaceAll("=[^&]*", "=");
    }

    /** A body that is no form, is cut off, or holds a file of anything: told in a page, or taken for what it is; never a fault. */
    @ParameterizedTest
    @CsvSource({
        "multipart/form-data, ''",
        "multipart/form-data; boundary=, x",
        "multipart/form-data; boundary=abc, '--abc|Content-Disposition: form-data; name=\"file\"; filename=\"a\"||cut off'",
        "multipart/form-data; boundary=abc, '--abc|Content-Disposition: form-data; name=\"FIELD\"; filename=\"a\"||BYTES|--abc--|'",
        "multipart/form-data; boundary=abc, '--abc|Content-Disposition: form-data; name=\"FIELD\"; filename=\"a\"|||--abc--|'",
        "multipart/form-data; boundary=abc, '--abc|Content-Disposition: form-data; name=\"FIELD[0]\"||BYTES|--abc--|'",
        "application/json, '{'"
    })
    void bodiesThatNoPageSendsAreAnsweredForInWords(String type, String body) throws Exception {
        Device keeper = new Device(address()).signIn("keeper").oneByOne();
        String token = Device.field(keeper.get("/drawer/import").body(), "_csrf");
        String violin = "/instruments/" + instrument("Pit 1 violin");
        byte[] bytes = new byte[2000];
        new Random(1).nextBytes(bytes);
        for (Map.Entry<String, String> file : Map.of(
                        "/drawer/import",
                        "file",
                        "/diary/import",
                        "file",
                        "/buying/import",
                        "file",
                        "/strings/import",
                        "file",
                        "/instruments/passport",
                        "file",
                        "/workshop/archive",
                        "file",
                        violin + "/passport/picture",
                        "picture",
                        violin + "/bridge/pictures",
                        "picture",
                        "/people",
                        "name")
                .entrySet()) {
            byte[] sent = body.replace("|", "\r\n")
                    .replace("FIELD", file.getValue())
                    .replace("BYTES", new String(bytes, ISO_8859_1))
                    .getBytes(ISO_8859_1);
            HttpResponse<byte[]> answer = keeper.sends(file.getKey(), token, type, sent);
            assertThat(answer.statusCode()).as("%s %s", file, type).isBetween(200, 499);
            if (answer.statusCode() != 302) {
                assertThat(Jsoup.parse(new String(answer.body(), UTF_8)).select("link[href*=/assets/app]"))
                        .as("a page of ours: %s %s", file, type)
                        .isNotEmpty();
            }
        }
    }

    @Test
    void everyBadValueIsAnsweredForInWords() throws Exception {
        Device keeper = new Device(address()).signIn("keeper");
        List<Form> forms = new ArrayList<>(forms(keeper));
        forms.addAll(addresses(forms));
        String token = Device.field(keeper.get("/password").body(), "_csrf");
        List<Form> all = forms.stream().flatMap(form -> bad(form).stream()).toList();
        ExecutorService devices = Executors.newFixedThreadPool(2);
        List<Future<?>> sent = new ArrayList<>();
        for (Form form : all) {
            sent.add(devices.submit(() -> send(keeper, form, token)));
        }
        for (Future<?> one : sent) {
            one.get();
        }
        devices.shutdown();
        assertThat(broken).isEmpty();
        assertThat(all).hasSizeGreaterThan(3000);
    }

    private static List<Form> bad(Form form) {
        List<String> names = form.fields().keySet().stream()
                .filter(name -> !name.equals("_csrf"))
                .toList();
        // Of what may be wrong with one field each gets one, and those of one name get different ones on different
        // forms.
        Stream<Form> oneByOne = names.stream().flatMap(name -> {
            int turn = Math.floorMod((form.kind() + name).hashCode(), BAD.size());
            return Stream.of(form.without(name), form.with(name, BAD.get(turn)));
        });
        List<Form> all = Stream.concat(
                        BAD_EVERYWHERE.stream().map(value -> all(form, names, "", value)),
                        BAD_NAMES.stream().map(end -> all(form, names, end, "x")))
                .toList();
        int turn = Math.floorMod(form.kind().hashCode(), ONE_IN);
        Stream<Form> everywhere = IntStream.range(0, all.size())
                .filter(place -> place % ONE_IN == turn)
                .mapToObj(all::get);
        // What is asked for in an address is mostly one or two fields.
        return (form.method().equals("GET") ? everywhere : Stream.concat(oneByOne, everywhere)).toList();
    }

    private static Form all(Form form, List<String> names, String end, String value) {
        Map<String, String> fields = new LinkedHashMap<>();
        // More than eight thousand letters fit into no address.
        String fits = form.method().equals("GET") ? value.substring(0, Math.min(value.length(), LONG / 8)) : value;
        names.forEach(name -> fields.put(name + end, fits));
        return new Form(form.method(), form.action(), fields);
    }

    private Void send(Device device, Form form, String token) throws Exception {
        String told = form.method() + " " + form.action() + " "
                + form.fields().toString().replaceAll("x{100,}", "x…").replace("\0", "\\0");
        HttpResponse<String> answer;
        if (form.method().equals("GET")) {
            String asked = form.fields().entrySet().stream()
                    .map(field -> encoded(field.getKey()) + "=" + encoded(field.getValue()))
                    .collect(Collectors.joining("&"));
            answer = device.get(form.action().replaceAll("\\?.*", "") + (asked.isEmpty() ? "" : "?" + asked));
        } else {
            answer = device.post(form.action(), form.with("_csrf", token).fields());
        }
        if (answer.statusCode() >= 500) {
            broken.add(answer.statusCode() + " " + told);
        } else if (answer.statusCode() >= 400 && !isOurs(answer)) {
            broken.add("not our page: " + answer.statusCode() + " " + told);
        } else if (answer.body().contains("id=\"signIn\"") && !form.action().startsWith("/join")) {
            broken.add("signed out by " + told);
        } else if (form.method().equals("POST") && answer.statusCode() == 200) {
            Document page = Jsoup.parse(answer.body());
            page
                    .select(
                            "form .field:has(.error) input[name]:not([type=file], [type=radio], [type=checkbox], [type=password])")
                    .stream()
                    .filter(field -> form.fields().containsKey(field.attr("name")))
                    // No page can show a zero byte.
                    .filter(field -> !form.fields().get(field.attr("name")).contains("\0"))
                    .filter(field -> !field.val()
                            .strip()
                            .equals(form.fields().get(field.attr("name")).strip()))
                    .forEach(field ->
                            broken.add("not as typed: " + field.attr("name") + " of " + told + " is " + field.val()));
        }
        return null;
    }

    private static boolean isOurs(HttpResponse<String> answer) {
        return answer.body().contains("Rosined Peg")
                || answer.body().contains("role=\"alert\"")
                || answer.body().contains("<dialog");
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, UTF_8);
    }

    /** {@return a form of each kind that a keeper meets} */
    private List<Form> forms(Device device) throws Exception {
        Map<String, Form> forms = new LinkedHashMap<>();
        Set<String> kinds = new HashSet<>();
        Deque<String> toOpen = new ArrayDeque<>(List.of("/"));
        kinds.add("/");
        while (!toOpen.isEmpty()) {
            String address = toOpen.remove();
            HttpResponse<String> answer = device.get(address);
            if (!answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
                continue;
            }
            Document page = Jsoup.parse(answer.body(), address());
            for (Element link : page.select("a[href], [hx-get]")) {
                String to = (link.hasAttr("hx-get") ? link.attr("hx-get") : link.attr("href")).replaceAll("#.*", "");
                if (to.startsWith("?")) {
                    to = address.replaceAll("\\?.*", "") + to;
                }
                if (to.startsWith("/") && kinds.add(kindOf(to))) {
                    toOpen.add(to.replace(" ", "%20"));
                    if (to.contains("?")) {
                        Form asked = new Form("GET", to, query(to));
                        forms.putIfAbsent(asked.kind(), asked);
                    }
                }
            }
            for (Element form : page.select("form")) {
                Form one = read(form, address);
                if (!LEFT_OUT.contains(kindOf(one.action()))) {
                    forms.putIfAbsent(one.kind(), one);
                }
            }
        }
        return List.copyOf(forms.values());
    }

    private static Map<String, String> query(String address) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String part : address.substring(address.indexOf('?') + 1).split("&")) {
            String[] both = part.split("=", 2);
            fields.put(URLDecoder.decode(both[0], UTF_8), both.length > 1 ? URLDecoder.decode(both[1], UTF_8) : "");
        }
        return fields;
    }

    private static Form read(Element form, String address) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Element field : form.select("[name]")) {
            if (field.attr("type").equals("file") || field.normalName().equals("button")) {
                continue;
            }
            boolean chosen = !List.of("checkbox", "radio").contains(field.attr("type")) || field.hasAttr("checked");
            if (chosen || !fields.containsKey(field.attr("name"))) {
                fields.put(field.attr("name"), value(field));
            }
        }
        String action = form.hasAttr("hx-post") ? form.attr("hx-post") : form.attr("action");
        String method = form.hasAttr("hx-post") || form.attr("method").equalsIgnoreCase("post") ? "POST" : "GET";
        return new Form(method, action.isEmpty() ? address : action, fields);
    }

    private static String value(Element field) {
        if (!field.normalName().equals("select")) {
            return field.val();
        }
        Element chosen = field.selectFirst("option[selected]");
        Element first = chosen == null ? field.selectFirst("option") : chosen;
        return first == null ? "" : first.val();
    }

    /** {@return what controllers answer and no form was found for, with the fields that they read} */
    private List<Form> addresses(List<Form> found) {
        Set<String> known = found.stream()
                .map(form -> form.method() + " " + kindOf(form.action()).replaceAll("\\?.*", ""))
                .collect(Collectors.toSet());
        return requestMappingHandlerMapping.getHandlerMethods().entrySet().stream()
                .filter(one -> one.getValue().getBeanType().getPackageName().startsWith("rosinedpeg"))
                .flatMap(one -> one.getKey().getPatternValues().stream()
                        .filter(path -> !LEFT_OUT.contains(path))
                        .map(path -> new Form(
                                one.getKey().getMethodsCondition().getMethods().stream()
                                                .findFirst()
                                                .orElseThrow()
                                                .asHttpMethod()
                                                .equals(HttpMethod.GET)
                                        ? "GET"
                                        : "POST",
                                path.replaceAll("\\{[^}]*}", "x"),
                                fields(one.getValue()))))
                .filter(form -> !known.contains(form.method() + " " + form.action()))
                .toList();
    }

    private static Map<String, String> fields(HandlerMethod handler) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (MethodParameter parameter : handler.getMethodParameters()) {
            if (parameter.hasParameterAnnotation(RequestParam.class)) {
                parameter.initParameterNameDiscovery(new org.springframework.core.DefaultParameterNameDiscoverer());
                fields.put(String.valueOf(parameter.getParameterName()), "");
            } else if (parameter.getParameterType().isRecord()
                    && parameter.getParameterType().getPackageName().startsWith("rosinedpeg")
                    && !parameter.getParameterType().getSimpleName().equals("SignedIn")) {
                Arrays.stream(parameter.getParameterType().getRecordComponents())
                        .forEach(component -> fields.put(component.getName(), ""));
            }
        }
        return fields;
    }
}
