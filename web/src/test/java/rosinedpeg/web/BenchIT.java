package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import rosinedpeg.core.bench.BenchEvent;
import rosinedpeg.core.causes.BreakPlace;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Benches.Taken;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.bench.Run;
import rosinedpeg.web.findings.Notes;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.platform.CurrentWorkshop;

/** The ledger of a run under double presses, stale pages and two devices at once. */
class BenchIT extends InRequests {

    @Autowired
    Benches benches;

    @Autowired
    Instruments instruments;

    @Autowired
    Notes notes;

    private UUID workshop;
    private UUID violin;
    private UUID run;

    @BeforeEach
    void start() {
        workshop = account("bench").workshopId();
        violin = instrument("Lending ¼ violin 1");
        run = in(() -> {
            Instrument instrument = instruments.get(violin);
            ChangePlan plan = ChangePlanner.plan(ChangeRequest.usual(
                            instrument.setUp(),
                            instrument.specs(),
                            Map.of(Position.III, instrument.specs().get(Position.III)))
                    .covered(Map.of()));
            UUID kind = instrument.string(Position.III).orElseThrow().kind().id();
            return benches.start(violin, plan, Map.of(Position.III, kind), Reason.WORN, true);
        });
    }

    private <T> T in(java.util.function.Supplier<T> work) {
        return CurrentWorkshop.in(account("bench"), work);
    }

    private Taken record(UUID press, long seen, BenchEntry entry) {
        return in(() -> benches.record(run, Press.now(press, seen), entry));
    }

    private void record(BenchEntry entry) {
        long seen = in(() -> benches.get(run)).state().lastSequence();
        assertThat(record(UUID.randomUUID(), seen, entry)).isEqualTo(Taken.RECORDED);
    }

    private void endRun() {
        record(new BenchEntry.End());
    }

    @Test
    void aRepeatedPressAndAStalePageChangeNothing() {
        UUID press = UUID.randomUUID();
        assertThat(record(press, 0, new BenchEntry.Done(0))).isEqualTo(Taken.RECORDED);
        assertThat(record(press, 0, new BenchEntry.Done(0))).isEqualTo(Taken.REPEATED);
        assertThat(record(UUID.randomUUID(), 0, new BenchEntry.Done(0))).isEqualTo(Taken.MOVED_ON);
        assertThat(record(UUID.randomUUID(), 0, new BenchEntry.Back())).isEqualTo(Taken.MOVED_ON);
        assertThat(record(UUID.randomUUID(), 0, new BenchEntry.Gap(0.2)))
                .as("a reading always counts")
                .isEqualTo(Taken.RECORDED);
        assertThat(in(() -> benches.get(run)).state().reached()).isEqualTo(1);
        endRun();
    }

    /** Presses that waited for a connection come one after the other, whatever was read or noted meanwhile. */
    @Test
    void pressesThatWaitedFollowEachOther() {
        UUID first = UUID.randomUUID();
        UUID second = UUID.randomUUID();
        record(UUID.randomUUID(), 0, new BenchEntry.Gap(0.2));
        assertThat(record(first, 0, new BenchEntry.Done(0))).isEqualTo(Taken.RECORDED);
        record(UUID.randomUUID(), 0, new BenchEntry.Note("a lamp went out"));
        Duration ago = Duration.ofHours(30);
        assertThat(in(() -> benches.record(run, new Press(second, 0, first, ago), new BenchEntry.Done(1))))
                .isEqualTo(Taken.RECORDED);
        assertThat(in(() -> benches.record(run, new Press(UUID.randomUUID(), 0, first, ago), new BenchEntry.Done(2))))
                .as("its page was another one's")
                .isEqualTo(Taken.MOVED_ON);
        Run now = in(() -> benches.get(run));
        assertThat(now.state().reached()).isEqualTo(2);
        assertThat(now.events().stream().map(BenchEvent::at))
                .as("never before what was there")
                .isSorted();
        endRun();
    }

    /** The steps that a device is sent ahead are those that come, after something went wrong too. */
    @Test
    void whatIsSentAheadIsWhatComes() throws Exception {
        comes();
        record(new BenchEntry.Wrong(new Mishap(Mishap.Kind.PEG_SLIPS, Position.III, null)));
        comes();
        endRun();
    }

    private void comes() throws Exception {
        List<String> promised = ahead(page());
        assertThat(promised).hasSizeGreaterThan(3);
        for (int step = 0; step < 3; step++) {
            record(new BenchEntry.Done(
                    in(() -> benches.get(run)).state().now().orElseThrow().index()));
            Document page = page();
            assertThat(page.select("[aria-live] h1").text()).isEqualTo(promised.get(step));
            assertThat(ahead(page))
                    .startsWith(promised.subList(step + 1, promised.size()).toArray(String[]::new));
        }
    }

    private static List<String> ahead(Document page) {
        return page.select("#ahead h1").eachText();
    }

    private Document page() throws Exception {
        return Jsoup.parse(page(account("bench"), "/bench/" + run));
    }

