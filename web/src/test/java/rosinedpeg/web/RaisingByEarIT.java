package rosinedpeg.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import rosinedpeg.core.bench.BenchState;
import rosinedpeg.core.hearing.HandsFree.Notice;
import rosinedpeg.core.pitch.Cents;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.RepairPlanner;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;
import rosinedpeg.web.bench.BenchEntry;
import rosinedpeg.web.bench.Benches;
import rosinedpeg.web.bench.Press;
import rosinedpeg.web.bench.Reason;
import rosinedpeg.web.instrument.Instrument;
import rosinedpeg.web.instrument.Instruments;
import rosinedpeg.web.listen.Listened;
import rosinedpeg.web.listen.Listener;
import rosinedpeg.web.platform.CurrentWorkshop;

/** Strings that come up together, part of their way, are asked for one after the other; nothing goes on by itself before all are up. */
class RaisingByEarIT extends InRequests {

    @Autowired
    Instruments instruments;

    @Autowired
    Benches benches;

    @Autowired
    List<Listened> listened;

    private UUID run;

    private <T> T in(Supplier<T> work) {
        return CurrentWorkshop.in(account("bench"), work);
    }

    private BenchState state() {
        return benches.get(run).state();
    }

    private void goOn() {
        benches.record(
                run,
                Press.now(UUID.randomUUID(), state().lastSequence()),
                state().heldByBridge()
                        ? new BenchEntry.Gap(0.2)
                        : new BenchEntry.Done(state().now().orElseThrow().index()));
    }

    /** On to the next step that raises strings together. */
    private Step raising() {
        while (!state().now().orElseThrow().kind().name().startsWith("RAISE_")) {
            goOn();
        }
        return state().now().orElseThrow();
    }

    private double share(Step step, Position position) {
        return position.in(step.tensionsAfterN()) / position.in(state().plan().tensionsAfterN());
    }

    /** In the first round of all they are too slack to be read; in the next each is read at its part of the way. */
    @Test
    void oneIsAskedForAfterTheOther() {
        in(() -> {
            Instrument violin = instruments.get(violin(account("bench"), "Bridge down by ear"));
            ChangePlan plan = new RepairPlanner(
                            violin.setUp(),
                            violin.specs(),
                            Schools.usual(violin.setUp().family()),
                            violin.particulars())
                    .bridgeDown();
            run = benches.start(violin.id(), plan, Map.of(), Reason.SERVICE, false);
            Listener ear = listened.stream()
                    .filter(one -> one.kind().equals("bench"))
                    .findFirst()
                    .orElseThrow()
                    .begin(run.toString(), Map.of());
            Step slack = raising();
            assertThat(share(slack, Position.II)).isLessThan(0.25);
            assertThat(ear.stage().orElseThrow().awaited()).isEmpty();
            while (share(raising(), Position.II) < 0.25 || asked(ear) == null) {
                goOn();
            }
            Step step = raising();
            int heard = 0;
            for (Position asked = asked(ear); asked != null; asked = asked(ear)) {
                assertThat(share(step, asked)).as("only part of its way").isLessThan(1);
                Listener.Said said = ear.take(new Notice.Read(asked, new Cents(2)), true);
                assertThat(state().pitchCents().get(asked))
                        .as("from the pitch it will have in the end")
                        .isCloseTo(2 + 600 * Math.log(share(step, asked)) / Math.log(2), within(0.01));
                assertThat(said.renew()).isTrue();
                assertThat(ear.take(new Notice.Holds(asked), true)).isEqualTo(Listener.Said.NOTHING);
                assertThat(state().now()).contains(step);
                heard++;
            }
            assertThat(heard).isGreaterThanOrEqualTo(2);
            return heard;
        });
    }

    private static Position asked(Listener ear) {
        return ear.stage().orElseThrow().only().orElse(null);
    }
}
