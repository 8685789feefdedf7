package rosinedpeg.web;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;
import rosinedpeg.web.players.Players;

/** What players do: on every instrument where everybody helps, on those they play where they look after their own. */
class PlayersIT extends InRequests {

    @Autowired
    Instruments instruments;

    @Autowired
    Benches benches;

    @Autowired
    Players players;

    private SignedIn technician;
    private SignedIn player;
    private UUID own;
    private UUID anothers;

    @BeforeEach
    void twoInstruments() {
        technician = account("bench");
        player = account("pit");
        own = instrument("Pit 1 violin");
        anothers = instrument("Pit 2 violin");
        CurrentWorkshop.in(technician, () -> {
            players.say(own, Set.of(player.personId()));
            players.say(anothers, Set.of());
            return own;
        });
        ownOnly(false);
    }

    private void ownOnly(boolean own) {
        accounts.letPlayers(player.workshopId(), own);
        player = account("pit");
    }

    private MvcTestResult presses(SignedIn who, UUID run, String what) {
        long seen = CurrentWorkshop.in(technician, () -> benches.lastSequence(run));
        return post(
                who,
                "/bench/" + run + what,
                "press",
                UUID.randomUUID().toString(),
                "seen",
                String.valueOf(seen),
                "step",
                "0");
    }

    private boolean over(UUID run) {
        return CurrentWorkshop.in(technician, () -> benches.get(run).state().over());
    }

    /** Whoever helps leads work on; that it is given up whoever began it says, or whoever plays the instrument. */
    @Test
    void whereEverybodyHelpsOnlyWhatIsOnesOwnIsEnded() throws Exception {
        UUID run = begin(technician, anothers);
        assertThat(presses(player, run, "/done")).hasRedirectedUrl("/bench/" + run);
        assertThat(page(player, "/bench/" + run)).doesNotContain("/bench/" + run + "/end");
        assertThat(presses(player, run, "/end")).hasStatus(403);
        assertThat(presses(player, run, "/give-up")).hasStatus(403);
        assertThat(over(run)).isFalse();
        assertThat(presses(technician, run, "/end")).hasStatus(302);

        UUID begun = begin(player, anothers);
        assertThat(presses(player, begun, "/end")).hasStatus(302);
        assertThat(over(begun)).isTrue();
        UUID played = begin(technician, own);
        assertThat(presses(player, played, "/end")).hasStatus(302);
    }

    private UUID begin(SignedIn who, UUID instrument) {
        MvcTestResult begun = post(who, "/instruments/" + instrument + "/plan", "strings", "II", "lookedAt", "true");
        assertThat(begun).hasStatus(302);
        String address = begun.getResponse().getRedirectedUrl();
        return UUID.fromString(address.substring(address.lastIndexOf('/') + 1));
    }

    /** At every address that changes something of an instrument, of a run or of a string: a new one is here without being named. */
    @Test
    void wherePlayersLookAfterTheirOwnTheyLookAtTheRest() throws Exception {
        UUID run = begin(technician, anothers);
        UUID settling = CurrentWorkshop.in(
                technician,
                () -> instruments.get(anothers).string(Position.I).orElseThrow().fittedId());
        ownOnly(true);
        int refused = 0;
        for (String address : addresses()) {
            String path = address.replace("/instruments/{id}", "/instruments/" + anothers)
                    .replace("/bench/{id}", "/bench/" + run)
                    .replace("{fittedId}", settling.toString())
                    .replace("{position}", "II")
                    .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
            if (path.equals(address) || address.startsWith("/practice") || address.startsWith("/diary")) {
                continue;
            }
            boolean mayChange = address.endsWith("/wording");
            var answer = mvc.post()
                    .uri(path)
                    .param("press", UUID.randomUUID().toString())
                    .param("seen", "0")
                    .param("wording", "FULL")
                    .with(user(player))
                    .with(csrf())
                    .exchange();
            assertThat(answer).as(path).hasStatus(mayChange ? 302 : 403);
            refused += mayChange ? 0 : 1;
        }
        assertThat(refused).isGreaterThan(20);

        assertThat(mvc.post()
                        .uri("/bench/" + run + "/done")
                        .header("HX-Request", "true")
                        .with(user(player))
                        .with(csrf()))
                .as("a press that the device sends is told there")
                .hasStatus(409)
                .bodyText()
                .isEqualTo("Somebody else plays this instrument, or began this work; you can look at it. Ask them, a"
                        + " technician or a keeper.");
        Document theirs = Jsoup.parse(page(player, "/instruments/" + anothers));
        assertThat(theirs.text()).contains("You can look here");
        assertThat(theirs.select("main form:not(fieldset[disabled] form)")).isEmpty();
        assertThat(Jsoup.parse(page(player, "/bench/" + run)).select("#bench form:not(fieldset[disabled] form)"))
                .isEmpty();
        assertThat(page(player, "/instruments/" + own))
                .doesNotContain("You can look here")
                .contains("Played by Pit 1");
        assertThat(post(player, "/instruments/" + own + "/notes", "text", "Sings"))
                .hasStatus(302);
        assertThat(post(player, "/kit", filled(player, "/kit", "/kit", "materials", "TUNER")))
                .hasStatus(302);
        assertThat(presses(technician, run, "/end")).hasStatus(302);

        Device device = new Device(address()).signIn("pit");
        String token = Device.field(device.get("/kit").body(), "_csrf");
        for (Map<String, String> sent :
                List.of(Map.of("text", "not mine", "_csrf", token), Map.of("text", "without the token of its page"))) {
            HttpResponse<String> told = device.post("/instruments/" + anothers + "/notes", sent);
            assertThat(told.statusCode()).as("%s", sent).isEqualTo(403);
            assertThat(told.body()).as("%s", sent).contains("That is not yours to do");
        }
    }

