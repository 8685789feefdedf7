package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.ThrowableProxyUtil;
import ch.qos.logback.core.read.ListAppender;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.context.SmartLifecycle;
import org.springframework.test.util.ReflectionTestUtils;
import rosinedpeg.web.platform.SignedIn;

/** What whoever runs the application can see of it, and what nobody can. */
class WatchIT extends InRequests {

    @Autowired
    PrometheusMeterRegistry figures;

    @Autowired
    ApplicationContext context;

    /** Figures have a port of their own, and name nobody. */
    @Test
    void figuresStandOnAPortOfTheirOwn() throws Exception {
        page(account("keeper"), "/people");
        SmartLifecycle port = context.getBean("figuresPort", SmartLifecycle.class);
        assertThat(port.isRunning()).as("off until it is wanted").isFalse();
        int free;
        try (ServerSocket any = new ServerSocket(0)) {
            free = any.getLocalPort();
        }
        ReflectionTestUtils.setField(port, "port", free);
        port.start();
        try {
            String told = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + free + "/metrics"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
            assertThat(told)
                    .contains(
                            "http_server_requests_seconds_count",
                            "uri=\"/people\"",
                            "hikaricp_connections_active",
                            "jvm_memory_used_bytes")
                    .doesNotContain("Pit 1", "Keeper of", "Lantern Quay");
        } finally {
            port.stop();
            ReflectionTestUtils.setField(port, "port", 0);
        }
        assertThat(get(account("keeper"), "/actuator/prometheus")).hasStatus(404);
    }

    /** A keeper reads in words what is slow or failing; whatever was asked for has a name there. */
    @Test
    void theKeeperReadsWhatIsSlowOrFailing() throws Exception {
        SignedIn keeper = account("keeper");
        for (String path : List.of("/", "/bench", "/week", "/lives", "/practice", "/listen", "/kit", "/people")) {
            page(keeper, path);
        }
        Document well = Jsoup.parse(page(keeper, "/running"));
        assertThat(well.text()).doesNotContain("??").contains("Rack", "Bench", "Connections in use");

        for (int i = 0; i < 30; i++) {
            figures.timer("http.server.requests", "uri", "/lend/turn", "outcome", "SUCCESS")
                    .record(900, TimeUnit.MILLISECONDS);
        }
        figures.timer("http.server.requests", "uri", "/drawer/{code}", "outcome", "SERVER_ERROR")
                .record(3, TimeUnit.MILLISECONDS);
        assertThat(Jsoup.parse(page(keeper, "/running")).text())
                .contains("Drawer: one page could not be answered")
                .containsPattern("pages? could not be answered since the start")
                .containsPattern("Lend: one page in twenty takes longer than (8[5-9]\\d|9\\d\\d) ms");
        assertThat(get(account("bench"), "/running")).hasStatus(403);
    }

    /** Every part that ships stands there with its licence, as the build found it. */
    @Test
    void everyPartThatShipsHasItsLicence() throws Exception {
        Document page = Jsoup.parse(page(account("pit"), "/licences"));
        assertThat(page.select("tbody tr"))
                .hasSizeGreaterThan(150)
                .allSatisfy(row ->
                        assertThat(row.select("td").eachText()).as(row.text()).hasSize(2));
        assertThat(page.select(".error")).as("a list is missing").isEmpty();
        assertThat(page.text())
                .contains("org.webjars.npm:htmx.org", "@fontsource/fraunces", "tailwindcss", "OFL-1.1")
                .doesNotContain("playwright", "jqwik");
    }

    /** Logs are for whoever runs the server: who came in and whose rights changed, and nothing that names anybody or that somebody typed. */
    @Test
    void logsNameNobody() throws Exception {
        Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        log.start();
        root.addAppender(log);
        String typed = "Quibblethorn";
        SignedIn keeper = account("keeper");
        try {
            mvc.post()
                    .uri("/sign-in")
                    .param("signIn", typed)
                    .param("password", typed)
                    .with(csrf())
                    .exchange();
            new Device(address()).signIn("bench");
            post(keeper, "/people/" + account("pit").accountId() + "/active", "active", "false");
            post(keeper, "/people", "name", typed, "role", "PLAYER");
            post(keeper, "/people", "name", typed.repeat(9), "role", "PLAYER");
            String violin = "/instruments/" + instrument("Pit 1 violin");
            post(keeper, violin + "/notes", "text", typed + "\0");
            post(keeper, violin + "/notes", "text", typed, "refer", typed);
            post(keeper, "/lend/new", "instrument", typed, "borrower", typed);
            get(keeper, "/instruments/" + typed);
            get(keeper, "/drawer/" + typed);
            post(keeper, "/buying/suppliers", "name", typed, "leadDays", typed);
        } finally {
            root.detachAppender(log);
        }
        for (ILoggingEvent event : log.list) {
            String told = event.getFormattedMessage()
                    + (event.getThrowableProxy() == null ? "" : ThrowableProxyUtil.asString(event.getThrowableProxy()));
            assertThat(told).doesNotContain(typed, keeper.name(), "Lantern Quay");
            assertThat(event.getMDCPropertyMap()).isEqualTo(Map.of());
        }
        assertThat(log.list)
                .extracting(ILoggingEvent::getFormattedMessage)
                .contains(
                        "A sign-in was refused",
                        "Signed in: account " + account("bench").accountId() + ", by nobody who is signed in",
                        "It was shut: account " + account("pit").accountId() + ", by account " + keeper.accountId(),
                        "Somebody was invited as PLAYER");
    }
}
