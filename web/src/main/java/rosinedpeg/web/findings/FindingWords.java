package rosinedpeg.web.findings;

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
public class FindingWords {

    private final Words words;

    FindingWords(Words words) {
        this.words = words;
    }

    /** {@return its title} */
    public String title(Finding finding) {
        return say(finding, ".short");
    }

    /** {@return the sentence} */
    public String says(Finding finding) {
        boolean nothingOn =
                finding.kind() == FindingKind.FITS && finding.figures().size() == 1;
        return say(finding, nothingOn ? ".nothingOn" : "");
    }

    private String say(Finding finding, String ending) {
        List<Figure> figures = finding.figures();
        String origin =
                figures.isEmpty() ? "" : words.say("origin." + figures.get(0).origin());
        return words.say(
                "finding." + finding.kind() + ending,
                number(finding, 0),
                number(finding, 1),
                origin,
                finding.concerns().map(Enum::name).orElse(""),
                figures.isEmpty() ? 0 : figures.get(0).value());
    }

    /** {@return the address of the page that it is drawn on, after the instrument's own} */
    public String page(Finding finding) {
        return switch (finding.kind().part()) {
            case BRIDGE -> "/bridge";
            case PEGBOX -> "/pegbox";
            case PEGS -> "/pegs";
            case TAILPIECE -> "/tailpiece";
            case STRINGS -> "/plan";
            case BOW -> "#care";
            case BODY -> "/symptoms";
            case FIT ->
                "/fit"
                        + finding.concerns()
                                .map(position -> "?string=" + position)
                                .orElse("");
        };
    }

    /** {@return the group it is told in: REFER for a repairer's work that does not stop everything} */
    public String group(Finding finding) {
        return finding.refer() && !finding.stops()
                ? "REFER"
                : finding.severity().name();
    }

    private static String number(Finding finding, int index) {
        if (index >= finding.figures().size()) {
            return "";
        }
        Figure figure = finding.figures().get(index);
        if (figure.unit() == Unit.SHARE && asPercent(finding.kind())) {
            boolean change = finding.kind() == FindingKind.FITS;
            return (change && figure.value() >= 0.005 ? "+" : "") + Say.percent(figure.value());
        }
        return Say.number(figure.value(), Math.abs(figure.value()) < 1 ? 2 : 1);
    }

    /** A thrust margin is told as it is, and so is the depth of a groove against its string. */
    private static boolean asPercent(FindingKind kind) {
        return switch (kind) {
            case LOAD_RISE, FITS, POST_LET_GO, BASS_FOOT_LIFTS -> true;
            default -> false;
        };
    }
}
