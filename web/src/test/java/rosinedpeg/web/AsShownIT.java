package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.web.platform.AsShown;
import rosinedpeg.web.platform.SignedIn;

/** What two people say of the same on forms that have no version: whoever comes later is told, and overwrites nothing unseen. */
class AsShownIT extends InRequests {

    @Autowired
    AsShown asShown;

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

    private boolean somebodyWaits() {
        return database.sql("select exists (select from pg_locks where locktype = 'advisory' and not granted"
                        + " and database = (select oid from pg_database where datname = current_database()))")
                .query(Boolean.class)
                .single();
    }

    /** Nobody looks how it stands while somebody else is about to change it. */
    @Test
    void ofTwoAtOneMomentTheSecondSeesWhatTheFirstDid() throws Exception {
        UUID of = UUID.randomUUID();
        AtomicReference<String> stands = new AtomicReference<>("as shown");
        CountDownLatch changing = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        ExecutorService two = Executors.newFixedThreadPool(2);
        try {
            Future<?> first = two.submit(() -> asShown.change(of, "as shown", stands::get, "first", () -> {
                changing.countDown();
                try {
                    go.await();
                } catch (InterruptedException interrupted) {
                    Thread.currentThread().interrupt();
                }
                stands.set("first");
            }));
            changing.await();
            Future<?> second =
                    two.submit(() -> asShown.change(of, "as shown", stands::get, "second", () -> stands.set("second")));
            while (!second.isDone() && !somebodyWaits()) {
                Thread.sleep(10);
            }
            go.countDown();
            first.get();
            assertThatThrownBy(second::get).hasCauseInstanceOf(OptimisticLockingFailureException.class);
            assertThat(stands).hasValue("first");
        } finally {
            two.shutdown();
        }
    }
}