    /** A step that is not in hand, and whatever is said of a string that the instrument does not have. */
    static Stream<BenchEntry> whatCannotHappen() {
        return Stream.of(
                new BenchEntry.Done(9999),
                new BenchEntry.Done(1),
                new BenchEntry.Skip(0),
                new BenchEntry.Skip(-1),
                new BenchEntry.Pitch(Position.V, -10),
                new BenchEntry.Wrong(new Mishap(Mishap.Kind.STRING_BROKE, Position.V, BreakPlace.NUT)));
    }

    @ParameterizedTest
    @MethodSource("whatCannotHappen")
    void whatCannotHappenIsNotEntered(BenchEntry entry) {
        assertThat(record(UUID.randomUUID(), 0, entry)).isEqualTo(Taken.MOVED_ON);
        assertThat(in(() -> benches.get(run)).events()).isEmpty();
        assertThat(heard(Position.V)).as("shown again as it is").hasStatusOk();
        assertThat(in(() -> benches.get(run)).events()).isEmpty();
        endRun();
    }

    /** Nothing that was said is lost, and nobody reads of a fine tuner that is not there; a kept press comes back with its reason. */
    @ParameterizedTest
    @CsvSource({
        "STRING_BROKE, III, '', Say where it broke.",
        "STRING_BROKE, '', PEG, Say with which string.",
        "TURNS_CROSSED, '', '', Say with which string.",
        "TUNER_AT_ITS_END, III, '', String III has no fine tuner: choose one that has.",
        "BALL_JAMMED, III, PEG, String III hangs on no tuner that takes a ball: choose one that does."
    })
    void whatIsSaidByHalvesIsAskedAgain(String mishap, String string, String place, String reason) throws Exception {
        String pit = "Pit 1 violin";
        post(account("bench"), "/instruments/" + instrument(pit) + "/plan", "off", "ONE_AT_A_TIME", "strings", "II");
        UUID full = openRun(pit);
        int events = in(() -> benches.get(full)).events().size();
        String[] fields = {"press", UUID.randomUUID().toString(), "mishap", mishap, "string", string, "place", place};
        Document asked = Jsoup.parse(post(account("bench"), "/bench/" + full + "/wrong", fields)
                .getResponse()
                .getContentAsString());
        assertThat(asked.select("form[action$=/wrong] .error").text()).isEqualTo(reason);
        assertThat(asked.select("form[action$=/wrong] option[selected]").val()).isEqualTo(place);
        if (!string.isEmpty()) {
            assertThat(asked.select("form[action$=/wrong] input[checked]").val())
                    .isEqualTo(string);
        }
        assertThat(mvc.post()
                        .uri("/bench/" + full + "/wrong")
                        .with(user(account("bench")))
                        .with(csrf())
                        .header("Peg-Kept", "1")
                        .param("press", UUID.randomUUID().toString())
                        .param("mishap", mishap)
                        .param("string", string)
                        .param("place", place))
                .hasStatus(422)
                .bodyText()
                .isEqualTo(reason);
        assertThat(in(() -> benches.get(full)).events()).hasSize(events);
        endRun();
    }

    @Test
    void twoDevicesPressingAtOnceMoveTheRunByOneStep() throws Exception {
        ExecutorService devices = Executors.newFixedThreadPool(8);
        List<Callable<Taken>> presses = IntStream.range(0, 8)
                .<Callable<Taken>>mapToObj(device -> () -> record(UUID.randomUUID(), 0, new BenchEntry.Done(0)))
                .toList();
        List<Taken> taken = new java.util.ArrayList<>();
        for (Future<Taken> answer : devices.invokeAll(presses)) {
            taken.add(answer.get());
        }
        devices.shutdown();
        assertThat(taken).containsOnlyOnce(Taken.RECORDED);
        assertThat(in(() -> benches.get(run)).state().reached()).isEqualTo(1);
        endRun();
    }

    @Test
    void aFinishedRunBecomesPartOfTheRecord() {
        ChangePlan plan = in(() -> benches.get(run)).state().plan();
        UUID before = in(() -> instruments.get(violin))
                .string(Position.III)
                .orElseThrow()
                .fittedId();
        plan.steps()
                .forEach(step -> assertThat(record(UUID.randomUUID(), step.index(), new BenchEntry.Done(step.index())))
                        .as(step.kind().name())
                        .isEqualTo(Taken.RECORDED));
        assertThat(in(() -> benches.get(run)).state().finished()).isTrue();
        assertThat(in(() -> benches.openFor(violin))).isEmpty();
        Instrument after = in(() -> instruments.get(violin));
        assertThat(after.string(Position.III).orElseThrow().fittedId()).isNotEqualTo(before);
        assertThat(after.string(Position.III).orElseThrow().wear().worn()).isLessThan(0.01);
        assertThat(database.sql("select kept from fitted_string where id = ?")
                        .param(before)
                        .query(Boolean.class)
                        .single())
                .isTrue();
        assertThat(record(UUID.randomUUID(), plan.steps().size(), new BenchEntry.Back()))
                .isEqualTo(Taken.MOVED_ON);
    }

