package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestBuilders.formLogin;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** People and passwords. */
@AutoConfigureMockMvc
class AccountIT extends RunningApplication {

    @Autowired
    MockMvcTester mvc;

    @Autowired
    MockMvc plain;

    private MvcTestResult post(String path, SignedIn who, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(user(who)).with(csrf());
        fields.forEach(request::param);
        return request.exchange();
    }

    private boolean signsIn(String signIn, String password) throws Exception {
        String location = plain.perform(formLogin("/sign-in")
                        .userParameter("signIn")
                        .user(signIn)
                        .password(password))
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        return location != null && location.endsWith("/");
    }

    /** Makes a link and reads it where it is shown once: /join/… */
    private String link(String path, SignedIn keeper, Map<String, String> fields) {
        MvcTestResult made = post(path, keeper, fields);
        assertThat(made).hasStatus(302);
        String handed = (String) made.getMvcResult().getFlashMap().get("handed");
        return handed.substring(handed.indexOf("/join/"));
    }

    private MvcTestResult join(String link, String signIn, String password) {
        return mvc.post()
                .uri(link)
                .with(csrf())
                .param("signIn", signIn)
                .param("password", password)
                .param("repeated", password)
                .exchange();
    }

    @Test
    void somebodyIsInvitedJoinsOnceAndIsShutOutAgain() throws Exception {
        SignedIn keeper = stranger();
        String signIn = "player-" + UUID.randomUUID();
        String link = link("/people", keeper, Map.of("name", "Desk 2", "role", "PLAYER"));
        assertThat(mvc.get().uri(link)).bodyText().contains("Desk 2, you are invited as player");
        assertThat(join(link, "bench", "a long password"))
                .bodyText()
                .contains("Somebody already signs in with this name");
        assertThat(join(link, "two words", "short"))
                .bodyText()
                .contains("2 to 60 letters", "It takes 10 to 100 characters.", "value=\"two words\"");
        assertThat(join(link, signIn, "a long password")).hasRedirectedUrl("/sign-in?joined");
        assertThat(signsIn(signIn, "a long password")).isTrue();
        SignedIn player = account(signIn);
        assertThat(player.workshopId()).isEqualTo(keeper.workshopId());
        assertThat(join(link, signIn + "2", "a long password")).bodyText().contains("This link is over");

        assertThat(post("/people/" + player.accountId() + "/active", keeper, Map.of("active", "false")))
                .hasStatus(302);
        assertThat(signsIn(signIn, "a long password")).isFalse();
        assertThat(post("/people/" + player.accountId() + "/active", stranger(), Map.of("active", "true")))
                .as("not by another workshop's keeper")
                .hasStatus(404);
        assertThat(post("/people/" + keeper.accountId() + "/active", keeper, Map.of("active", "false")))
                .hasStatus(302);
        assertThat(account(keeper.signIn()).active())
                .as("nobody shuts themselves out")
                .isTrue();
    }

    @Test
    void anInvitationIsTakenBackAndEndsAfterAWeek() {
        SignedIn keeper = stranger();
        String taken = link("/people", keeper, Map.of("name", "Desk 3", "role", "TECHNICIAN"));
        UUID id = database.sql("select id from one_time_link where workshop_id = ?")
                .param(keeper.workshopId())
                .query(UUID.class)
                .single();
        String takeBack = "/people/invitations/" + id + "/take-back";
        assertThat(post(takeBack, stranger(), Map.of())).hasStatus(302);
        assertThat(mvc.get().uri(taken))
                .as("not by another workshop's keeper")
                .bodyText()
                .contains("Desk 3, you");
        assertThat(post(takeBack, keeper, Map.of())).hasStatus(302);
        assertThat(mvc.get().uri(taken)).bodyText().contains("This link is over");

        String old = link("/people", keeper, Map.of("name", "Desk 4", "role", "PLAYER"));
        database.sql("update one_time_link set ends_at = now() - interval '1 minute' where workshop_id = ?")
                .param(keeper.workshopId())
                .update();
        assertThat(join(old, "desk4-" + UUID.randomUUID(), "a long password"))
                .bodyText()
                .contains("This link is over");
        assertThat(database.sql("select count(*) from one_time_link where encode(hash, 'base64') like ?")
                        .param("%" + old.substring(6, 20) + "%")
                        .query(Integer.class)
                        .single())
                .as("the secret is not kept")
                .isZero();
    }

    @Test
    void whoHasForgottenTheirPasswordGetsALinkForANewOne() throws Exception {
        SignedIn keeper = stranger();
        String invited = link("/people", keeper, Map.of("name", "Desk 5", "role", "PLAYER"));
        String signIn = "player-" + UUID.randomUUID();
        assertThat(join(invited, signIn, "a long password")).hasStatus(302);
        String forgotten = "/people/" + account(signIn).accountId() + "/forgotten";
        assertThat(post(forgotten, stranger(), Map.of()))
                .as("not by another workshop's keeper")
                .hasStatus(404);
        String first = link(forgotten, keeper, Map.of());
        String second = link(forgotten, keeper, Map.of());
        assertThat(join(first, "", "another long one"))
                .as("a newer one ends it")
                .bodyText()
                .contains("This link is over");
        assertThat(join(second, "", "another long one")).hasRedirectedUrl("/sign-in?joined");
        assertThat(signsIn(signIn, "a long password")).isFalse();
        assertThat(signsIn(signIn, "another long one")).isTrue();
    }

    @Test
    void aPasswordIsChangedByWhoKnowsIt() throws Exception {
        SignedIn somebody = stranger();
        assertThat(post("/password", somebody, Map.of("present", "wrong", "wanted", "short", "repeated", "other")))
                .hasStatus(200)
                .bodyText()
                .contains("This is not your present password.")
                .contains("It takes 10 to 100 characters.")
                .contains("The two do not match.");
        assertThat(signsIn(somebody.signIn(), PASSWORD)).isTrue();
        assertThat(post(
                        "/password",
                        somebody,
                        Map.of("present", PASSWORD, "wanted", "over-the-stage", "repeated", "over-the-stage")))
                .hasStatus(302);
        assertThat(signsIn(somebody.signIn(), PASSWORD)).isFalse();
        assertThat(signsIn(somebody.signIn(), "over-the-stage")).isTrue();
    }
}
