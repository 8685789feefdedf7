package rosinedpeg.web.choosing;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.estimate.Interval;
import rosinedpeg.core.sound.SoundPlaces;
import rosinedpeg.web.drawing.SoundDrawing;
import rosinedpeg.web.platform.Say;
import rosinedpeg.web.platform.Words;

/** Puts into words what the drawing of a choice shows. In templates: {@code @choiceWords}. */
@Component("choiceWords")
class ChoiceWords {

    private final Words words;

    ChoiceWords(Words words) {
        this.words = words;
    }

    /** {@return how often a kind was spoken of} */
    public String said(SoundPlaces.Count count) {
        if (count.all() == 0) {
            return words.say("choose.said.never");
        }
        String here = words.say("choose.said.here", count.here());
        String elsewhere = words.say("choose.said.elsewhere", count.elsewhere());
        if (count.here() == 0) {
            return elsewhere;
        }
        return count.elsewhere() == 0 ? here : words.say("choose.said.both", here, elsewhere);
    }

    /** {@return where it is said to stand against the string that is on, scale by scale} */
    public String sounds(Choice choice) {
        List<String> told = new ArrayList<>();
        for (SoundDrawing.Scale scale : choice.scales()) {
            Interval difference = scale.difference();
            if (difference != null) {
                told.add(words.say(
                        "choose.sound.scale",
                        scale.first(),
                        scale.second(),
                        Say.number(difference.best(), 1),
                        Say.number(difference.low(), 1),
                        Say.number(difference.high(), 1)));
            }
        }
        return told.isEmpty() ? words.say("choose.unheard") : String.join(" ", told);
    }
}