    private List<String> addresses() throws IOException {
        try (var list = getClass().getResourceAsStream("/addresses.txt")) {
            return new String(list.readAllBytes(), UTF_8)
                    .lines()
                    .filter(line -> line.startsWith("POST ") && line.endsWith(" PLAYER"))
                    .map(line -> line.split(" ")[1])
                    .toList();
        }
    }

    /** Who says that a repairer's work may wait has to be able to tell. */
    @Test
    void whatWaitsForARepairerPlayersLeaveToOthers() throws Exception {
        UUID waits = instrument("Pit 5 viola");
        String open = "select count(*) from run where outcome = 'OPEN' and instrument_id = ?";
        database.sql("update run set outcome = 'ENDED', ended_at = now() where outcome = 'OPEN' and instrument_id = ?")
                .param(waits)
                .update();
        post(technician, "/instruments/" + waits + "/notes", "text", "Open seam", "refer", "true");
        String plan = "/instruments/" + waits + "/plan";
        assertThat(page(player, plan + "?strings=II")).doesNotContain("name=\"lookedAt\"");
        assertThat(post(player, plan, "strings", "II", "lookedAt", "true"))
                .hasStatus(200)
                .bodyText()
                .contains("A technician or a keeper looks at this first, and begins the work.");
        assertThat(database.sql(open).param(waits).query(Integer.class).single())
                .isZero();
        assertThat(post(technician, plan, "strings", "II", "lookedAt", "true")).hasStatus(302);
        assertThat(database.sql(open).param(waits).query(Integer.class).single())
                .isOne();
    }

    /** A keeper chooses, a technician says who plays what; whoever is removed plays nothing any more. */
    @Test
    void aWorkshopChoosesAndItIsSaidWhoPlaysWhat() throws Exception {
        SignedIn keeper = account("keeper");
        assertThat(post(keeper, "/workshop", filled(keeper, "/workshop", "/workshop", "playersOwnOnly", "true")))
                .hasStatus(302);
        assertThat(account("pit").playersOwnOnly()).isTrue();
        SignedIn village = account("village");
        String address = "/instruments/" + anothers + "/players";
        assertThat(page(technician, address)).contains("Village 6", "Pit 1");
        assertThat(post(
                        technician,
                        address,
                        filled(
                                technician,
                                address,
                                address,
                                "plays",
                                village.personId().toString(),
                                "plays",
                                stranger().personId().toString())))
                .hasStatus(302);
        assertThat(post(technician, address))
                .as("nobody any more, where it was not seen that somebody does")
                .hasRedirectedUrl(address);
        assertThat(CurrentWorkshop.in(technician, () -> players.of(anothers))).containsExactly(village.personId());
        assertThat(page(keeper, "/instruments/" + anothers)).contains("Played by Village 6");
        assertThat(post(keeper, "/people/" + village.accountId() + "/remove")).hasStatus(302);
        assertThat(CurrentWorkshop.in(technician, () -> players.of(anothers))).isEmpty();
    }
}
