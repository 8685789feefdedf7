package rosinedpeg.web;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;

/**
 * No visible word stands outside the message bundle: in a made-up language, which has the bundle's words in Greek
 * letters, no page shows a Latin word but what people have entered.
 */
class PseudoLanguageIT extends InRequests {

    private static final Locale MADE_UP = Locale.forLanguageTag("el");
    private static final String GREEK = "αβψδεφγηιξκλμνοπθρστυωςχύζ";
    private static final List<String> READ_OUT = List.of("aria-label", "title", "placeholder", "alt", "content");
    private static final Pattern LATIN = Pattern.compile("[\\p{IsLatin}&&[^ªº]]+");
    /** Strings, notes and the keys of the keyboard that are one letter. */
    private static final Pattern NO_WORD = Pattern.compile("[IV]+|[A-Z]");

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}|(?<=/drawer/)[0-9A-Z]{6}\\b");
    private static final Pattern FIGURES = Pattern.compile("(?<==|/day/)[\\d.,-]+");
    private static final int ALIKE = 4;

    @Autowired
    Benches benches;

    @Autowired
    Instruments instruments;

    @BeforeAll
    static void translate() throws Exception {
        Properties english = new Properties();
        try (InputStream in = PseudoLanguageIT.class.getResourceAsStream("/messages.properties")) {
            english.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        }
        Properties madeUp = new Properties();
        english.forEach((key, text) -> {
            if (!key.toString().startsWith("date.")) {
                madeUp.put(key, translated(text.toString()));
            }
        });
        madeUp.put("language", MADE_UP.toLanguageTag());
        try (Writer out = Files.newBufferedWriter(Path.of("target/test-classes/messages_el.properties"))) {
            madeUp.store(out, null);
        }
    }

    /** In Greek letters, but for what stands in braces: of a choice only its conditions are left as they are. */
    private static String translated(String text) {
        StringBuilder translated = new StringBuilder();
        int braces = 0;
        boolean choice = false;
        boolean words = true;
        for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            if (letter == '{') {
                choice = braces == 0 ? text.startsWith(",choice,", i + 2) : choice;
                braces++;
                words = false;
            } else if (letter == '}') {
                braces--;
                words = braces == 0 || choice;
            } else if (choice && braces == 1 && (letter == '#' || letter == '<')) {
                words = true;
            } else if (choice && braces == 1 && letter == '|') {
                words = false;
            }
            translated.append(words ? greek(letter) : letter);
        }
        return translated.toString();
    }

    private static char greek(char letter) {
        int small = Character.toLowerCase(letter) - 'a';
        if (small < 0 || small >= GREEK.length()) {
            return letter;
        }
        return Character.isUpperCase(letter) ? Character.toUpperCase(GREEK.charAt(small)) : GREEK.charAt(small);
    }

    @Test
    void noPageShowsAWordThatIsNotInTheBundle() throws Exception {
        Pattern data = data();
        Map<String, Integer> seen = new HashMap<>();
        Set<String> known = new LinkedHashSet<>(Set.of("/", "/sign-in", "/error", "/instruments/" + UUID.randomUUID()));
        Deque<String> ahead = new ArrayDeque<>(known);
        List<String> words = new ArrayList<>();
        while (!ahead.isEmpty()) {
            String address = ahead.pop();
            MvcTestResult answer = mvc.get()
                    .uri(java.net.URI.create(address))
                    .locale(MADE_UP)
                    .with(user(account("keeper")))
                    .exchange();
            String type = answer.getResponse().getContentType();
            if (type == null || !type.startsWith("text/html")) {
                continue;
            }
            Document page = Jsoup.parse(answer.getResponse().getContentAsString());
            latin(page, data).forEach(word -> words.add(address + ": " + word));
            for (Element link : page.select("a[href^=/]")) {
                String to = link.attr("href");
                String pattern =
                        FIGURES.matcher(ID.matcher(to).replaceAll("id")).replaceAll("n");
                if (known.add(to) && seen.merge(pattern, 1, Integer::sum) <= ALIKE) {
                    ahead.add(to);
                }
            }
        }
        assertThat(words).isEmpty();
        assertThat(seen.keySet()).as("pages that were found").hasSizeGreaterThan(60);
    }

    @Test
    void noStepOfARunDoesEither() throws Exception {
        Pattern data = data();
        UUID cello = instrument("Pit 8 cello");
        UUID run = CurrentWorkshop.in(account("bench"), () -> {
            Instrument instrument = instruments.get(cello);
            var on = instrument.string(Position.II).orElseThrow();
            return benches.start(
                    cello,
                    ChangePlanner.plan(ChangeRequest.usual(
                            instrument.setUp(),
                            instrument.specs(),
                            Map.of(Position.II, on.kind().spec()))),
                    Map.of(Position.II, on.kind().id()),
                    Reason.WORN,
                    true);
        });
        List<String> words = new ArrayList<>();
        Document page = bench(run);
        for (int steps = 0; steps < 80 && page.selectFirst("button[data-key=next]") != null; steps++) {
            latin(page, data).forEach(words::add);
            if (steps == 3) {
                page = press(page.selectFirst("button[name=mishap][value=GROOVE_SNAGS]"), run, "string", "II");
            } else {
                Element reading = page.selectFirst("input[name=cents]");
                if (reading != null) {
                    latin(press(reading, run, "cents", "9000"), data).forEach(words::add);
                }
                page = press(page.selectFirst("button[data-key=next]"), run, "", "");
            }
        }
        latin(page, data).forEach(words::add);
        Document noted = Jsoup.parse(mvc.get()
                .uri("/instruments/" + cello)
                .locale(MADE_UP)
                .with(user(account("bench")))
                .exchange()
                .getResponse()
                .getContentAsString());
        assertThat(noted.text()).as("what went wrong is noted").contains(translated("groove"));
        latin(noted, data).forEach(words::add);
        assertThat(words).isEmpty();
        assertThat(page.select(".bench-work h1").text()).as("the run is over").contains("II");
    }

    private Document bench(UUID run) throws Exception {
        return Jsoup.parse(mvc.get()
                .uri("/bench/" + run)
                .locale(MADE_UP)
                .with(user(account("bench")))
                .exchange()
                .getResponse()
                .getContentAsString());
    }

    /** Sends the form a button or field stands in. */
    private Document press(Element inForm, UUID run, String field, String value) throws Exception {
        Element form = inForm.closest("form");
        var post = mvc.post()
                .uri(form.attr("action"))
                .locale(MADE_UP)
                .with(user(account("bench")))
                .with(csrf());
        for (Element hidden : form.select("input[type=hidden]")) {
            post = post.param(hidden.attr("name"), hidden.val());
        }
        if (inForm.hasAttr("value")
                && !inForm.attr("name").isEmpty()
                && inForm.normalName().equals("button")) {
            post = post.param(inForm.attr("name"), inForm.val());
        }
        MvcTestResult answer = (field.isEmpty() ? post : post.param(field, value)).exchange();
        return answer.getResponse().getStatus() == 200
                ? Jsoup.parse(answer.getResponse().getContentAsString())
                : bench(run);
    }

    /** What people have entered, as one pattern with the longest first: a thousand pages are held against it. */
    private Pattern data() {
        List<String> data = new ArrayList<>(List.of("Rosined", "Peg", PASSWORD));
        List<Map<String, Object>> columns = database.sql(
                        "select table_name, column_name from information_schema.columns"
                                + " where table_schema = 'public' and column_name in"
                                + " ('name', 'sign_in', 'maker', 'line', 'text')")
                .query()
                .listOfRows();
        for (Map<String, Object> column : columns) {
            String name = column.get("column_name").toString();
            data.addAll(database.sql("select distinct " + name + " from " + column.get("table_name") + " where " + name
                            + " is not null")
                    .query(String.class)
                    .list());
        }
        data.addAll(database.sql(
                        "select distinct note from string_sound where note <> '' union select note from bench_wish where note <> ''"
                                + " union select substr(name, 9) from instrument where name like 'Lending %'"
                                + " union select why from instrument_away union"
                                + " select distinct place from drawer_string where place <> '' union"
                                + " select substr(code, 1, 3) || ' ' || substr(code, 4) from drawer_string union"
                                + " select currency from drawer_string where currency is not null")
                .query(String.class)
                .list());
        data.sort(Comparator.comparing(String::length).reversed());
        return Pattern.compile(
                data.stream().map(Pattern::quote).collect(joining("|", "(?<!\\p{L})(?:", ")(?!\\p{L})")));
    }

    /** The Latin words a page shows or reads out, with what they stand in. */
    private static List<String> latin(Document page, Pattern data) {
        List<String> texts = new ArrayList<>();
        NodeTraversor.traverse(
                (NodeVisitor) (node, depth) -> {
                    // The headings of a file are the same in every language, and say so.
                    if (node instanceof TextNode text
                            && !text.isBlank()
                            && !"no".equals(text.parent().attr("translate"))) {
                        texts.add(text.text());
                    } else if (node instanceof Element element
                            && !element.normalName().equals("meta")) {
                        READ_OUT.stream().map(element::attr).forEach(texts::add);
                    }
                },
                page);
        List<String> latin = new ArrayList<>();
        for (String text : texts) {
            String rest = data.matcher(text).replaceAll("");
            String words = LATIN.matcher(rest)
                    .results()
                    .map(MatchResult::group)
                    .filter(word -> !NO_WORD.matcher(word).matches())
                    .collect(joining(" "));
            if (!words.isEmpty()) {
                latin.add(words + " (" + text.strip() + ")");
            }
        }
        return latin;
    }
}