    @Test
    void cannotEndWhileAStringIsOffAndHasOneRunAtATime() {
        ChangePlan plan = in(() -> benches.get(run)).state().plan();
        long seen = 0;
        for (var step : plan.steps()) {
            record(UUID.randomUUID(), seen++, new BenchEntry.Done(step.index()));
            if (step.kind() == StepKind.LET_DOWN) {
                break;
            }
        }
        assertThat(record(UUID.randomUUID(), seen, new BenchEntry.End())).isEqualTo(Taken.MOVED_ON);
        UUID again = in(() -> benches.start(violin, plan, Map.of(), Reason.WORN, true));
        assertThat(again).isEqualTo(run);
        record(UUID.randomUUID(), seen, new BenchEntry.Back());
        endRun();
        assertThat(in(() -> benches.openFor(violin))).isEmpty();
    }

    private void finish() {
        for (var now = in(() -> benches.get(run)).state();
                !now.over();
                now = in(() -> benches.get(run)).state()) {
            record(
                    UUID.randomUUID(),
                    now.lastSequence(),
                    new BenchEntry.Done(now.now().orElseThrow().index()));
        }
    }

    /** A neighbour that breaks is replaced by one of its kind; twice at one place, the instrument is to blame. */
    @Test
    void aStringThatBreaksTwiceAtOnePlaceIsReferred() {
        Mishap broke = new Mishap(Mishap.Kind.STRING_BROKE, Position.I, BreakPlace.NUT);
        for (int time = 1; time <= 2; time++) {
            if (time == 2) {
                start();
            }
            UUID before = in(() -> instruments.get(violin))
                    .string(Position.I)
                    .orElseThrow()
                    .fittedId();
            assertThat(record(UUID.randomUUID(), 0, new BenchEntry.Wrong(broke)))
                    .isEqualTo(Taken.RECORDED);
            assertThat(in(() -> benches.get(run)).state().shares().treble()).isLessThan(0.5);
            finish();
            Instrument after = in(() -> instruments.get(violin));
            assertThat(after.string(Position.I).orElseThrow().fittedId()).isNotEqualTo(before);
            assertThat(after.string(Position.III).orElseThrow().wear().worn()).isLessThan(0.01);
            assertThat(in(() -> notes.referrals(violin))).hasSize(time - 1);
        }
        assertThat(in(() -> notes.referrals(violin)).get(0).text())
                .isEqualTo("I broke, at the nut; another went on. "
                        + "It has broken there before: a fault of the instrument, not of the string.");
        database.sql("update instrument_note set settled_at = now() where instrument_id = ? and refer")
                .param(violin)
                .update();
    }

    /** The tuner brings III up in a few turns; the others have sunk, and from that the instrument's give is learned. */
    @Test
    void theTunerIsListenedToUntilTheStringIsAtPitch() throws Exception {
        for (var now = in(() -> benches.get(run)).state();
                now.now().orElseThrow().kind() != StepKind.BRING_UP;
                now = in(() -> benches.get(run)).state()) {
            record(
                    UUID.randomUUID(),
                    now.lastSequence(),
                    new BenchEntry.Done(now.now().orElseThrow().index()));
        }
        for (Position position : List.of(Position.I, Position.II, Position.IV)) {
            record(UUID.randomUUID(), 0, new BenchEntry.Pitch(position, 0));
            listen(position);
        }
        for (int turn = 0; turn < 6; turn++) {
            listen(Position.III);
        }
        assertThat(in(() -> benches.get(run)).state().pitchCents().get(Position.III))
                .isZero();
        listen(Position.I);
        assertThat(in(() -> benches.get(run)).state().pitchCents().get(Position.I))
                .isNegative();
        String page = mvc.get()
                .uri("/bench/" + run)
                .with(user(account("bench")))
                .exchange()
                .getResponse()
                .getContentAsString();
        assertThat(page).contains("is learned from one reading", "data-listen=\"3\"");
        record(
                UUID.randomUUID(),
                in(() -> benches.get(run)).state().lastSequence(),
                new BenchEntry.Done(
                        in(() -> benches.get(run)).state().now().orElseThrow().index()));
        endRun();
    }

    private void listen(Position position) {
        assertThat(heard(position)).hasStatus(302);
    }

    private MvcTestResult heard(Position position) {
        return mvc.post()
                .uri("/bench/" + run + "/pitch")
                .param("position", position.name())
                .param("by", "DEVICE")
                .param("press", UUID.randomUUID().toString())
                .with(user(account("bench")))
                .with(csrf())
                .exchange();
    }

    @Test
    void theLedgerCannotBeRewritten() {
        record(UUID.randomUUID(), 0, new BenchEntry.Done(0));
        assertThatThrownBy(() -> database.sql("update run_event set step = 5 where run_id = ?")
                        .param(run)
                        .update())
                .hasMessageContaining("only ever added to");
        assertThatThrownBy(() -> database.sql("delete from run_event where run_id = ?")
                        .param(run)
                        .update())
                .hasMessageContaining("only ever added to");
        endRun();
    }
}
