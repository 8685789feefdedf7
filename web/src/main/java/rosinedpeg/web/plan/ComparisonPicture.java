package rosinedpeg.web.plan;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.load.LoadBands;
import rosinedpeg.core.plan.ChangePlan;
import rosinedpeg.web.drawing.SchoolsChart;
import rosinedpeg.web.drawing.View;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** The leading ways of working as bars; what comes to the same order with as much on the post is there once. */
@Component
class ComparisonPicture {

    private final Words words;
    private final Say say;

    ComparisonPicture(Words words, Say say) {
        this.words = words;
        this.say = say;
    }

    /** {@return the picture, the way that holds the post best first} */
    View of(List<Compared> comparison, LoadBands bands) {
        return SchoolsChart.of(
                comparison.stream()
                        .filter(Compared::leading)
                        .map(each -> row(each.plan(), each.mine()))
                        .toList(),
                bands.heldFrom(),
                bands.thinFrom(),
                say);
    }

    private SchoolsChart.Row row(ChangePlan plan, boolean mine) {
        return new SchoolsChart.Row(
                plan.order().stream().map(Enum::name).collect(Collectors.joining(" ")),
                plan.leastTreble(),
                mine,
                words.say(
                        "plan.comparison.note",
                        words.say("plan.comparison.aside", plan.setAsides()),
                        Say.number(plan.minutes(), 0)));
    }
}
