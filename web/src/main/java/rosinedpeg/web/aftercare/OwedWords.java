package rosinedpeg.web.aftercare;

import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.plan.StepKind;
import rosinedpeg.web.platform.Words;

/** Puts what is owed into words. In templates: {@code @owedWords}. */
@Component("owedWords")
public class OwedWords {

    private final Words words;

    OwedWords(Words words) {
        this.words = words;
    }

    /** {@return what is to be done} */
    public String says(OwedWork work) {
        if (work.step() == StepKind.SEAT_TUBE) {
            // It may have been done at the bench: what is left is to see that it stays.
            return words.say("aftercare.tube", words.list(work.strings()));
        }
        if (!work.restocks()) {
            return words.say("step." + work.step() + ".title", words.list(work.strings()));
        }
        List<String> materials = work.materials().stream()
                .map(material -> words.say("material." + material))
                .toList();
        return materials.isEmpty()
                ? words.say("aftercare.restock", words.list(work.strings()))
                : words.say("aftercare.restock.with", words.list(work.strings()), words.list(materials));
    }
}
