package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.SignedIn;

/** What two people say of the same on forms that have no version: whoever comes later is told, and overwrites nothing unseen. */
class AsShownIT extends InRequests {

    /** {@return what a form stands at in one of its fields} */
    private List<String> stands(String page, String action, String field) throws Exception {
        List<String> stands = new ArrayList<>();
        String[] form = filled(account("keeper"), page, action);
        for (int i = 0; i < form.length; i += 2) {
            if (form[i].equals(field)) {
                stands.add(form[i + 1]);
            }
        }
        return stands;
    }

    private String read(String written) {
        return written.replace("PERSON", account("pit").accountId().toString())
                .replace("PLAYER", account("pit").personId().toString())
                .replace("OTHER", account("village").personId().toString())
                .replace("VIOLIN", instrument("Pit 2 violin").toString())
                .replace("FERRY", supplier("Ferry Lane"))
                .replace("NOBODY", "");
    }

    private String supplier(String name) {
        return database.sql("select id from supplier where workshop_id = ? and name = ?")
                .params(account("keeper").workshopId(), name)
                .query(UUID.class)
                .single()
                .toString();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            /week/hours?person=Bench under the stage | /week/hours           | friday     | 9:00–10:00 | 9:00–11:00
            /workshop                                | /workshop             | workshop   | High Quay  | Low Quay
            /workshop                                | /workshop             | referenceA | 442        | 443
            /people/PERSON                           | /people/PERSON        | name       | Somebody   | Anybody
            /people/PERSON                           | /people/PERSON        | role       | KEEPER     | TECHNICIAN
            /practice/people/PERSON                  | /practice/people/PERSON | lessons  | WIND       | ROUNDS
            /instruments/VIOLIN/players              | /instruments/VIOLIN/players | plays | PLAYER    | OTHER
            /kit                                     | /kit                  | materials  | SOFT_PENCIL | TUNER
            /buying/suppliers                        | /buying/makers        | supplier | FERRY | NOBODY
            """)
    void whoComesLaterIsTold(String page, String action, String field, String first, String later) throws Exception {
        SignedIn keeper = account("keeper");
        String at = read(page);
        String to = read(action);
        String[] one = filled(keeper, at, to, field, read(first));
        String[] other = filled(keeper, at, to, field, read(later));
        assertThat(post(keeper, to, one)).hasStatus(302);
        assertThat(stands(at, to, field)).containsExactly(read(first));

        MvcTestResult told = post(keeper, to, other);
        assertThat(
                        told.getMvcResult().getFlashMap().containsValue("changed.meanwhile")
                                || told.getResponse()
                                        .getContentAsString()
                                        .matches(
                                                "(?s).*(Somebody else has changed it|You changed your kit|hours that this page did not show).*"))
                .as("told")
                .isTrue();
        assertThat(stands(at, to, field)).containsExactly(read(first));
        assertThat(post(keeper, to, one)).as("pressed twice").hasStatus(302);
        assertThat(post(keeper, to, filled(account("keeper"), at, to, field, read(later))))
                .hasStatus(302);
        assertThat(stands(at, to, field)).containsExactly(read(later));
    }

    /** Whoever looks whether it stands as it was shown waits for whoever is about to change it. */
    @Test
    void ofMoreAtOneMomentOneIsRecorded() throws Exception {
        SignedIn keeper = account("keeper");
        List<String[]> forms = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            forms.add(filled(keeper, "/workshop", "/workshop", "workshop", "Quay " + i));
        }
        assertThat(atOnce(keeper, "/workshop", forms)).containsOnlyOnce(302).hasSize(8);
    }
}
