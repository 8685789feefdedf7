package rosinedpeg.web.plan;

import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.figure.Figure;
import rosinedpeg.core.figure.Unit;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.FindingKind;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts a judgement into words, with the figures it rests on. In templates: {@code @findings}. */
@Component("findings")
class FindingWords {

    private final Words words;

    FindingWords(Words words) {
        this.words = words;
    }

    /** {@return the sentence} */
    public String says(Finding finding) {
        List<Figure> figures = finding.figures();
        String origin =
                figures.isEmpty() ? "" : words.say("origin." + figures.get(0).origin());
        return words.say(
                "finding." + finding.kind(),
                number(finding, 0),
                number(finding, 1),
                origin,
                finding.concerns().map(Enum::name).orElse(""));
    }

    private static String number(Finding finding, int index) {
        if (index >= finding.figures().size()) {
            return "";
        }
        Figure figure = finding.figures().get(index);
        if (figure.unit() == Unit.SHARE) {
            boolean change = finding.kind() == FindingKind.FITS;
            return (change && figure.value() >= 0.005 ? "+" : "") + Say.percent(figure.value());
        }
        return Say.number(figure.value(), 1);
    }
}
