package rosinedpeg.web.plan;

import static java.util.stream.Collectors.joining;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.core.plan.Passage;
import rosinedpeg.core.plan.Step;
import rosinedpeg.core.strings.Position;
import rosinedpeg.core.working.InstrumentFigure;
import rosinedpeg.web.bench.StepWords;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;
import rosinedpeg.web.working.WorkingAddresses;

/** Puts the steps of a plan, and the ways of working it is held against, into lines. In templates: {@code @lines}. */
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

    /**
     * The lines of the ways of working that lead, or of the others.
     *
     * @param instrument the instrument they are for
     * @param ways all of them
     * @param leading which
     * @return one line for each
     */
    public List<ComparedLine> compared(UUID instrument, List<Compared> ways, boolean leading) {
        return ways.stream()
                .filter(way -> way.leading() == leading)
                .map(way -> compared(instrument, way))
                .toList();
    }

    private ComparedLine compared(UUID instrument, Compared way) {
        ChangePlan plan = way.plan();
        Step thinnest = plan.thinnest();
        return new ComparedLine(
                words.say("school.off." + way.off()),
                way.begins().stream()
                        .map(begin -> words.say("school.begin." + begin))
                        .collect(joining(", ")),
                way.mine(),
                plan.order().stream().map(Position::name).collect(joining(" ")),
                plan.refused() ? "stop" : say.style(thinnest.bandAfter()),
                plan.refused()
                        ? words.say("plan.comparison.refused", Say.percent(plan.leastTreble()))
                        : say.share(plan.leastTreble()),
                workings.treble(instrument, thinnest.tensionsAfterN(), plan.tensionsBeforeN()),
                plan.setAsides(),
                words.say("plan.minutes.about", Say.number(plan.minutes(), 0)),
                workings.time(instrument, plan));
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
