package rosinedpeg.web.lend;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.finding.Severity;
import rosinedpeg.core.inspection.LookOver;
import rosinedpeg.core.lending.ShelfWear;
import rosinedpeg.web.findings.FindingWords;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** The shelf in words. In templates: {@code @lendWords}. */
@Component
class LendWords {

    private static final int SECONDS_OF_A_MINUTE = 60;

    private final Words words;
    private final FindingWords findings;
    private final Say say;

    LendWords(Words words, FindingWords findings, Say say) {
        this.words = words;
        this.findings = findings;
        this.say = say;
    }

    /** {@return whose an instrument is, from when and until when, as a sentence about it wants them} */
    Object[] whose(TakenException taken) {
        String who = taken.borrower().isEmpty() ? words.say("lend.somebody") : taken.borrower();
        return new Object[] {who, say.day(taken.from()), say.day(taken.until())};
    }

    /** {@return a moment of the look, as 1:05} */
    public String clock(int seconds) {
        int rest = seconds % SECONDS_OF_A_MINUTE;
        return seconds / SECONDS_OF_A_MINUTE + ":" + (rest < 10 ? "0" : "") + rest;
    }

    /** {@return everything that was found: peg III slips; the bridge leans} */
    public String all(List<Finding> found) {
        return found.stream().map(findings::title).collect(Collectors.joining("; "));
    }

    /** {@return what was found at a stop of the look when it went out; nothing when all was well} */
    public String at(List<Finding> found, LookOver.Stop stop) {
        return all(found.stream()
                .filter(finding -> LookOver.Stop.of(finding.kind()) == stop)
                .toList());
    }

    /** {@return what wears, with the strings it is on, where it is on some} */
    public String worn(ShelfWear.Worn worn) {
        return worn.positions().isEmpty()
                ? findings.title(Finding.on(null, worn.kind(), Severity.WATCH))
                : words.say(
                        "worn.on",
                        words.say("worn." + worn.kind()),
                        worn.positions().entrySet().stream()
                                .map(on -> words.say("worn.on.one", on.getKey(), on.getValue()))
                                .collect(Collectors.joining(", ")));
    }
}
