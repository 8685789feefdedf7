package rosinedpeg.web;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestBuilders.formLogin;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import jakarta.servlet.http.Cookie;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.scheduling.config.ScheduledTask;
import org.springframework.scheduling.config.ScheduledTaskHolder;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.Role;
import rosinedpeg.web.platform.SignedIn;

/** People and passwords. */
class AccountIT extends InRequests {

    @Autowired
    MockMvc plain;

    @Autowired
    ScheduledTaskHolder scheduled;

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

    /** {@return what follows the name that whoever joins by a link chooses} */
    private String number(String link) throws Exception {
        return mvc.get()
                .uri(link)
                .exchange()
                .getResponse()
                .getContentAsString()
                .replaceAll("(?s).*signs in as maria(-\\d{4})\\..*", "$1");
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
        String link = link("/people", keeper, Map.of("name", "Desk 2", "role", "PLAYER"));
        assertThat(mvc.get().uri(link)).bodyText().contains("Desk 2, you are invited as player");
        String signIn = "bench" + number(link);
        assertThat(join(link, "two words", "short"))
                .bodyText()
                .contains("2 to 60 letters", "It takes 10 to 100 characters.", "value=\"two words\"");
        assertThat(join(link, " Bench", "a long password"))
                .as("a name that is taken elsewhere")
                .hasRedirectedUrl("/sign-in?joined");
        assertThat(signsIn(signIn, "a long password")).isTrue();
        SignedIn player = account(signIn);
        assertThat(player.workshopId()).isEqualTo(keeper.workshopId());
        assertThat(join(link, "desk", "a long password")).bodyText().contains("This link is over");

        String another = link("/people", keeper, Map.of("name", "Desk 3", "role", "PLAYER"));
        database.sql(
                        "update one_time_link o set id = overlay(o.id::text placing right(used.id::text, 17) from 20)::uuid"
                                + " from one_time_link used where used.used_at is not null and used.workshop_id = o.workshop_id"
                                + " and o.used_at is null and o.workshop_id = ?")
                .param(keeper.workshopId())
                .update();
        assertThat(join(another, "bench", "a long password"))
                .as("with the same number")
                .bodyText()
                .contains("Somebody already signs in with this name");

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
        String signIn = "desk" + number(invited);
        assertThat(join(invited, "desk", "a long password")).hasStatus(302);
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

    private Cookie signIn(String signIn) throws Exception {
        return requireNonNull(plain.perform(formLogin("/sign-in")
                        .userParameter("signIn")
                        .user(signIn)
                        .password(PASSWORD))
                .andReturn()
                .getResponse()
                .getCookie("peg"));
    }

    private String rack(Cookie session) throws Exception {
        MvcTestResult rack = mvc.get().uri("/").cookie(session).exchange();
        assertThat(rack).hasStatus(200);
        return rack.getResponse().getContentAsString();
    }

    private int signed(UUID person) {
        return database.sql("select count(*) from run_event where recorded_by = ?")
                .param(person)
                .query(Integer.class)
                .single();
    }

    private String log(SignedIn keeper) throws Exception {
        return page(keeper, "/instruments/" + instrument("Pit 1 violin") + "/log");
    }

    /** A name stands in one place: another is everywhere at once, also where its bearer signed before. */
    @Test
    void whoeverIsCalledOtherwiseIsCalledSoEverywhere() throws Exception {
        SignedIn keeper = account("keeper");
        SignedIn bench = account("bench");
        assertThat(log(keeper)).contains(bench.name()).doesNotContain("Bench by the window");
        String address = "/people/" + bench.accountId();
        assertThat(post(address, keeper, Map.of("name", " ")))
                .hasStatus(200)
                .bodyText()
                .contains("class=\"error\"");
        assertThat(post(address, keeper, Map.of("name", keeper.name().toUpperCase(Locale.ROOT))))
                .hasStatus(200)
                .bodyText()
                .contains("Somebody here is called that already");
        post("/week/hours", keeper, Map.of("person", "Ann", "monday", "9-12"));
        assertThat(post(address, keeper, Map.of("name", "ann")))
                .as("of somebody who only stands at the bench")
                .hasStatus(200);
        assertThat(post("/people", keeper, Map.of("name", "Ann")))
                .as("who is invited then")
                .hasStatus(302);
        assertThat(post("/people", keeper, Map.of("name", "pit 1"))).hasStatus(200);
        String[] shown = filled(keeper, address, address, "name", "Bench by the window", "role", "PLAYER");
        assertThat(post(keeper, address, shown)).hasStatus(302);
        assertThat(account("bench").role()).isEqualTo(Role.PLAYER);
        assertThat(log(keeper)).contains("Bench by the window").doesNotContain(bench.name());
        assertThat(page(keeper, "/week/hours"))
                .as("who is at the bench is the same person")
                .contains("Bench by the window")
                .doesNotContain(bench.name());
        String own = "/people/" + keeper.accountId();
        assertThat(post(keeper, own, filled(keeper, own, own, "name", "The keeper", "role", "PLAYER")))
                .hasStatus(302);
        assertThat(account("keeper").role()).as("nobody changes their own").isEqualTo(Role.KEEPER);
        assertThat(account("keeper").name()).isEqualTo("The keeper");
        assertThat(post(address, stranger(), Map.of("name", "Mine")))
                .as("of another workshop")
                .hasStatus(404);
    }

    /** What somebody recorded stays; who it was does not. The ledger need not be touched for it. */
    @Test
    void whoeverIsRemovedIsSomebodyFromThenOn() throws Exception {
        SignedIn keeper = account("keeper");
        SignedIn bench = account("bench");
        run(bench);
        int ledger = signed(bench.personId());
        assertThat(ledger).isPositive();
        assertThatThrownBy(() -> database.sql("update run_event set recorded_by = ?")
                        .param(keeper.personId())
                        .update())
                .hasMessageContaining("only ever added to");
        accounts.add(keeper.workshopId(), "double", bench.name(), Role.PLAYER, PASSWORD);
        assertThat(post("/people/" + account("double").accountId() + "/remove", keeper, Map.of()))
                .hasStatus(302);
        assertThat(log(keeper)).as("another of the same name").contains(bench.name());

        assertThat(post("/people/" + bench.accountId() + "/remove", bench, Map.of()))
                .hasStatus(403);
        assertThat(post("/people/" + keeper.accountId() + "/remove", keeper, Map.of()))
                .hasStatus(302);
        assertThat(signsIn("keeper", PASSWORD))
                .as("somebody keeps the workshop")
                .isTrue();
        assertThat(post("/people/" + bench.accountId() + "/remove", stranger(), Map.of()))
                .as("of another workshop")
                .hasStatus(404);
        assertThat(post("/people/" + bench.accountId() + "/remove", keeper, Map.of()))
                .hasStatus(302);
        assertThat(signsIn("bench", PASSWORD)).isFalse();
        assertThat(signed(bench.personId())).isEqualTo(ledger);
        assertThat(log(keeper)).contains("somebody").doesNotContain(bench.name());
        assertThat(page(keeper, "/week/hours")).doesNotContain(bench.name(), "somebody");
        assertThat(database.sql("select count(*) from information_schema.columns where table_schema = 'public'"
                                + " and (column_name like '%\\_by' or column_name = 'person') and data_type <> 'uuid'"
                                + " and table_name <> 'flyway_schema_history'")
                        .query(Integer.class)
                        .single())
                .as("columns that hold a name")
                .isZero();
        assertThat(mvc.get().uri("/bench").with(user(keeper))).hasStatus(200);
    }

    /** Both were let in to do it; the one who comes second is told. */
    @ParameterizedTest
    @CsvSource({"active, active, false", "remove, sure, yes", "'', role, PLAYER"})
    void ofTwoKeepersWhoTakeEachOtherAwayOneStays(String how, String field, String value) {
        SignedIn first = stranger();
        accounts.add(first.workshopId(), "other-" + first.workshopId(), "Other", Role.KEEPER, PASSWORD);
        SignedIn second = account("other-" + first.workshopId());
        for (SignedIn one : List.of(first, second)) {
            SignedIn other = one.equals(first) ? second : first;
            MvcTestResult answer = post(
                    "/people/" + other.accountId() + (how.isEmpty() ? "" : "/" + how),
                    one,
                    Map.of(field, value, "name", other.name(), "shown", AsShown.mark(other.name(), other.role())));
            assertThat(answer).hasStatus(302);
            assertThat("people.last".equals(answer.getMvcResult().getFlashMap().get("notice")))
                    .isEqualTo(one.equals(second));
        }
        assertThat(accounts.people(first.workshopId()))
                .filteredOn(person -> person.active() && person.role() == Role.KEEPER)
                .containsExactly(first);
    }

    /** Presses one step, so that the ledger has an entry of theirs. */
    private void run(SignedIn who) {
        UUID run = openRun("Pit 5 viola");
        database.sql(
                        "insert into run_event (id, workshop_id, run_id, sequence, press, kind, text, recorded_at, recorded_by)"
                                + " values (?, ?, ?, (select max(sequence) + 1 from run_event where run_id = ?), ?, 'NOTED', 'seen',"
                                + " now(), ?)")
                .params(UUID.randomUUID(), who.workshopId(), run, run, UUID.randomUUID(), who.personId())
                .update();
    }

    @Test
    void theWorkshopChangesForEverybodyWhoIsSignedIn() throws Exception {
        SignedIn keeper = account("keeper");
        Cookie pit = signIn("pit");
        assertThat(rack(pit)).contains("Lantern Quay");
        assertThat(post("/workshop", keeper, Map.of("workshop", "", "zone", "Moon/Tranquility", "referenceA", "800")))
                .hasStatus(200)
                .bodyText()
                .contains("Write something", "It goes from 392 to 466 Hz");
        assertThat(post(
                        keeper,
                        "/workshop",
                        filled(
                                keeper,
                                "/workshop",
                                "/workshop",
                                "workshop",
                                "Low Quay",
                                "zone",
                                "Asia/Tokyo",
                                "referenceA",
                                "442")))
                .hasStatus(302);
        assertThat(rack(pit)).contains("Low Quay").doesNotContain("Lantern Quay");
        assertThat(account("pit").zone()).isEqualTo(ZoneId.of("Asia/Tokyo"));
    }

    /** Nothing of it is left in any table, and nothing of another workshop is touched. */
    @Test
    void aWorkshopGoesAfterAPause() throws Exception {
        SignedIn keeper = account("keeper");
        SignedIn other = stranger();
        Cookie pit = signIn("pit");
        assertThat(post("/workshop/leave", keeper, Map.of("password", "guessed")))
                .hasStatus(200)
                .bodyText()
                .contains("This is not your present password");
        assertThat(rack(pit)).doesNotContain("will be removed");
        assertThat(post("/workshop/leave", keeper, Map.of("password", PASSWORD)))
                .hasStatus(302);
        assertThat(rack(pit)).contains("This workshop will be removed");
        removeDue();
        assertThat(signsIn("pit", PASSWORD)).as("the pause is not over").isTrue();
        assertThat(post("/workshop/keep", keeper, Map.of())).hasStatus(302);
        assertThat(rack(pit)).doesNotContain("will be removed");

        post("/workshop/leave", keeper, Map.of("password", PASSWORD));
        database.sql("update workshop set leaves_at = now() - interval '1 minute' where id = ?")
                .param(keeper.workshopId())
                .update();
        removeDue();
        assertThat(signsIn("keeper", PASSWORD)).isFalse();
        assertThat(mvc.get().uri("/").cookie(pit)).as("who was signed in").hasStatus(302);
        for (String table : database.sql("select table_name from information_schema.columns"
                        + " where table_schema = 'public' and column_name = 'workshop_id'")
                .query(String.class)
                .list()) {
            assertThat(database.sql("select count(*) from " + table + " where workshop_id = ?")
                            .param(keeper.workshopId())
                            .query(Integer.class)
                            .single())
                    .as(table)
                    .isZero();
        }
        assertThat(account(other.signIn())).isEqualTo(other);
    }

    private void removeDue() {
        List<ScheduledTask> tasks = scheduled.getScheduledTasks().stream()
                .filter(task -> task.toString().contains("removeDue"))
                .toList();
        assertThat(tasks).hasSize(1);
        tasks.get(0).getTask().getRunnable().run();
    }
}
