package rosinedpeg.web.plan;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.web.bench.StepWords;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.working.WorkingAddresses;

/** Puts the steps of a plan into lines. In templates: {@code @lines}. */
@Component("lines")
class StepLines {

    private final StepWords steps;
    private final WorkingAddresses workings;
    private final Words words;
    private final Say say;

    StepLines(StepWords steps, WorkingAddresses workings, Words words, Say say) {
        this.steps = steps;
        this.workings = workings;
        this.words = words;
        this.say = say;
    }

    /**
     * The lines of one passage of a plan.
     *
     * @param instrument the instrument the plan is for
     * @param plan the plan
     * @param passage the passage
     * @return one line for each of its steps
     */
    public List<StepLine> of(UUID instrument, ChangePlan plan, Passage passage) {
        String whole = say.ofEach(plan.tensionsBeforeN(), plan.tensionsBeforeN());
        return passage.steps().stream()
                .map(step -> line(instrument, plan, step, whole))
                .toList();
    }

    private StepLine line(UUID instrument, ChangePlan plan, Step step, String whole) {
        String carries = say.ofEach(plan.tensionsBeforeN(), step.tensionsAfterN());
        return new StepLine(
                step.index() + 1,
                steps.title(step, plan),
                step.cautions().stream()
                        .map(caution -> words.say("caution." + caution + ".short"))
                        .toList(),
                words.say("duration.minutes", Say.number(step.kind().minutes(), 1)),
                say.share(step.sharesAfter().treble()),
                workings.carrying(instrument, InstrumentFigure.TREBLE_SHARE, carries, whole),
                words.say("band." + step.bandAfter()),
                say.share(step.sharesAfter().bass()),
                workings.carrying(instrument, InstrumentFigure.BASS_SHARE, carries, whole));
    }
}
