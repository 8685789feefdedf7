package rosinedpeg.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static rosinedpeg.core.strings.Position.I;
import static rosinedpeg.core.strings.Position.II;
import static rosinedpeg.core.strings.Position.III;
import static rosinedpeg.core.strings.Position.IV;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.ChangePlanner;
import rosinedpeg.core.plan.ChangeRequest;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.plan.Schools;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.core.setup.Family;

class PassageTest {

    private static ChangePlan set(Family family, Schools.Off off) {
        var setUp = Examples.instrument(family);
        var set = Examples.set(setUp);
        return ChangePlanner.plan(
                ChangeRequest.usual(setUp, set, set).by(Schools.usual(family).with(off, Schools.Begin.INNER_FIRST)));
    }

    /** A violin's set, with III set aside for IV and the tube seated at the end. */
    @Test
    void oneForEachStringBetweenTheBeginningAndTheEnd() {
        var passages = Passage.of(set(Family.VIOLIN, Schools.Off.ONE_AT_A_TIME));
        assertThat(passages)
                .extracting(Passage::string)
                .containsExactly(
                        Optional.empty(),
                        Optional.of(II),
                        Optional.of(III),
                        Optional.of(I),
                        Optional.of(IV),
                        Optional.empty());
        assertThat(passages.get(4).steps().get(0).kind()).isEqualTo(StepKind.SET_ASIDE_NEIGHBOUR);
        assertThat(passages.get(4).steps())
                .extracting(Step::kind)
                .endsWith(StepKind.RETURN_NEIGHBOUR, StepKind.CHECK_BRIDGE);
        assertThat(passages.get(3).thinnest().kind()).isEqualTo(StepKind.LET_DOWN);
        assertThat(passages.get(5).steps()).extracting(Step::kind).contains(StepKind.TUNING_ROUND, StepKind.SEAT_TUBE);
    }

    @Property(tries = 60)
    void noStepIsLostAndNoneStandsTwice(@ForAll Family family, @ForAll Schools.Off off) {
        ChangePlan plan = set(family, off);
        var passages = Passage.of(plan);
        assertThat(passages.stream().flatMap(passage -> passage.steps().stream()))
                .containsExactlyElementsOf(plan.steps());
        assertThat(passages.stream().mapToDouble(Passage::minutes).sum())
                .isEqualTo(
                        plan.steps().stream()
                                .mapToDouble(step -> step.kind().minutes())
                                .sum(),
                        within(1e-9));
        if (off == Schools.Off.ONE_AT_A_TIME) {
            assertThat(passages).hasSizeLessThanOrEqualTo(plan.order().size() + 3);
        }
    }
}
