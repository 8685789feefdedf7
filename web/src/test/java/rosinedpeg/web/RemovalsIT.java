package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import rosinedpeg.web.platform.SignedIn;

/** What was entered by mistake is put right or taken away; what was done stays. */
class RemovalsIT extends InRequests {

    private static final Pattern NOTE = Pattern.compile("/notes/[0-9a-f-]{36}(?=\")");

    private String noteOn(SignedIn who, String instrument) throws Exception {
        Matcher note = NOTE.matcher(page(who, instrument));
        assertThat(note.find()).as("a way to the note").isTrue();
        return instrument + note.group();
    }

    @Test
    void aNoteIsPutRightAndTakenAwayByWhoeverWroteItOrATechnician() throws Exception {
        SignedIn player = account("pit");
        SignedIn technician = account("bench");
        String violin = "/instruments/" + violin(account("keeper"), "Noted violin");
        post(player, violin + "/notes", "text", "Buzes on II");
        String note = noteOn(player, violin);
        assertThat(post(player, note, "text", " ")).hasStatus(200).bodyText().contains("class=\"error\"");
        assertThat(post(player, note, "text", "Buzzes on II", "version", "0")).hasStatus(302);
        assertThat(page(technician, violin)).contains("Buzzes on II").doesNotContain("Buzes");
        assertThat(post(account("village"), note, "text", "Mine", "version", "1"))
                .as("of another player")
                .hasStatus(403);
        assertThat(post(account("village"), note + "/remove", "version", "1")).hasStatus(403);
        assertThat(post(stranger(), note + "/remove", "version", "1"))
                .as("of another workshop")
                .hasStatus(404);

        assertThat(post(technician, note, "text", "Buzzes no more", "version", "0"))
                .as("from a page made before")
                .hasStatus(200)
                .bodyText()
                .contains("Somebody else has changed it", "Buzzes no more");
        assertThat(post(technician, note + "/remove", "version", "0")).hasRedirectedUrl(note);
        assertThat(page(technician, violin)).contains("Buzzes on II");
        assertThat(post(technician, note, "text", "Buzzes on II", "refer", "true", "version", "1"))
                .hasStatus(302);
        assertThat(page(technician, "/")).as("the rack").contains("For a repairer");
        assertThat(post(player, note + "/remove", "version", "2"))
                .as("it waits for a repairer")
                .hasStatus(403);
        assertThat(page(player, violin)).doesNotContain(note);
        assertThat(post(technician, note + "/remove", "version", "2")).hasRedirectedUrl(violin);
        assertThat(page(technician, violin)).doesNotContain("Buzzes on II");
        assertThat(get(technician, note)).hasStatus(404);
    }

    @Test
    void anInstrumentThatWasNeverUsedIsRemovedAndNoOther() throws Exception {
        SignedIn keeper = stranger();
        UUID violin = violin(keeper, "By mistake");
        assertThat(page(keeper, "/instruments/" + violin + "/edit")).contains("Remove By mistake");
        assertThat(post(account("keeper"), "/instruments/" + violin + "/remove"))
                .as("of another workshop")
                .hasStatus(404);
        assertThat(post(keeper, "/instruments/" + violin + "/remove")).hasRedirectedUrl("/");
        assertThat(get(keeper, "/instruments/" + violin)).hasStatus(404);
        assertThat(page(keeper, "/")).doesNotContain("By mistake");

        UUID noted = violin(keeper, "Noted");
        post(keeper, "/instruments/" + noted + "/notes", "text", "Sings");
        assertThat(page(keeper, "/instruments/" + noted + "/edit")).doesNotContain("Remove Noted");
        assertThat(post(keeper, "/instruments/" + noted + "/remove"))
                .hasRedirectedUrl("/instruments/" + noted + "/edit");

        SignedIn technician = account("bench");
        List<Map<String, Object>> all = database.sql("select id, name from instrument where workshop_id = ?")
                .param(technician.workshopId())
                .query()
                .listOfRows();
        for (Map<String, Object> one : all) {
            if (page(technician, "/instruments/" + one.get("id") + "/edit").contains("Remove " + one.get("name"))) {
                assertThat(post(technician, "/instruments/" + one.get("id") + "/remove"))
                        .as("%s", one)
                        .hasRedirectedUrl("/");
            }
        }
    }

    @Test
    void aPictureOfTheBridgeIsTakenAway() throws Exception {
        SignedIn technician = account("bench");
        UUID violin = instrument("Pit 2 violin");
        UUID picture = UUID.randomUUID();
        database.sql(
                        "insert into bridge_picture values (?, ?, ?, 'image/png', ?, '{0,0,0,1}', '{0,0,1,1}', true, 0, ?, now(), ?)")
                .params(
                        picture,
                        technician.workshopId(),
                        violin,
                        new byte[200],
                        UUID.randomUUID(),
                        technician.personId())
                .update();
        String address = "/instruments/" + violin + "/bridge/pictures/" + picture;
        assertThat(page(account("pit"), "/instruments/" + violin + "/bridge")).doesNotContain(address + "/remove");
        assertThat(page(technician, "/instruments/" + violin + "/bridge")).contains(address + "/remove");
        assertThat(post(account("pit"), address + "/remove")).hasStatus(403);
        assertThat(post(technician, address + "/remove")).hasStatus(302);
        assertThat(get(technician, address)).hasStatus(404);
    }
}
