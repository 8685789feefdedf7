package rosinedpeg.web.sound;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import rosinedpeg.core.sound.SoundScale;
import rosinedpeg.web.platform.Words;

/** Puts into words how strings sound. In templates: {@code @soundWords}. */
@Component("soundWords")
public class SoundWords {

    private final Words words;

    SoundWords(Words words) {
        this.words = words;
    }

    /** {@return the word at the beginning of a scale} */
    public String first(SoundScale scale) {
        return words.say("sound." + scale + ".first");
    }

    /** {@return the word at its end} */
    public String second(SoundScale scale) {
        return words.say("sound." + scale + ".second");
    }

    /** {@return the word at an end of a scale where there is little room} */
    public String brief(SoundScale scale, int end) {
        return words.say("sound." + scale + (end < 0 ? ".first" : ".second") + ".brief");
    }

    /** {@return a place on a scale: rather dark} */
    public String at(SoundScale scale, int place) {
        return words.say(
                "sound.at." + place,
                first(scale),
                second(scale),
                brief(scale, SoundScale.LOWEST),
                brief(scale, SoundScale.HIGHEST));
    }

    /** {@return what was said: rather dark, quick to speak; sings} */
    public String says(InWords said) {
        List<String> parts = new ArrayList<>();
        said.places().forEach((scale, place) -> parts.add(at(scale, place)));
        String places = String.join(", ", parts);
        return said.note().isEmpty() || places.isEmpty() ? places + said.note() : places + "; " + said.note();
    }
}
