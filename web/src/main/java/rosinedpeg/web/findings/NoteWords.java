package rosinedpeg.web.findings;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import rosinedpeg.core.finding.Finding;
import rosinedpeg.core.plan.Mishap;
import rosinedpeg.web.platform.Words;

/** Puts notes into words, in the language of whoever reads them. */
@Component
class NoteWords {

    private final Words words;
    private final FindingWords findings;

    NoteWords(Words words, FindingWords findings) {
        this.words = words;
        this.findings = findings;
    }

    /** {@return the sentence} */
    String says(Note note) {
        if (note instanceof Note.Written written) {
            return written.text();
        }
        if (note instanceof Note.WentWrong wrong) {
            return happened(wrong.mishap(), wrong.instrumentAtFault());
        }
        if (note instanceof Note.WorkDone done) {
            return words.say("work." + done.work() + ".done");
        }
        if (note instanceof Note.LookedOver looked) {
            return words.say("note.lookedOver", titles(looked.findings().stream()));
        }
        Note.BegunAllTheSame begun = (Note.BegunAllTheSame) note;
        return words.say(
                "plan.lookedAt.noted",
                Stream.concat(
                                begun.referrals().stream().map(this::says),
                                begun.findings().stream().map(findings::title))
                        .collect(Collectors.joining("; ")));
    }

    private String titles(Stream<Finding> some) {
        return some.map(findings::title).collect(Collectors.joining("; "));
    }

    private String happened(Mishap mishap, boolean instrumentAtFault) {
        String happened = words.say(
                "mishap." + mishap.kind() + ".noted",
                mishap.string().map(Enum::name).orElse(""),
                mishap.place() == null ? "" : words.say("breakPlace." + mishap.place()));
        return instrumentAtFault ? happened + " " + words.say("mishap.twice") : happened;
    }
}
