package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** Tests by requests, without a browser. */
@AutoConfigureMockMvc
abstract class InRequests extends RunningApplication {

    @Autowired
    MockMvcTester mvc;

    /** Asks for something. */
    MvcTestResult get(SignedIn who, String path) {
        return mvc.get().uri(path).with(user(who)).exchange();
    }

    /** {@return a page as somebody sees it} */
    String page(SignedIn who, String path) throws Exception {
        MvcTestResult result = get(who, path);
        assertThat(result).hasStatus(200);
        return result.getResponse().getContentAsString();
    }

    /** Somebody enters a synthetic string of one set for the full-sized violin from its packet. */
    void enterKind(SignedIn who, String position) {
        assertThat(post(
                        who,
                        "/strings/new",
                        "maker",
                        "Harrow",
                        "line",
                        "Tarn",
                        "size",
                        "VIOLIN 4/4",
                        "position",
                        position,
                        "core",
                        "SYNTHETIC",
                        "winding",
                        "ALUMINIUM",
                        "known",
                        "GAUGE"))
                .hasStatus(302);
    }

    /** Somebody puts a full-sized violin on the rack, strung with nobody knows what. */
    UUID violin(SignedIn who, String name) {
        assertThat(post(who, "/instruments/new", "name", name, "size", "VIOLIN 4/4", "strung", "UNKNOWN"))
                .hasStatus(302);
        return database.sql("select id from instrument where workshop_id = ? and name = ?")
                .params(who.workshopId(), name)
                .query(UUID.class)
                .single();
    }

    /** {@return the kind that somebody entered for a place} */
    UUID kind(SignedIn who, String position) {
        return database.sql("select id from string_kind where workshop_id = ? and source = 'PACKET' and position = ?")
                .params(who.workshopId(), position)
                .query(UUID.class)
                .single();
    }

    /** Sends a form, names and values in turn. */
    MvcTestResult post(SignedIn who, String path, String... fields) {
        var request = mvc.post().uri(path).with(user(who)).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request = request.param(fields[i], fields[i + 1]);
        }
        return request.exchange();
    }

    /**
     * A form as a page shows it, filled in otherwise.
     *
     * @param page the address of the page
     * @param action where the form is sent
     * @param changed what is typed or ticked instead, names and values in turn; all of one name replaces all that was there of it
     * @return all its fields, names and values in turn
     */
    String[] filled(SignedIn who, String page, String action, String... changed) throws Exception {
        List<String> fields = new ArrayList<>(List.of(changed));
        Element form = Jsoup.parse(page(who, page)).selectFirst("form[method=post][action=" + action + "]");
        assertThat(form).as("a form for %s", action).isNotNull();
        ((FormElement) form).formData().forEach(field -> {
            if (!List.of(changed).contains(field.key())) {
                fields.addAll(List.of(field.key(), field.value()));
            }
        });
        return fields.toArray(String[]::new);
    }

    /** Sends a table as a file. */
    MvcTestResult send(SignedIn who, String path, String table) {
        return mvc.post()
                .uri(path)
                .multipart()
                .file(new MockMultipartFile("file", "table.csv", "text/csv", table.getBytes(StandardCharsets.UTF_8)))
                .with(user(who))
                .with(csrf())
                .exchange();
    }

    /** Eight fingers on one button. */
    List<Integer> atOnce(SignedIn who, String path, String... fields) throws Exception {
        ExecutorService fingers = Executors.newFixedThreadPool(8);
        try {
            List<Integer> answers = new ArrayList<>();
            Callable<Integer> press =
                    () -> post(who, path, fields).getResponse().getStatus();
            for (Future<Integer> answer : fingers.invokeAll(Collections.nCopies(8, press))) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            fingers.shutdown();
        }
    }

    /** {@return what a form is told that is not taken} */
    String refusal(SignedIn who, String path, String... fields) throws Exception {
        MvcTestResult answer = post(who, path, fields);
        assertThat(answer).hasStatus(200);
        return Jsoup.parse(answer.getResponse().getContentAsString())
                .select(".error")
                .text();
    }
}
