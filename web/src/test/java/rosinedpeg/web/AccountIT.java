package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestBuilders.formLogin;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

    @Test
    void aKeeperAddsAPersonAndShutsTheAccountAgain() throws Exception {
        SignedIn keeper = stranger();
        String signIn = "player-" + UUID.randomUUID();
        assertThat(post(
                        "/people",
                        keeper,
                        Map.of("name", "Desk 2", "signIn", signIn, "role", "PLAYER", "password", "a long password")))
                .hasStatus(302);
        assertThat(signsIn(signIn, "a long password")).isTrue();
        SignedIn player = account(signIn);
        assertThat(player.workshopId()).isEqualTo(keeper.workshopId());

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

    @ParameterizedTest
    @CsvSource({
        "Desk 2, bench, a long password, Somebody already signs in with this name.",
        "Desk 2, two words, a long password, 2 to 60 letters",
        "Desk 2, desk2, short, It takes 10 to 100 characters.",
        "'', desk2, a long password, Write something"
    })
    void aPersonThatCannotBeAddedComesBackAsTyped(String name, String signIn, String password, String sentence) {
        assertThat(post(
                        "/people",
                        account("keeper"),
                        Map.of("name", name, "signIn", signIn, "role", "TECHNICIAN", "password", password)))
                .hasStatus(200)
                .bodyText()
                .contains(sentence)
                .contains("value=\"" + signIn + "\"");
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
