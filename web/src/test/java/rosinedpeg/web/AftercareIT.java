package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.figure.Origin;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.aftercare.Aftercare;
import rosinedpeg.web.aftercare.OwedWork;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Before;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;
import rosinedpeg.web.platform.SignedIn;

/** What a run leaves behind it, and what is done between runs. */
class AftercareIT extends InRequests {

    @Autowired
    Benches benches;

    @Autowired
    Instruments instruments;

    @Autowired
    Notes notes;

    @Autowired
    Aftercare aftercare;

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(account("bench"), work);
    }

    private Instrument instrumentNow(UUID id) {
        return in(() -> instruments.get(id));
    }

    private UUID start(UUID id, Position position) {
        return in(() -> {
            Instrument instrument = instruments.get(id);
            var on = instrument.string(position).orElseThrow().kind();
            ChangeRequest request =
                    ChangeRequest.usual(instrument.setUp(), instrument.specs(), Map.of(position, on.spec()));
            return benches.start(
                    id,
                    ChangePlanner.plan(request.on(instrument.particulars())),
                    Map.of(position, on.id()),
                    Reason.WORN,
                    true);
        });
    }

    private void press(UUID run, BenchEntry entry) {
        in(() -> benches.record(
                run, Press.now(UUID.randomUUID(), benches.get(run).state().lastSequence()), entry));
    }

    /** Presses to the end, entering what the steps are given. */
    private void lead(UUID run, Function<Step, List<BenchEntry>> entries) {
        for (int presses = 0; presses < 200; presses++) {
            var now = in(() -> benches.get(run)).state().now();
            if (now.isEmpty()) {
                return;
            }
            entries.apply(now.get()).forEach(entry -> press(run, entry));
        }
        throw new AssertionError("the run does not come to its end");
    }

    private static BenchEntry done(Step step) {
        return new BenchEntry.Done(step.index());
    }

    @Test
    void whatIsOwedIsListedUntilSomebodyHasDoneIt() throws Exception {
        UUID violin = instrument("Lending ¼ violin 1");
        UUID run = start(violin, Position.I);
        lead(
                run,
                step -> List.of(
                        step.kind() == StepKind.GRAPHITE || step.kind() == StepKind.WIPE_FINGERBOARD
                                ? new BenchEntry.Skip(step.index())
                                : done(step)));
        List<OwedWork> owed = in(() -> aftercare.owed(violin));
        assertThat(owed)
                .extracting(OwedWork::step)
                .containsExactlyInAnyOrder(StepKind.WIPE_FINGERBOARD, StepKind.GRAPHITE, StepKind.SEAT_TUBE, null);
        assertThat(instrumentNow(violin).fittings().tube()).as("it went on").isTrue();
        SignedIn player = account("pit");
        assertThat(page(player, "/instruments/" + violin)).contains("Still to do", "Restock the case: I went into use");

        OwedWork graphite = owed.stream()
                .filter(work -> work.step() == StepKind.GRAPHITE)
                .findFirst()
                .orElseThrow();
        String done = "/instruments/" + violin + "/owed/" + graphite.id() + "/done";
        assertThat(post(stranger(), done)).hasStatus(404);
        assertThat(post(player, "/instruments/" + instrument("Pit 2 violin") + "/owed/" + graphite.id() + "/done"))
                .hasStatus(404);
        assertThat(post(player, done)).hasStatus(302);
        assertThat(post(player, done)).as("a second press changes nothing").hasStatus(302);
        assertThat(in(() -> aftercare.owed(violin))).hasSize(3);
        assertThat(page(player, "/instruments/" + violin)).containsOnlyOnce("Made up for by");

        lead(
                start(violin, Position.I),
                step -> List.of(
                        step.kind() == StepKind.WIPE_FINGERBOARD ? new BenchEntry.Skip(step.index()) : done(step)));
        assertThat(in(() -> aftercare.owed(violin)).stream().filter(work -> work.step() == StepKind.WIPE_FINGERBOARD))
                .as("owed once, however often it was left out")
                .hasSize(1);
    }

    @Test
    void rosinIsLoggedAndTooMuchOfItSaid() throws Exception {
        UUID violin = instrument("Lending ½ violin 3");
        SignedIn player = account("pit");
        String care = "/instruments/" + violin + "/care";
        String press = UUID.randomUUID().toString();
        post(player, care, "kind", "ROSINED", "press", press);
        post(player, care, "kind", "ROSINED", "press", press);
        assertThat(database.sql("select count(*) from care")
                        .query(Integer.class)
                        .single())
                .as("a press that was taken already")
                .isEqualTo(1);
        assertThat(page(player, "/instruments/" + violin))
                .contains("Rosin on the bow")
                .doesNotContain("Rosin more often");
        for (int times = 0; times < 9; times++) {
            post(player, care, "kind", "ROSINED", "press", UUID.randomUUID().toString());
        }
        assertThat(page(player, "/instruments/" + violin))
                .contains("Rosin more often than it wants", "It went on 10 times in 14 days");
        assertThat(post(stranger(), care, "kind", "WIPED")).hasStatus(404);
    }

    /** The bridge is read before the string is raised and after it; the next plan knows what was seen. */
    @Test
    void whatTheGapReadingsTeachIsKeptWithTheInstrument() {
        UUID viola = instrument("Pit 6 viola");
        assertThat(instrumentNow(viola).stuck().graphited().origin()).isEqualTo(Origin.DEFAULT);
        UUID run = start(viola, Position.II);
        lead(run, step -> switch (step.kind()) {
            case TUNE_AND_STRAIGHTEN -> List.of(new BenchEntry.Gap(0.1), done(step));
            case GRAPHITE -> List.of(new BenchEntry.Gap(0), done(step));
            case CHECK_BRIDGE -> List.of(new BenchEntry.Gap(0.3), done(step));
            default -> List.of(done(step));
        });
        var graphited = instrumentNow(viola).stuck().graphited();
        assertThat(graphited.origin()).isEqualTo(Origin.LEARNED);
        assertThat(graphited.value())
                .as("it leaned more than graphite lets expect")
                .isGreaterThan(0.12);
        assertThat(instrumentNow(viola).stuck().dry().origin()).isEqualTo(Origin.DEFAULT);
    }

    /** A peg that stays stuck while its string is off: its place is empty on the record. */
    @Test
    void aStringThatCannotGoOnIsRecordedAsOff() throws Exception {
        UUID violin = instrument("Lending ½ violin 3");
        UUID kind =
                instrumentNow(violin).string(Position.III).orElseThrow().kind().id();
        UUID run = start(violin, Position.III);
        Mishap stuck = Mishap.of(Mishap.Kind.PEG_STUCK, Position.III);
        lead(
                run,
                step -> step.kind() == StepKind.GRAPHITE
                        ? List.of(new BenchEntry.Wrong(stuck), new BenchEntry.Wrong(stuck))
                        : List.of(done(step)));
        assertThat(instrumentNow(violin).string(Position.III)).isEmpty();
        assertThat(instrumentNow(violin).strings()).hasSize(3);
        assertThat(in(() -> notes.referrals(violin))).isNotEmpty();
        assertThat(mvc.get().uri("/bench/" + run).with(user(account("pit"))).exchange())
                .bodyText()
                .contains("III stays off");
        in(() -> instruments.fit(violin, Position.III, kind, null, Before.NOTHING, false));
        in(() -> notes.referrals(violin))
                .forEach(referral ->
                        post(account("bench"), "/instruments/" + violin + "/notes/" + referral.id() + "/settled"));
        assertThat(instrumentNow(violin).fullyStrung())
                .as("once a string is on again")
                .isTrue();
    }

    /** Ended before its string was on, work on stage owes nothing; a broken string that came off is no spare. */
    @Test
    void whatDidNotHappenIsNeitherOwedNorKept() {
        UUID violin = instrument("Pit 3 violin");
        Instrument strung = instrumentNow(violin);
        var on = strung.string(Position.II).orElseThrow().kind();
        ChangeRequest request = ChangeRequest.usual(strung.setUp(), strung.specs(), Map.of(Position.II, on.spec()));
        UUID ended = in(() -> benches.start(
                violin, RepairPlanner.emergency(request), Map.of(Position.II, on.id()), Reason.WORN, true));
        press(ended, new BenchEntry.End());
        assertThat(in(() -> aftercare.owed(violin))).isEmpty();
        assertThat(instrumentNow(violin).string(Position.II)).isEqualTo(strung.string(Position.II));

        lead(
                in(() -> benches.start(
                        violin,
                        ChangePlanner.plan(request.withBroken(Set.of(Position.II))),
                        Map.of(Position.II, on.id()),
                        Reason.BROKEN,
                        true)),
                step -> List.of(done(step)));
        assertThat(database.sql("select kept from fitted_string where instrument_id = ? and position = 'II'"
                                + " and removed_at is not null order by removed_at desc limit 1")
                        .param(violin)
                        .query(Boolean.class)
                        .list())
                .containsExactly(false);
    }
}
